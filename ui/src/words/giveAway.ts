import { plural } from "./region";

/** What is said where food is given away. */
export const title = "Give away";
export const about = "Sealed, good for two weeks at least, and more than will be eaten here in time.";
export const looking = "Looking what can be spared";
export const nothing = "There is nothing to spare";
export const nothingWhy = "Nothing here is sealed, good for two weeks more, and beyond what will be eaten in time.";
export const WHY: Record<string, string> = {
  beyond: "more than will be eaten in time",
  unused: "nobody has used it since it came",
};
export const until = (day: string) => `good until ${day}`;
export const holds = (list: string[] | null) =>
  list === null ? "nobody knows what it holds" : list.length === 0 ? "" : `holds ${list.join(", ")}`;
export const to = "To whom";
export const example = "the food bank";
export const handOver = (count: number) => `${plural(count, "stack")} handed over`;
export const handed = "What was handed over";
export const all = "Tick all";
export const print = "Print the list";
export const back = "Look back";
