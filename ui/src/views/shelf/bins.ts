import type { Stack } from "../../api/types";

/** Columns by time left; the left edge is the front of the shelf. */
export const COLUMNS = [
  { name: "past", upTo: -1 }, { name: "3 days", upTo: 3 }, { name: "1 week", upTo: 7 }, { name: "2 weeks", upTo: 14 }, { name: "1 month", upTo: 30 }, { name: "3 months", upTo: 91 },
  { name: "6 months", upTo: 182 }, { name: "1 year", upTo: 365 }, { name: "later", upTo: Infinity }, { name: "no date", upTo: Infinity },
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

/** The grid: empty columns are narrow. */
export function template(used: boolean[]): string {
  return ["132px", ...used.map((full) => (full ? "minmax(0,1fr)" : "minmax(26px,.28fr)"))].join(" ");
}
