import { plural } from "./region";

/** What is said of days without shopping. */
export const title = "How long does the shelf last?";
export const about = "So many days with no shopping, or with some fresh food all the same.";
export const back = "Meals";
export const days = "Days";
export const freshToo = "Bought all the same";
export const without = (name: string) => `Without ${name}`;
export const look = "Look how long it lasts";
export const looking = "Holding the days against the shelf";
export const lastsAll = (days: number) => `Yes: the shelf carries all ${plural(days, "day")}.`;
export const lastsSome = (lasts: number, days: number) =>
  `Not quite: what is there is enough for ${plural(lasts, "day")} of ${days}.`;
export const sums = (meals: number, sum: string) => `${plural(meals, "meal")} from the shelf, worth ${sum}`;
export const givesOut = "What gives out first";
export const onDay = (food: string, day: string) => `${food}, ${day}`;
export const theMeals = "The meals";
export const missing = (things: string) => `missing: ${things}`;
export const nothingFor = (day: string, meal: string) => `${day}, ${meal}: nothing is left for it`;
export const put = (count: number) => `Put ${plural(count, "meal")} on their days`;
export const begin = "Begin these days";
export const name = "Called what";
export const usualName = "No ferry";
export const runs = (name: string, day: number, days: number) => `${name}: day ${day} of ${days}`;
export const soFar = (meals: number, spent: string) =>
  `${plural(meals, "meal")} since it began, ${spent} spent all the same`;
export const busy = (days: string) => `Little time on ${days}.`;
export const end = "End it";
export const open = "Without shopping";
export const wentWell = "What went well";
export const keepIt = "Keep it";
