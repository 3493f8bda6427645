import { useCallback, useEffect, useState } from "react";
import { post, Problem } from "../../api/client";
import type { ReadLine } from "../../api/types";
import { linesOf, type Known, type Read } from "./model";

const PAUSE = 250;
/** So many lines are read at once, and so long a line. */
const MOST = 120;
const LONGEST = 300;

/** How these lines are read by the house. */
async function read(lines: string[]): Promise<Known> {
  const asked = lines.slice(0, MOST).map((line) => line.slice(0, LONGEST));
  if (asked.length === 0) return {};
  const answer = await post<{ lines: ReadLine[] }>("/api/recipes/lines", { lines: asked });
  return Object.fromEntries(answer.lines.map((line, at) => [asked[at]!, line]));
}

interface Reading {
  known: Known;
  /** Nobody answers, or not yet. */
  waiting: boolean;
  /** A person's own word for a line. */
  correct: (line: string, read: Read) => void;
  /** Everything that is typed, read. */
  whole: () => Promise<Known>;
}

/** Reads lines a moment after they are typed; what is known, or was corrected, is not read again. */
export function useReading(text: string, begun: Known): Reading {
  const [known, setKnown] = useState<Known>(begun);
  const open = linesOf(text).filter((line) => !(line in known));
  const asked = open.join("\n");
  useEffect(() => {
    if (asked === "") return;
    let stale = false;
    const timer = setTimeout(async () => {
      try {
        const more = await read(asked.split("\n"));
        if (!stale) setKnown((now) => ({ ...more, ...now }));
      } catch (error) {
        if (!(error instanceof Problem)) throw error;
      }
    }, PAUSE);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [asked]);
  const correct = useCallback((line: string, next: Read) => setKnown((now) => ({ ...now, [line]: next })), []);
  const whole = async () => (open.length === 0 ? known : { ...(await read(open)), ...known });
  return { known, waiting: open.length > 0, correct, whole };
}
