import type { Stack } from "../../api/types";
import { shortName } from "../../words/common";
import * as say from "../../words/shelf";

/** Columns by time left; the left edge is the front of the shelf, what is past stands apart from it. */
export const COLUMNS = [
  { name: "past", upTo: -1 },
  { name: say.oneWeek, upTo: 7 },
  { name: say.oneMonth, upTo: 30 },
  { name: say.threeMonths, upTo: 91 },
  { name: say.oneYear, upTo: 365 },
  { name: "later", upTo: Infinity },
  { name: say.noDate, upTo: Infinity },
] as const;

const UNDATED = COLUMNS.length - 1;

export function column(stack: Pick<Stack, "days_left" | "state">): number {
  if (stack.days_left === null) return stack.state === "stop" ? 0 : UNDATED;
  if (stack.days_left < 0 || stack.state === "stop") return 0;
  const days = stack.days_left;
  return COLUMNS.findIndex((entry, index) => index > 0 && days <= entry.upTo);
}

export interface Pile {
  key: string;
  stacks: Stack[];
}

/** Several stacks of one food in one place and column fold into a pile, unless it was opened out. */
export function piles(stacks: Stack[], spread: ReadonlySet<string>, prefix: string): Pile[] {
  const byFood = new Map<string, Pile>();
  for (const stack of stacks) {
    const shared = `${prefix}:${stack.food_id}`;
    const key = spread.has(shared) ? `${shared}:${stack.id}` : shared;
    const pile = byFood.get(key);
    if (pile) pile.stacks.push(stack);
    else byFood.set(key, { key: shared, stacks: [stack] });
  }
  return [...byFood.values()];
}

/** Stacks of each column, in the order given (front first). */
export function bins(stacks: Stack[]): Stack[][] {
  const cells: Stack[][] = COLUMNS.map(() => []);
  for (const stack of stacks) cells[column(stack)]?.push(stack);
  return cells;
}

/** Names that tell foods apart: the short one, but the whole where another food here has the same short one. */
export function names(stacks: Pick<Stack, "food_id" | "name">[]): (stack: Pick<Stack, "name">) => string {
  const foods = new Map<string, Set<number>>();
  for (const stack of stacks)
    foods.set(shortName(stack.name), (foods.get(shortName(stack.name)) ?? new Set()).add(stack.food_id));
  return ({ name }) => ((foods.get(shortName(name))?.size ?? 0) > 1 ? name : shortName(name));
}
