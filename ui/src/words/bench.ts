import { plural } from "./region";

/** What is said at the bench, where food is shared out into portions. */
export const portion = "Portion";
export const jobs = "Jobs of the bench";
export const tabs: [string, string][] = [
  ["/portion", "Portions"],
  ["/portion/bowls", "Bowls"],
  ["/portion/bags", "Bags"],
  ["/portion/preserve", "Preserve"],
  ["/portion/season", "Season"],
];
export const about = "Several packs in, portions out: size, cost and dates are shown before anything moves.";
export const whichFood = "Which food?";
export const chooseFood = "Choose a food that is in the house";
export const fetching = "Looking along the shelf";
export const nothing = "Nothing here is told in grams or millilitres";
export const nothingNote = "The bench works by weight. What you put away with its weight can be portioned.";
export const whatGoesIn = "What goes in";
export const take = (name: string, amount: string, place: string) => `${name}, ${amount}, ${place}`;
export const howMuch = (name: string, unit: string) => `How much of ${name}, in ${unit}; empty: all`;
export const trim = "Trim, weighed";
export const trimNote = "empty: as usual for it";
export const spoiled = "Spoiled, thrown out";
export const howMany = "Portions by";
export const soMany = "number";
export const ofOneSize = "size";
export const byJar = "jars";
export const whichJars = "Which jars?";
export const chooseJars = "Choose jars that are empty";
export const jarOf = (name: string, empty: number) => `${name}, ${empty} empty`;
export const jarTakes = (name: string, takes: string | null) => (takes ? `${name}: takes ${takes}` : name);
export const looseLids = "with room to swell; close the lids loosely, and tighten them tomorrow";
export const portionsField = "How many portions";
export const sizeField = "One portion";
export const fresh = "How many stay fresh";
export const freshPlace = "Where the fresh ones go";
export const allPlace = "Where they go";
export const frozenPlace = "Freezer for the rest";
export const noFreezer = "none, all stay fresh";
export const staysThere = "where it stands";
export const label = "Name on the label";
export const itComesTo = "It comes to";
export const workingOut = "Working it out";
export const tickOne = "Tick what goes in.";
export const so = (count: number, share: string, pool: string) =>
  `${plural(count, "portion")} of ${share}, from ${pool}`;
export const costs = (list: string[]) => list.join(", ");
export const cost = (count: number, money: string) => `${count} at ${money}`;
export const gives = (kcal: number | null, protein: string | null) =>
  [kcal === null ? "" : `${kcal} kcal`, protein === null ? "" : `${protein} g protein`].filter(Boolean).join(", ");
export const each = "Each";
export const trimmed = (amount: string) => `${amount} trim`;
export const rest = (amount: string, money: string) => `${amount} stay over, worth ${money}`;
export const spoiledWorth = (money: string) => `Spoiled: worth ${money}`;
export const until = (amount: string, place: string, day: string) => `${amount} in ${place}: ${day}`;
export const goodUntil = (day: string) => `good until ${day}`;
export const notToEat = "not to eat";
export const noDate = "no date";
export const portionIt = "Portion it";
export const made = "Portioned";
export const printLabels = "Print their labels";
export const scraps = "Bones and scraps for stock";
export const scrapsWeight = "They weigh";
export const scrapsNote = "they are worth nothing, and keep no longer than raw poultry";
export const scrapsInto = "Into";
export const noTub = "no tub: beside it";
export const beside = "Beside a ready-made one";
export const besideNone = "choose one you have bought";
export const readyPack = (name: string, amount: string, money: string) => `${name}, ${amount}: ${money}`;
export const readyGives = (kcal: number, protein: string) => `${kcal} kcal, ${protein} g protein`;
export const per100 = (yours: string, theirs: string) => `For 100 kcal: yours ${yours}, that ${theirs}`;
export const room = (needs: string, place: string, free: string) => `Needs ${needs} of ${free} free in ${place}`;
export const noRoom = (needs: string, place: string, free: string) =>
  `Does not fit: needs ${needs}, ${place} has ${free} free`;
