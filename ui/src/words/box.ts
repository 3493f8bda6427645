import { plural } from "./region";

/** What is said of a box that stands packed for a year, in a car or a camper. */
export const standingBox = "As a standing box";
export const title = (place: string) => `${place}, a box that stands packed`;
export const fetching = "Looking into the box";
export const about = (day: string, half: string) =>
  `Refreshed today, dates must reach ${day}. Look through it by ${half}.`;
export const heat = (low: string, high: string) => `It gets ${low} to ${high} °C there: dates count for that.`;
export const noClimate = "Nobody said how warm it gets there: dates count as they are. Say it with the place.";
export const empty = "Nothing is wanted in it yet";
export const emptyNote = "Say which food, and how many packs of it, are to stand there.";
export const wanted = "What stands in it";
export const want = (count: number, stays: number) => `${plural(count, "pack")} wanted, ${stays} stay`;
export const out = (count: number, name: string, eatBy: string | null) =>
  `${plural(count, "pack")} ${count === 1 ? "comes" : "come"} out: ${name}, ` +
  (eatBy ? `eat by ${eatBy}` : "no date to go by");
export const into = (count: number, name: string, place: string, until: string) =>
  `${plural(count, "pack")} ${count === 1 ? "goes" : "go"} in: ${name} from ${place}, ${until}`;
export const buy = (count: number, day: string) => `Buy ${plural(count, "pack")}, dated ${day} or later`;
export const freezes = "It will freeze there and be damaged.";
export const refresh = "Do all the swaps";
export const nothingToDo = "Nothing has to move.";
export const add = "Wants";
export const food = "Food";
export const choose = "choose";
export const packs = "Packs";
export const packsOf = (name: string) => `Packs of ${name}`;
export const say = "Say so";
export const lookThrough = "Look through it";
export const listIt = "Put what to buy on the list";
export const buyNote = (packs: number, place: string, day: string | null) =>
  `${plural(packs, "pack")} for ${place}${day ? `, dated ${day} or later` : ""}`;
export const onTheList = (name: string) => `${name} on the list`;
export const instead = "Something else for the box?";
export const insteadNote =
  "Eaten as it is, at one sitting, by everybody here; most for its weight and its price first.";
export const idea = (name: string, amount: string) => `${name}, ${amount}:`;
export const gives = (kcal: number, protein: string, money: string) =>
  [`${kcal} kcal`, `${protein} g protein`, money].filter(Boolean).join(", ");
export const insteadOf = (packs: number, name: string) => `instead of ${plural(packs, "pack")} of ${name}`;
export const takeInstead = (name: string, words: string) => `${name}, ${words}`;
