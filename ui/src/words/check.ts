import { plural } from "./region";

/** What is said while somebody looks through a place. */
export const lookThrough = "Look through";
export const lookThroughPlace = (place: string) => `Look through ${place}`;
export const backToPlace = "Back to the place";
export const fetching = "Fetching what stands there";
export const lastDone = (day: string) => `Last looked through ${day}`;
export const neverDone = "Nobody has noted a look through it yet";
export const dueOn = (day: string) => `due ${day}`;
export const nothing = "Nothing stands here";
export const boxAsks =
  "Open it: are all seals sound, is it dry inside, does anything smell or leak? " +
  "Then say of each stack how you found it.";
export const placeAsks = "Say of each stack how you found it. What you leave open stays as it was.";
export const LISTS: Record<string, string> = {
  tin: "Tins",
  jar: "Jars",
  home_jar: "Jars bottled at home",
  flour_grain: "Flour, grain, pulses",
  frozen: "Frozen",
  fresh: "Fresh",
  open: "Open packs",
  honey: "Honey",
  supply: "Supplies",
  other: "Other packs",
};
export const RESULTS = [
  ["good", "good"],
  ["turning", "turning"],
  ["bad", "bad"],
] as const;
export const signs = (means: string, list: string[]) => `${MEANS[means] ?? means}: ${list.join("; ")}.`;
const MEANS: Record<string, string> = { good: "Good", turning: "Turning", bad: "Bad" };
export const howIs = (name: string) => `How is ${name}?`;
export const besidePests = "pests were found beside it";
export const oldWater = (days: number) => `stands for ${plural(days, "day")}: pour it out and fill anew`;
export const noDate = "no date";
export const restIsGood = (count: number) => `The other ${plural(count, "stack")} ${count === 1 ? "is" : "are"} good`;
export const allGood = (count: number) =>
  count === 1 ? "The stack is good" : `All ${plural(count, "stack")} are good`;
export const damp = "It is damp in there";
export const done = "I looked through it";
export const saidOf = (said: number, of: number) => `${said} of ${of} said`;
