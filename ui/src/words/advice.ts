import { plural } from "./region";

/** What a look back advises, and what was learnt. */
export const toChange = "Worth changing";
export const toChangeNote = "what would have saved most in these days";
export const nothingToChange = "Nothing stands out. Too little was wasted, or too little is known yet.";
export const saves = (sum: string) => `It would have saved ${sum}.`;
export const notNow = "Not now";
export const about = (food: string) => `Advice on ${food}`;
export const doOf = (what: string, food: string) => `${what}: ${food}`;

const CHANGES: Record<string, (to: string) => string> = {
  freeze: () => "freeze it on the day it comes home",
  smaller_pack: (to) => `buy packs of ${to} at most`,
  lower_par: (to) => `keep about ${to} in the house, not more`,
  place: (to) => `keep it in ${to}`,
  dish: (to) => `cook ${to} once more`,
  stop: () => "stop buying it for three months",
};
export const change = (kind: string, to: string | null) => CHANGES[kind]?.(to ?? "") ?? kind;

const TOUCHES: Record<string, string> = {
  freeze: "Put it into the freezer from now on",
  smaller_pack: "Ask for small packs from now on",
  lower_par: "Keep less of it",
  place: "Make that its place",
  dish: "Put the dish aside for later",
  stop: "Take it off the list",
};
export const doIt = (kind: string) => TOUCHES[kind] ?? kind;

const CHANGED: Record<string, string> = {
  freeze: "frozen as it comes home",
  smaller_pack: "smaller packs",
  lower_par: "less in the house",
  place: "another place",
  dish: "a dish more",
  stop: "not bought",
};
export const changed = (kind: string) => CHANGED[kind] ?? kind;
export const didItHelp = "Did it help?";
export const since = (what: string, day: string) => `${what}, since ${day}`;

/** The verdict on a change, with both sums where there is one. */
export function verdict(kind: string, weeks: number, before: string, after: string): string {
  if (kind === "early") return "Too early to say: ask again after four weeks.";
  const sums = `${after} wasted in ${plural(weeks, "week")} since, ${before} in as many before.`;
  if (kind === "cannot_tell") return `Cannot tell: too little of it left. ${sums}`;
  return kind === "helped" ? `It helped: ${sums}` : `No difference worth the name: ${sums}`;
}

export const keptHere = "How long things keep here";
export const keptHereNote = "from your looks and what turned; about taste, never about safety";

const STATES: Record<string, string> = {
  whole: "whole",
  opened: "opened",
  frozen: "frozen",
  cut: "cut",
  cooked: "cooked",
};
const PLACES: Record<string, string> = {
  cupboard: "in a cupboard",
  cool_dark: "in a cool, dark place",
  fridge: "in the fridge",
  freezer: "in the freezer",
};
const METHODS: Record<string, string> = {
  bag: "in a bag",
  jar: "in a closed jar",
  water: "standing in water",
  paper: "wrapped in paper",
  vacuum: "without air",
};
export const way = (state: string, place: string, method: string | null) =>
  [STATES[state] ?? state, PLACES[place] ?? place, method === null ? null : METHODS[method]].filter(Boolean).join(", ");

interface Kept {
  enough: boolean;
  notes: number;
  median_days: number | null;
  longest_good: number | null;
  guide_low: number | null;
  guide_high: number | null;
}

function guide(one: Kept): string {
  if (one.guide_low === null) return "The guide says nothing.";
  const high = one.guide_high;
  const days =
    high !== null && high !== one.guide_low
      ? `${one.guide_low} to ${plural(high, "day")}`
      : plural(one.guide_low, "day");
  return `The guide says ${days}.`;
}

/** "Half had turned after 12 days (5 notes). The guide says 7 days." */
export function kept(one: Kept): string {
  const notes = plural(one.notes, "note");
  if (!one.enough) return `${notes} so far, too few to say. ${guide(one)}`;
  const here =
    one.median_days === null
      ? `more than half outlasted ${plural(one.longest_good ?? 0, "day")}`
      : `half had turned after ${plural(one.median_days, "day")}`;
  return `${here} (${notes}). ${guide(one)}`;
}

export const eatDowns = "Days without shopping";
export const mealsMade = (count: number) => `${plural(count, "meal")} made from the shelf.`;
export const notSpent = (sum: string, usual: string) => `${sum} not spent, of ${usual} in as many usual days.`;
export const buyLess = (foods: string) => `Nobody touched: ${foods}. Buy less of these.`;
