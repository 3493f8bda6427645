import type { Letter } from "../../api/outbox";
import type { PreparedForOutage } from "../../api/types";

/** A power cut as this phone knows of it: what the house said last, and what waits to be told. */
export interface Begun {
  started_at: string;
  ended_at: string | null;
  freezer_percent: number;
  /** Where somebody took a reading: what the rules make of it only the house can say. */
  read: readonly string[];
}

type Stack = PreparedForOutage["stacks"][number];

const HOUR = 3600 * 1000;
const CHANGE = /^\/api\/outages\/[^/]+\/change$/;
/** What no reading would change. */
const EITHER_WAY = ["not_perishable", "not_to_eat"];

interface Told {
  started_at?: string;
  ended_at?: string;
  freezer_percent?: number;
  reading?: { where: string };
}

/** The cut that runs, with every letter about it that waits. */
export function begunOf(house: PreparedForOutage["outage"], letters: readonly Letter[]): Begun | null {
  return letters
    .filter((one) => one.state === "pending")
    .reduce<Begun | null>((cut, one) => {
      const told = one.body as Told;
      if (one.path === "/api/outages" && !cut && told.started_at)
        return { started_at: told.started_at, ended_at: null, freezer_percent: told.freezer_percent ?? 100, read: [] };
      if (!cut || !CHANGE.test(one.path)) return cut;
      return {
        started_at: told.started_at ?? cut.started_at,
        ended_at: told.ended_at ?? cut.ended_at,
        freezer_percent: told.freezer_percent ?? cut.freezer_percent,
        read: told.reading ? [...cut.read, told.reading.where] : cut.read,
      };
    }, house);
}

/** Hours in the dark so far, or in all. */
export function hoursOf(cut: Begun, now: number): number {
  return Math.max(0, ((cut.ended_at ? Date.parse(cut.ended_at) : now) - Date.parse(cut.started_at)) / HOUR);
}

/** As prepared for a freezer so full; for one in between, as for the next emptier one. */
export function wayOf(stack: Stack, percent: number): Stack["ways"][number] | undefined {
  const fuller = [...stack.ways].sort((one, two) => two.percent - one.percent);
  return fuller.find((way) => way.percent <= percent) ?? fuller.at(-1);
}

export interface Ahead {
  stack: Stack;
  by_hour: string;
}

/** What may be eaten that day, what stops keeping first ahead: what was prepared may be some days old. */
export function inOrder(prepared: PreparedForOutage, cut: Begun, today: string): Ahead[] {
  return prepared.stacks
    .filter((stack) => stack.good && (stack.until === null || stack.until >= today))
    .map((stack) => ({ stack, by_hour: wayOf(stack, cut.freezer_percent)?.by_hour ?? "0" }))
    .sort(
      (one, two) =>
        Number(one.by_hour) - Number(two.by_hour) || Number(two.stack.perishable) - Number(one.stack.perishable),
    );
}

export interface Judged {
  stack: Stack;
  /** null: a reading was taken, and what it means only the house can say. */
  verdict: string | null;
  rule: string;
}

/** What to do with each once the power is back. */
export function judged(prepared: PreparedForOutage, cut: Begun, now: number, today: string): Judged[] {
  const hours = hoursOf(cut, now);
  return prepared.stacks.map((stack) => {
    if (stack.safety_until !== null && stack.safety_until < today)
      return { stack, verdict: "throw", rule: "not_to_eat" };
    const turn = wayOf(stack, cut.freezer_percent)?.turns.find((one) => one.upto === null || hours <= Number(one.upto));
    const rule = turn?.rule ?? "";
    const open = cut.read.includes(stack.where) && !EITHER_WAY.includes(rule);
    return { stack, verdict: open ? null : (turn?.verdict ?? null), rule: open ? "" : rule };
  });
}
