import { plural } from "./region";

/** What is said of the hours before a gale. */
export const title = "Before it comes";
export const asking = "Counting back from the hour";
export const about =
  "Say when it comes. From that hour the day is counted back: what to do when, what to eat first, what fresh to buy.";
export const what = "What comes";
export const example = "Gale";
export const hour = "When it comes";
export const helpers = "How many hands help";
export const days = "Days it may last";
export const fill = "Litres of drinking water to fill";
export const flush = "Litres of water for flushing";
export const has = "There is";
export const HAS: readonly (readonly [string, string])[] = [
  ["medicines", "regular medicines to fetch"],
  ["car", "a car"],
];
export const begin = "Count back";
export const comes = (name: string, moment: string) => `${name}, ${moment}`;
export const beginAt = (moment: string) => `Begin at ${moment}.`;
export const allDone = "Everything is done.";
export const byClock = "By the clock";
export const until = (moment: string) => `until ${moment}`;
export const tooLate = "this will not be done in time";
export const leftOut = (names: string[]) => `No time left for: ${names.join("; ")}.`;
export const doneSoFar = "Done";
export const doneBy = (name: string) => `by ${name}`;
export const tick = (name: string) => `Done: ${name}`;
export const untick = (name: string) => `Not done: ${name}`;
export const eatFirst = "Eat first, while there is a fridge";
export const nothingChilled = "Nothing in the fridge spoils.";
export const together = "One meal for all";
export const togetherWhy = "Leftovers too small for everybody, each with tins that make a meal of it.";
export const stretch = (name: string, amount: string, feeds: number, tins: string) =>
  `${name} ${amount}, enough for ${feeds}: with ${tins} all are fed.`;
export const print = "Print it for the fridge door";
export const fresh = "Fresh food that lasts without a fridge";
export const serves = (from: number, to: number) => (from === to ? `day ${from}` : `day ${from} to ${to}`);
export const tins = (label: string, day: number) => `${label}: tins from day ${day} on.`;
export const ice = (litres: string) => `The freezer has room for ${litres} l of ice in bottles.`;
export const over = "It is over, or called off";
export const hoursLeft = (hours: number) =>
  hours >= 1 ? `${plural(Math.floor(hours), "hour")} left` : "less than an hour left";
export const local = "Follow your local authority’s notice before anything here.";
