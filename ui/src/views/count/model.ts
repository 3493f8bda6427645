import type { Count, ExpectedStack } from "../../api/types";
import * as say from "../../words/count";

/** What a person says about one stack, as it is sent. */
export type Found =
  | { found: "as_expected" }
  | { found: "gone" }
  | { found: "level"; level: string }
  | { found: "amount"; packs?: string; quarters?: number; amount?: string };

const LEVELS: Record<string, string> = { p: "plenty", h: "half", l: "low", o: "out" };
const QUARTERS: Record<string, number> = { "1/4": 1, "1/2": 2, "2/4": 2, "3/4": 3, "4/4": 4 };

/** A typed answer: nothing means as expected, 0 gone, a number what is there. Null when it cannot be read so. */
export function readFound(text: string, row: ExpectedStack): Found | null {
  const typed = text.trim().toLowerCase().replace(",", ".");
  if (row.stack.level) {
    const level = typed === "" ? row.stack.level : LEVELS[typed.charAt(0)];
    return level ? { found: "level", level } : null;
  }
  if (typed === "") return { found: "as_expected" };
  const quarters = QUARTERS[typed];
  if (quarters !== undefined && row.quarters) return { found: "amount", quarters };
  if (!/^\d{1,7}(\.\d{1,6})?$/.test(typed)) return null;
  if (Number(typed) === 0) return { found: "gone" };
  return row.packs === null ? { found: "amount", amount: typed } : { found: "amount", packs: typed };
}

/**
 * Where the hand goes next: the first stack after this one that nobody has spoken of, else the first of all, else
 * none.
 */
export function nextOpen(count: Count, after: number | null, said: ReadonlySet<number> = new Set()): number | null {
  const open = (row: ExpectedStack) => row.line === null && !said.has(row.stack.id);
  const from = count.expected.findIndex((row) => row.stack.id === after) + 1;
  const found = [...count.expected.slice(from), ...count.expected.slice(0, from)].find(open);
  return found?.stack.id ?? null;
}

export function progress(count: Count, said: ReadonlySet<number> = new Set()): { done: number; of: number } {
  return {
    done: count.expected.filter((row) => row.line !== null || said.has(row.stack.id)).length,
    of: count.expected.length,
  };
}

/** One step up or down the list. */
export function stepFrom(count: Count, at: number | null, by: 1 | -1): number | null {
  const index = count.expected.findIndex((row) => row.stack.id === at);
  const next = count.expected[Math.min(Math.max(index + by, 0), count.expected.length - 1)];
  return next?.stack.id ?? at;
}

/** What the answer box asks for. */
export function askWords(row: ExpectedStack): string {
  if (row.stack.level) return say.plentyHalfLow;
  if (row.packs !== null) return row.stack.noun ? say.howManyS(row.stack.noun) : say.howManyPlaceholder;
  if (row.stack.noun) return say.howManyS(row.stack.noun);
  return row.stack.unit === "piece" ? say.howManyPlaceholder : say.howMany(row.stack.unit);
}

/** Whether a letter under way belongs to that count: the comparison waits for it. */
export function isLineOf(id: number, path: string): boolean {
  return path.startsWith(`/api/counts/${id}/`) && !path.endsWith("/finish");
}
