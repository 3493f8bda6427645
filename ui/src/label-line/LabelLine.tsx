import { useQuery } from "@tanstack/react-query";
import { Suspense, useCallback, useEffect, useRef, useState, type ClipboardEvent, type KeyboardEvent } from "react";
import { useSearchParams } from "wouter";
import { useWide } from "../views/shelf/useWide";
import { mine } from "../api/kept";
import { placesQuery } from "../api/queries";
import { useActs } from "../app/acts";
import { Button } from "../kit/kit";
import { held, nthAnswer, putAwayFrom, usual, type Corrections } from "./model";
import { isScan } from "../scan/readScan";
import { ScanButton } from "../scan/ScanButton";
import { useKept } from "../app/useKept";
import { beginReading, endReading, lines, nextAside, pasted, putAside, recoverReading, type BackInLine } from "./aside";
import { Learn, useScanned } from "./scanned";
import { AsideLines } from "./AsideLines";
import { onLineBack } from "./lineBack";
import { readLine, usePreview, type Preview } from "./usePreview";
import { lazily } from "../kit/lazily";
import { css } from "../kit/css";
import * as say from "../words/labelLine";

const Labels = lazily(
  () => import("../app/aside"),
  (module) => module.Labels,
  true,
);
const OneHand = lazily(
  () => import("../app/aside"),
  (module) => module.OneHand,
  true,
);

const TEXT = "nut-shelf.line";
const PLACE = "nut-shelf.line-place";

function keptPlace(): number | undefined {
  const kept = Number(sessionStorage.getItem(PLACE));
  return Number.isInteger(kept) && kept > 0 ? kept : undefined;
}

function field(): HTMLInputElement | null {
  return document.querySelector<HTMLInputElement>("[data-label-line]");
}

interface Taken {
  text: string;
  corrections: Corrections;
}

/**
 * What stands in the line. It is kept over a reload, for whoever typed it; words come back only where there is room.
 */
function useLine() {
  const [text, setText] = useState(() => sessionStorage.getItem(mine(TEXT)) ?? "");
  const [corrections, setCorrections] = useState<Corrections>({});
  const now = useRef(text);
  const type = useCallback((next: string) => {
    now.current = next;
    sessionStorage.setItem(mine(TEXT), next);
    setText(next);
    setCorrections({});
  }, []);
  const put = useCallback(
    ({ text: words, food_id, corrections: before }: BackInLine) => {
      type(words);
      if (food_id) setCorrections({ food_id, bare: true, unread: true, answered: ["food"] });
      else if (before) setCorrections(before);
      field()?.focus();
    },
    [type],
  );
  useEffect(
    () =>
      onLineBack((line) => {
        if (now.current.trim() !== "") return false;
        put(line);
        return true;
      }),
    [put],
  );
  /** Takes one up; what stands in the line waits instead. */
  const swap = (line: BackInLine) => {
    if (now.current.trim() !== "") putAside({ text: now.current, corrections });
    put(line);
  };
  /** The line as it stands leaves the field, which is free for the next. */
  const take = (): Taken => {
    const taken = { text: now.current.trim(), corrections };
    type("");
    return taken;
  };
  /** It could not be stored: back into the field if that is still free, else beside it. */
  const giveBack = (taken: Taken, more: Corrections) => {
    if (now.current.trim() !== "")
      return putAside({ text: taken.text, corrections: { ...taken.corrections, ...more } });
    type(taken.text);
    setCorrections({ ...taken.corrections, ...more });
  };
  return {
    text,
    type,
    take,
    giveBack,
    swap,
    corrections,
    correct: (more: Corrections) => setCorrections((before) => ({ ...before, ...more })),
  };
}

/** The place that is being filled. */
type Filling = [number | undefined, (place: number | undefined) => void];

/** What Enter does with a line: a scan is followed, what is clear is put away, the rest is asked or confirmed. */
function usePutAway(
  line: ReturnType<typeof useLine>,
  preview: Preview,
  scan: ReturnType<typeof useScanned>,
  [place, setPlace]: Filling,
) {
  const { act, later, away } = useActs();
  const [nudge, setNudge] = useState("");
  const keepPlace = (id: number) => {
    sessionStorage.setItem(PLACE, String(id));
    setPlace(id);
  };
  const putAway = async () => {
    if (line.text.trim() === "") return;
    const taken = line.take();
    beginReading(taken.text, taken.corrections);
    field()?.focus();
    setNudge("");
    try {
      await store(taken);
    } catch (error) {
      endReading(taken.text);
      line.giveBack(taken, {});
      throw error;
    }
  };
  const store = async (taken: Taken) => {
    if (isScan(taken.text) && (await scan.take(taken.text))) return endReading(taken.text);
    const fresh = preview.read.trim() === taken.text && preview.draft ? preview : await readLine(taken.text, place);
    if (fresh.away || (away && !fresh.draft)) {
      later(taken.text, { place, corrections: taken.corrections });
      return endReading(taken.text);
    }
    const all = { ...usual(fresh.draft), ...taken.corrections };
    const body = fresh.draft && putAwayFrom(fresh.draft, all);
    if (!body) {
      const { words, then } = held(fresh.draft, all);
      line.giveBack(taken, then);
      endReading(taken.text);
      return setNudge(words);
    }
    keepPlace(body.place_id);
    const next = nextAside();
    if (next) line.swap(next);
    const sent = act("/api/stacks", body, taken.text, { typed: taken.text, corrections: taken.corrections });
    // From here on it is a letter.
    endReading(taken.text);
    await sent;
  };
  return { nudge, putAway, unsay: () => setNudge("") };
}

/** Many lines at once become a list to go through. */
function pasteInto(line: ReturnType<typeof useLine>, event: ClipboardEvent<HTMLInputElement>): void {
  const many = pasted(event.clipboardData.getData("text"));
  if (many.length < 2) return;
  event.preventDefault();
  putAside(...many.map((words) => ({ text: words, next: true })));
  const first = nextAside();
  if (first) line.swap(first);
}

/** One line of plain words becomes a stack. After Enter the hand stays for the next line. */
export function LabelLine({ onClose }: { onClose?: () => void }) {
  const line = useLine();
  const places = useQuery(placesQuery).data ?? [];
  const filling = useState(keptPlace);
  const preview = usePreview(line.text, filling[0]);
  const [params, setParams] = useSearchParams();
  const hand = params.get("open") === "hand";
  const setHand = (open: boolean) => setParams(open ? { open: "hand" } : {}, { replace: !open });
  const scan = useScanned();
  const { nudge, putAway, unsay } = usePutAway(line, preview, scan, filling);
  useEffect(recoverReading, []);
  const waiting = useKept(lines);
  const wide = useWide();
  const corrections = { ...usual(preview.draft), ...line.corrections };

  const correct = (more: Corrections) => {
    line.correct(more);
    // The hand goes on typing; on a phone that would bring the keyboard up.
    if (wide) requestAnimationFrame(() => field()?.focus());
  };
  const press = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === "Enter") void putAway();
    const chosen =
      event.altKey && preview.draft
        ? nthAnswer(preview.draft, corrections, Number(event.code.replace("Digit", "")))
        : null;
    if (chosen) {
      event.preventDefault();
      correct(chosen);
    }
    if (event.key === "Escape") {
      field()?.blur();
      onClose?.();
    }
  };
  return (
    <section
      aria-label={say.putAway}
      className={css(
        "no-print fixed z-20 bottom-0 phone:bottom-[54px] inset-x-0 bg-board border-t border-edge px-6 py-[9px]",
        "phone:px-3 max-h-[40dvh] overflow-y-auto flex flex-wrap phone:gap-x-2 items-center gap-x-4 gap-y-2",
      )}
    >
      <kbd className="phone:hidden">n</kbd>
      <input
        data-label-line
        aria-label={say.labelLineWhat}
        placeholder={say.threeTinsChickpeas}
        value={line.text}
        maxLength={500}
        autoComplete="off"
        enterKeyHint="done"
        onChange={(event) => {
          line.type(event.target.value);
          unsay();
        }}
        onKeyDown={press}
        onPaste={(event) => pasteInto(line, event)}
        className={css(
          "field !w-[520px] max-w-full grow-0 phone:!w-auto phone:min-w-0 phone:grow !border-2 !border-rim",
          "text-lead",
        )}
      />
      {line.text.trim() === "" ? (
        <span className="flex items-center gap-2 text-soft text-small">
          <span className="phone:hidden">{say.typeLineEnter}</span>
          <Button onClick={() => setHand(true)}>{say.withOneHand}</Button>
          <ScanButton onScan={(code) => line.type(code)} />
        </span>
      ) : (
        <>
          <Suspense fallback={null}>
            <Labels preview={preview} corrections={corrections} places={places} correct={correct} />
          </Suspense>
          <Button look="main" onClick={() => void putAway()} className="phone:w-full">
            <span className="phone:hidden">{say.enter}</span> {say.putAway}
          </Button>
        </>
      )}
      {nudge && (
        <span role="status" className="text-beet font-semibold text-small">
          {nudge}
        </span>
      )}
      <AsideLines lines={waiting} onTake={line.swap} />
      <Learn scan={scan} swap={line.swap} />
      <Suspense fallback={null}>
        {hand && (
          <OneHand open onClose={() => setHand(false)} places={places} place={filling[0]} onPlace={filling[1]} />
        )}
      </Suspense>
    </section>
  );
}
