import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Suspense, useEffect, useState, type ReactNode } from "react";
import { Link, useSearchParams } from "wouter";
import { TabLink, useGo, usePath } from "./address";
import { changesQuery } from "../api/changes";
import { todayQuery } from "../api/queries";
import { LabelLine } from "../label-line/LabelLine";
import { useActs, useReport } from "./acts";
import { Boundary } from "../kit/Boundary";
import { useKeys } from "./keys";
import { LettersButton } from "./LettersButton";
import { useSession } from "./session";
import { useAsOf } from "./useAway";
import { useWarm } from "./useWarm";
import { MORE, PHONE, TABS } from "./tabs";
import { lazily } from "../kit/lazily";
import * as say from "../words/app";
import { css } from "../kit/css";

// Drawn when first asked for, so that the first look costs little.
const KeysHelp = lazily(
  () => import("./aside"),
  (module) => module.KeysHelp,
  true,
);
const Lately = lazily(
  () => import("./aside"),
  (module) => module.Lately,
  true,
);
const NewPlace = lazily(
  () => import("./aside"),
  (module) => module.NewPlace,
  true,
);
const Letters = lazily(
  () => import("./aside"),
  (module) => module.Letters,
  true,
);
const ReportBar = lazily(
  () => import("./aside"),
  (module) => module.ReportBar,
);
const MoreMenu = lazily(
  () => import("./MoreMenu"),
  (module) => module.MoreMenu,
);

const WITH_LINE = ["/", "/shelf", "/shop"];

function Strip({ onLately, onPlace, onLetters }: { onLately: () => void; onPlace: () => void; onLetters: () => void }) {
  const needs = useQuery(todayQuery).data?.needs_count ?? 0;
  return (
    <header
      className={css(
        "strip no-print sticky top-0 z-20 bg-strip text-white flex",
        "items-stretch h-[50px] px-5 gap-[2px] phone:px-3 phone:h-[46px]",
      )}
    >
      <Link
        to="/"
        className="flex items-center gap-2 mr-5 font-head font-bold text-head"
        aria-label={say.nutShelfToday}
      >
        <img src="/mark.svg" alt="" width="24" height="24" className="rounded ring-1 ring-white/40" />
        {say.nutShelf}
      </Link>
      <nav aria-label={say.views} className="flex items-stretch phone:hidden">
        {TABS.map((tab) => (
          <TabLink
            key={tab.path}
            to={tab.path}
            className={(here) =>
              css(
                `relative px-[14px] flex items-center ${tab.path === "/" && needs > 0 ? "!pr-[40px]" : ""}`,
                `${here ? "bg-zinc text-ink font-bold rounded-t-[10px] mt-2" : "text-[#dbe5f7] hover:text-white"}`,
              )
            }
          >
            {tab.name}
            {tab.path === "/" && needs > 0 && (
              <b
                className={css(
                  "absolute right-[7px] bg-[#e3ab1f] text-[#14212e]",
                  "text-tiny rounded-lg px-[5px] leading-[15px]",
                )}
                aria-label={say.thingsNeedYou(needs)}
              >
                {needs}
              </b>
            )}
          </TabLink>
        ))}
      </nav>
      <div className="ml-auto flex items-center gap-1">
        <LettersButton onOpen={onLetters} />
        <button type="button" className="px-3 min-h-[44px] text-[#dbe5f7] hover:text-white" onClick={onLately}>
          {say.lately}
        </button>
        <Suspense fallback={null}>
          <MoreMenu onPlace={onPlace} />
        </Suspense>
      </div>
    </header>
  );
}

function BottomBar({ onMore }: { onMore: () => void }) {
  const path = usePath();
  const elsewhere = !PHONE.some((tab) => path === tab || path.startsWith(`${tab}/`));
  return (
    <nav
      aria-label={say.views}
      className="no-print wide:hidden fixed bottom-0 inset-x-0 z-20 bg-strip text-white grid grid-cols-4 h-[54px]"
    >
      {TABS.filter((tab) => PHONE.includes(tab.path)).map((tab) => (
        <TabLink
          key={tab.path}
          to={tab.path}
          className={(here) =>
            css(
              "flex items-center justify-center border-t-[4px]",
              `${here ? "border-[#e3ab1f] font-bold" : "border-transparent text-[#dbe5f7]"}`,
            )
          }
        >
          {tab.name}
        </TabLink>
      ))}
      <button
        type="button"
        onClick={onMore}
        className={css(
          "border-t-[4px]",
          elsewhere ? "border-[#e3ab1f] font-bold" : "border-transparent text-[#dbe5f7]",
        )}
      >
        {say.more}
      </button>
    </nav>
  );
}

function useFrameKeys(open: { help: () => void; line: () => void }) {
  const go = useGo();
  const { undoLast } = useActs();
  const tabs = Object.fromEntries(TABS.map((tab) => [tab.key, () => void go(tab.path)]));
  useKeys({
    ...tabs,
    "?": open.help,
    n: open.line,
    "/": () => {
      const box = document.querySelector<HTMLInputElement>("[data-find]");
      if (box) box.focus();
      else void go("/shelf?find=1");
    },
    z: () => void undoLast(),
  });
}

/** Fetched with the first thing there is to say. */
function Reported({ raised }: { raised: boolean }) {
  const said = useReport() !== null;
  const [ever, setEver] = useState(said);
  if (said && !ever) setEver(true);
  return ever ? <ReportBar raised={raised} /> : null;
}

/** Which of the frame's own sheets is open stands in the address: back closes it, and never opens it again. */
function useFrameSheet(): [string | null, (sheet: string | null) => void] {
  const [params, setParams] = useSearchParams();
  const set = (sheet: string | null) =>
    setParams(
      (now) => {
        const next = new URLSearchParams(now);
        if (sheet === null) next.delete("open");
        else next.set("open", sheet);
        return next;
      },
      { replace: sheet === null || params.has("open") },
    );
  return [params.get("open"), set];
}

/** The title names the view, so that tabs and histories can be told apart. */
function useTitle(path: string, household: string): void {
  const view = [...TABS.map((tab) => [tab.path, tab.name]), ...MORE, ["/bring-in", say.bringInList]]
    .filter(([at]) => at === path || (at !== "/" && path.startsWith(`${at ?? ""}/`)))
    .at(-1)?.[1];
  useEffect(() => {
    document.title = [view, household, say.nutShelf].filter(Boolean).join(" · ");
    // What was pressed may be gone with the old view: the hand goes on from the new one.
    if (document.activeElement === document.body) document.getElementById("main")?.focus({ preventScroll: true });
  }, [view, household]);
}

export function Frame({ children }: { children: ReactNode }) {
  const path = usePath();
  const { away } = useActs();
  const kept = useAsOf();
  const session = useSession();
  useWarm(session.today);
  useQuery(changesQuery(session.household?.id ?? 0, useQueryClient()));
  const [sheet, setSheet] = useFrameSheet();
  useTitle(path, session.household?.name ?? "");
  const [lineOpen, setLineOpen] = useState(false);
  const withLine = WITH_LINE.includes(path) || lineOpen;
  useFrameKeys({
    help: () => setSheet("help"),
    line: () => {
      setLineOpen(true);
      requestAnimationFrame(() => document.querySelector<HTMLInputElement>("[data-label-line]")?.focus());
    },
  });
  return (
    <div className="flex flex-col min-h-dvh">
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-board focus:p-2">
        {say.toTheContent}
      </a>
      <Strip
        onLately={() => setSheet("lately")}
        onPlace={() => setSheet("place")}
        onLetters={() => setSheet("letters")}
      />
      {away && (
        <p role="alert" className="bg-mustard text-[#14212e] px-5 py-2 font-semibold">
          {say.houseNotAnswering(kept)}
        </p>
      )}
      <main
        id="main"
        tabIndex={-1}
        aria-label={session.household?.name}
        className={css(
          "grow px-6 pt-3 phone:px-3 outline-none",
          `${withLine ? "pb-[84px] phone:pb-[140px]" : "pb-6 phone:pb-[80px]"}`,
        )}
      >
        <Boundary at={path}>{children}</Boundary>
      </main>
      {withLine && <LabelLine onClose={WITH_LINE.includes(path) ? undefined : () => setLineOpen(false)} />}
      <Suspense fallback={null}>
        <Reported raised={withLine} />
      </Suspense>
      <BottomBar onMore={() => setSheet("more")} />
      <Boundary at={sheet ?? ""}>
        <Suspense fallback={null}>
          {(sheet === "lately" || sheet === "more") && (
            <Lately open more={sheet === "more"} onPlace={() => setSheet("place")} onClose={() => setSheet(null)} />
          )}
          {sheet === "letters" && <Letters onClose={() => setSheet(null)} />}
          {sheet === "place" && <NewPlace onClose={() => setSheet(null)} />}
          {sheet === "help" && <KeysHelp open onClose={() => setSheet(null)} />}
        </Suspense>
      </Boundary>
    </div>
  );
}
