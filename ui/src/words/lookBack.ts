import { plural } from "./region";

/** What is said while a household looks back. */
export const title = "Look back";
export const adding = "Adding up what became of the food";
export const lastEight = "Last eight weeks";
export const before = "The month before";
export const after = "The month after";
export const printMonth = "Print this month";
export const giveAway = "Give away";
export const nothing = "Nothing has left the house in these days";
export const nothingWhy = "Take, cook, count or throw something away, and it is told here with what it was worth.";

export const leaving = "left the house";
export const wasted = (amount: string) => `went to waste, ${amount}`;
export const wasteShare = "of what left, by worth";
export const rescued = "eaten in its last seven days";
export const estimated = (sum: string) => `${sum} of it at a guessed price, since nobody said what was paid.`;
export const unweighed = (count: number) => `${plural(count, "take")} nobody can weigh.`;

export const KINDS: Record<string, string> = {
  eaten: "Eaten",
  given_away: "Given away",
  animals: "Fed to animals",
  composted: "Composted",
  binned: "Binned",
  lost: "Lost in a count",
};

export const whatBecame = "What became of it";
export const eachWeek = "What left, week by week";
export const eachWeekNote = "by what it was worth; touch a week for what is behind it";
export const spentWeeks = "What was spent";
export const spentNote = "by kind of food, in the table also for a person and day; touch a week for what was bought";
export const stockWeeks = "What is in the house";
export const stockNote = "worth at the end of each week, and how long that would last at what was eaten before";
export const asTable = "As a table";
export const csv = "CSV";
export const csvOf = (what: string) => `CSV: ${what}`;
export const week = "Week";
export const spent = "Spent";
export const eaterDays = "Days times eaters";
export const eachDay = (sum: string, each: string) => `${sum} (${each})`;
export const perEaterDay = "A person and day";
export const inHouse = "In the house";
export const lasts = "Weeks it lasts";
export const worth = "Worth";
export const weighs = "Weighs";
/** A share of a thousand as people say it: "5.1 %". */
export const percent = (permille: number) => `${(permille / 10).toFixed(1)} %`;
export const share = "Share";
export const other = "Other";

export const bySome = "Added up by";
export const WAYS: [Way, string][] = [
  ["food", "food"],
  ["reason", "reason"],
  ["group", "kind of food"],
  ["place", "place"],
  ["shop", "shop"],
  ["pack", "pack size"],
  ["kit", "kit"],
  ["person", "who noted it"],
];
export type Way = "reason" | "food" | "group" | "place" | "shop" | "pack" | "kit" | "person" | "week";
export const left = "Left";
export const wastedColumn = "Wasted";
export const wastedShare = "Of it";
export const behind = (name: string) => `Behind: ${name}`;
export const behindOf = (name: string) => `What is behind ${name}`;
export const noted = (person: string, place: string) => `${person}, from ${place}`;
export const inPacks = (size: string) => `in ${size}`;

/** How far from its date it left. */
export function daysLeft(days: number): string {
  if (days === 0) return "on its last day";
  return days < 0 ? `${plural(-days, "day")} past its date` : `${plural(days, "day")} before its date`;
}

export const guessed = "guessed price";
export const showAll = (count: number) => `Show all ${count}`;

export const adds = "How the sums add up";
export const addsNote = "what was in the house, what came, what left";
export const opening = "In the house before";
export const closing = "In the house after";
export const CAME: Record<string, string> = {
  bought: "Bought",
  made: "Made here",
  brought_in: "Brought in by a list",
  found: "Found in counts",
  corrected: "Corrected",
};

export const ranOut = "What ran out";
export const ranOutNote = "though it is eaten here";
export const outFor = (from: string, days: string, until: string | null) =>
  until ? `out on ${from}, more came on ${until}, ${days} without` : `out since ${from}, ${days} without`;
export const days = (count: number) => plural(count, "day");
export const times = "times";
export const nothingRanOut = "Nothing that is eaten here ran out.";
