import type { Recurrence } from "../api/types";
import { monthName, shortDay, weekdayName } from "./common";
import { plural } from "./region";

/** What is said of meals that come round. */
export const title = "Occasions";
export const about = "Birthdays, feasts, the last Sunday of a month: what is usual, what to begin when, how it was.";
export const fetching = "Fetching the occasions";
export const fetchingOne = "Fetching the occasion";
export const none = "Nothing comes round yet";
export const noneHint = "Write down a birthday or a feast: its day, who comes, its usual dishes.";
export const addOne = "Write down an occasion";
export const back = "Occasions";
export const name = "What";
export const comesRound = "Comes round";
export const kinds: [string, string][] = [
  ["date", "Every year, on a date"],
  ["weekday", "Every year, on a weekday of a month"],
  ["monthly", "Every month, on a weekday"],
  ["once", "Once"],
];
export const onDay = "Day";
export const month = "Month";
export const dayOfMonth = "Day of the month";
export const weekday = "Weekday";
export const which = "Which";
export const nths: [string, string][] = [
  ["1", "the first"],
  ["2", "the second"],
  ["3", "the third"],
  ["4", "the fourth"],
  ["-1", "the last"],
];
export const months = Array.from({ length: 12 }, (_, at): [string, string] => [String(at + 1), monthName(at)]);
export const weekdays = Array.from({ length: 7 }, (_, at): [string, string] => [String(at), weekdayName(at)]);
export const forMeal = "Meal";
export const meals: [string, string][] = ["breakfast", "lunch", "dinner", "snack"].map((meal) => [meal, meal]);
export const servedAt = "On the table at";
export const save = "Save";
export const change = "Change";
export const putAway = (name: string) => `Put away ${name}`;
export const away = "Put it away";

const nthWords = (nth: number | undefined) => nths.find(([value]) => value === String(nth))?.[1] ?? "";

/** "every year on 5 Dec", "every year on the last Sunday of Aug". */
export function roundWords(said: Recurrence): string {
  const day = weekdayName(said.weekday ?? 0);
  switch (said.kind) {
    case "once":
      return said.on ? `once, on ${shortDay(said.on)} ${said.on.slice(0, 4)}` : "once";
    case "date":
      return `every year on ${said.day} ${monthName((said.month ?? 1) - 1)}`;
    case "weekday":
      return `every year on ${nthWords(said.nth)} ${day} of ${monthName((said.month ?? 1) - 1)}`;
    default:
      return `${nthWords(said.nth)} ${day} of every month`;
  }
}

export const over = "is over";
export const inDays = (days: number) => (days === 0 ? "today" : `in ${plural(days, "day")}`);
export const heads = (count: number) => plural(count, "person", "people");
export const dishes = (count: number) => plural(count, "dish", "dishes");
export const ideasCount = (count: number) => plural(count, "idea");
export const onThePlan = "on the plan";
export const notPlanned = "not on the plan yet";
export const menu = "The menu";
export const noMenu = "No dish is on it yet. Find one below, or take one out of the pocket.";
export const why: Record<string, string> = {
  asked: "for those who come",
  last_time: "by what was eaten the last time",
  said: "as you said",
};
export const howMany = (name: string) => `Portions of ${name}`;
export const byItself = "leave it to the house";
export const ahead = "made the day before";
export const makeAhead = (name: string) => `The day before: ${name}`;
export const sameDay = (name: string) => `On the day instead: ${name}`;
export const onTheDay = "On the day instead";
export const dayBefore = "The day before";
export const offTheMenu = "Off the menu";
export const portionsWord = "portions";
export const takeOff = (name: string) => `Off the menu: ${name}`;
export const lacks = (things: string) => `to buy: ${things}`;
export const allThere = "all of it is there";
export const gone = (keys: string) => `Not among the dishes any more: ${keys}`;
export const addDish = "Put a dish on the menu";
export const findDish = "Find a dish by its name";
export const foundDishes = "Dishes found";
export const noDish = "No dish is called that.";
export const toBuy = (sum: string) => `to buy ${sum}`;
export const hold = (day: string) => `Put it on ${day}`;
export const held = (name: string) => `Put ${name} on the plan`;
export const seeWeek = "See its week";
export const beginWhen = "What to begin when";
export const nothingToDo = "Nothing has to be begun yet.";
export const work = (name: string, minutes: number) => `${name}: ${plural(minutes, "minute")} of work`;
export const oven = (name: string, minutes: number) => `${name} into the oven for ${plural(minutes, "minute")}`;
export const alone = (name: string, minutes: number) => `${name} goes by itself for ${plural(minutes, "minute")}`;
export const cookNumber = (number: number) => `cook ${number}`;
export const serve = "On the table";
export const theDayBefore = "The day before";
export const before = (name: string, work: number, alone: number) =>
  `${name}: ${plural(work, "minute")} of work${alone > 0 ? `, then ${plural(alone, "minute")} by itself` : ""}`;
export const stands = (name: string, minutes: number) =>
  `${name} is ready ${plural(minutes, "minute")} early; keep it warm.`;
export const hands = (cooks: number, ovens: number) =>
  `with ${plural(cooks, "cook")} and ${ovens === 0 ? "no oven" : plural(ovens, "oven")}`;
export const cooks = "Cooks";
export const ovens = "Ovens";
export const whoComes = "Who comes";
export const guests = "Guests";
export const guestsHint =
  "A line each; after a colon what they may not have, of celery, crustacean, egg, fish, gluten, lupin, milk, " +
  "mollusc, mustard, nuts, peanut, sesame, soy, sulphite: “Bram: egg, milk”.";
export const pocket = "The pocket";
export const pocketHint = "Ideas, all year round.";
export const idea = "An idea";
export const keepIdea = "Keep it";
export const dropIdea = (text: string) => `Drop the idea: ${text}`;
export const drop = "Drop";
export const notes = "Notes";
export const howItWas = "How it was";
export const never = "Nothing is written down of it yet.";
export const writeDown = "Write down how it was";
export const held_on = "Held on";
export const came = "Came";
export const cooked = "Cooked";
export const left = "Left";
export const leftOf = (name: string) => `Portions of ${name} left`;
export const cookedOf = (name: string) => `Portions of ${name} cooked`;
export const noted = (cooked: string, left: string | null) =>
  left === null ? `${cooked} cooked` : `${cooked} cooked, ${left} left`;
export const otherwise = "Next time otherwise";
export const printIt = "Print";
export const soon = (day: string, days: number, count: number) => `${day}, ${inDays(days)}, ${heads(count)}`;
export const comesUp = "Comes up";

/** What people call what they may not have, by the house's own words for it; nuts are taken for all of them. */
export const allergenWords: Record<string, string[]> = {
  nuts: ["tree-nut", "peanut"],
  nut: ["tree-nut", "peanut"],
  "tree nuts": ["tree-nut"],
  peanuts: ["peanut"],
  eggs: ["egg"],
  dairy: ["milk"],
  lactose: ["milk"],
  cream: ["milk"],
  cheese: ["milk"],
  wheat: ["gluten"],
  shellfish: ["crustacean", "mollusc"],
  prawns: ["crustacean"],
  shrimp: ["crustacean"],
  mussels: ["mollusc"],
  soya: ["soy"],
  sulphites: ["sulphite"],
};
export const eveningBefore = "(the day before)";
export const allergens: readonly string[] = [
  "celery",
  "crustacean",
  "egg",
  "fish",
  "gluten",
  "lupin",
  "milk",
  "mollusc",
  "mustard",
  "peanut",
  "sesame",
  "soy",
  "sulphite",
  "tree-nut",
];
export const unknownWords = (words: string) =>
  `Nobody here knows “${words}”. Say one of ${allergens.join(", ")}, or mind it yourself. Nothing was saved.`;
