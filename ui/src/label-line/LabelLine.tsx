import { useQuery } from "@tanstack/react-query";
import { lazy, Suspense, useEffect, useState, type KeyboardEvent } from "react";
import { useNavigate } from "react-router";
import { placesQuery } from "../api/queries";
import { useActs } from "../app/acts";
import { Button } from "../kit/kit";
import { held, putAwayFrom, type Corrections } from "./model";
import { isScan, readScan } from "../scan/readScan";
import { ScanButton } from "../scan/ScanButton";
import { onLineBack } from "./lineBack";
import { readLine, usePreview, type Preview } from "./usePreview";

const Labels = lazy(() => import("./Labels").then((module) => ({ default: module.Labels })));
const LearnCode = lazy(() => import("../scan/LearnCode").then((module) => ({ default: module.LearnCode })));
const OneHand = lazy(() => import("./OneHand").then((module) => ({ default: module.OneHand })));

const TEXT = "nut-shelf.line";
const PLACE = "nut-shelf.line-place";

function keptPlace(): number | undefined {
  const kept = Number(sessionStorage.getItem(PLACE));
  return Number.isInteger(kept) && kept > 0 ? kept : undefined;
}

function field(): HTMLInputElement | null {
  return document.querySelector<HTMLInputElement>("[data-label-line]");
}

function useLine() {
  const [text, setText] = useState(() => sessionStorage.getItem(TEXT) ?? "");
  const [corrections, setCorrections] = useState<Corrections>({});
  const type = (next: string) => {
    sessionStorage.setItem(TEXT, next);
    setText(next);
    setCorrections({});
  };
  useEffect(
    () =>
      onLineBack(({ text: words, food_id }) => {
        type(words);
        if (food_id) setCorrections({ food_id, bare: true, unread: true, answered: ["food"] });
        field()?.focus();
      }),
    [],
  );
  return { text, type, corrections, correct: (more: Corrections) => setCorrections((now) => ({ ...now, ...more })) };
}

/** A scanner that types: a stack's label leads to the stack, an unknown code asks once what it is. */
function useScanned(empty: () => void) {
  const go = useNavigate();
  const [unknown, setUnknown] = useState<string | null>(null);
  const take = async (text: string): Promise<boolean> => {
    const known = await readScan(text).catch(() => null);
    if (known?.unknown) setUnknown(known.unknown);
    if (known?.stack) {
      empty();
      void go(`/shelf?stack=${known.stack}`);
    }
    return Boolean(known?.unknown ?? known?.stack);
  };
  return { unknown, take, close: () => setUnknown(null) };
}

/** What Enter does with a line: a scan is followed, what is clear is put away, the rest is asked or confirmed. */
function usePutAway(line: ReturnType<typeof useLine>, preview: Preview, scan: ReturnType<typeof useScanned>) {
  const { act, later, away } = useActs();
  const [place, setPlace] = useState(keptPlace);
  const [nudge, setNudge] = useState("");
  const keepPlace = (id: number) => {
    sessionStorage.setItem(PLACE, String(id));
    setPlace(id);
  };
  const putAway = async () => {
    const text = line.text.trim();
    if (text === "") return;
    if (isScan(text) && (await scan.take(text))) return;
    const fresh = preview.read === line.text && preview.draft ? preview : await readLine(line.text);
    if (fresh.away || (away && !fresh.draft)) {
      later(text);
      return line.type("");
    }
    const all = { ...(fresh.draft?.place ? {} : { place_id: place }), ...line.corrections };
    const body = fresh.draft && putAwayFrom(fresh.draft, all);
    if (!body) {
      const { words, then } = held(fresh.draft, all);
      line.correct(then);
      return setNudge(words);
    }
    setNudge("");
    keepPlace(body.place_id);
    line.type("");
    field()?.focus();
    await act("/api/stacks", body, text);
  };
  return { place, setPlace, nudge, putAway };
}

/** One line of plain words becomes a stack. After Enter the hand stays for the next line. */
export function LabelLine({ onClose }: { onClose?: () => void }) {
  const line = useLine();
  const places = useQuery(placesQuery).data ?? [];
  const preview = usePreview(line.text);
  const [hand, setHand] = useState(false);
  const scan = useScanned(() => line.type(""));
  const { place, setPlace, nudge, putAway } = usePutAway(line, preview, scan);
  const fallback = preview.draft?.place ? {} : { place_id: place };
  const corrections = { ...fallback, ...line.corrections };

  const press = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === "Enter") void putAway();
    if (event.key === "Escape") {
      field()?.blur();
      onClose?.();
    }
  };
  return (
    <section aria-label="Put away" className="no-print fixed z-20 bottom-0 phone:bottom-[54px] inset-x-0 bg-board border-t border-edge px-6 py-[9px] phone:px-3 flex flex-wrap phone:gap-x-2 items-center gap-x-4 gap-y-2">
      <kbd className="phone:hidden">n</kbd>
      <input data-label-line aria-label="Label line: what do you put away?" placeholder="3 tins chickpeas 400 g bb 5/2028 cellar 0.89 each" value={line.text} maxLength={500} autoComplete="off" enterKeyHint="done"
        onChange={(event) => line.type(event.target.value)} onKeyDown={press} className="field !w-[520px] max-w-full grow-0 phone:!w-auto phone:min-w-0 phone:grow !border-2 !border-rim text-[16px]" />
      {line.text.trim() === "" ? (
        <span className="flex items-center gap-2 text-soft text-[13.5px]">
          <span className="phone:hidden">Type a line, Enter puts it away.</span>
          <Button onClick={() => setHand(true)}>With one hand</Button>
          <ScanButton onScan={(code) => line.type(code)} />
        </span>
      ) : (
        <>
          <Suspense fallback={null}><Labels preview={preview} corrections={corrections} places={places} correct={line.correct} /></Suspense>
          <Button look="main" onClick={() => void putAway()} className="phone:w-full"><span className="phone:hidden">Enter:</span> Put away</Button>
        </>
      )}
      {nudge && line.text.trim() !== "" && <span role="status" className="text-beet font-semibold text-[13.5px]">{nudge}</span>}
      <Suspense fallback={null}>{scan.unknown && <LearnCode code={scan.unknown} onClose={scan.close} onLearnt={() => scan.unknown && line.type(scan.unknown)} />}</Suspense>
      <Suspense fallback={null}>{hand && <OneHand open onClose={() => setHand(false)} places={places} place={place} onPlace={setPlace} />}</Suspense>
    </section>
  );
}
