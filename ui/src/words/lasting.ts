import { plural } from "./region";

/** What is said of how long the household would last. */
export const lastTitle = "How long would we last";
export const lastAbout = "On everything in the house, from today, without another shop: the best way of eating it.";
export const counting = "Trying every way of eating";
export const COLUMNS: Record<string, string> = {
  all: "Power and water",
  dark: "No power",
  dry: "No running water",
  dark_dry: "No power, no water",
};
export const OUT: Record<string, string> = {
  water: "water to drink",
  food: "food",
  heat: "fuel",
  cooking_water: "water to cook",
  both: "fuel and water to cook",
};
export const first = (what: string) => `First to run out: ${what}.`;
export const longer = "Longer than anybody looked.";
export const dayMore = (names: string[]) => `A day more for ${names.join(", ")}.`;
export const alone = "Each thing by itself";
export const aloneNote = "Days it would last, whatever else is there.";
export const waterDays = "water to drink";
export const foodDays = "food";
export const proteinDays = "protein";
export const formulaDays = "formula";
export const petDays = (name: string) => `food for the ${name}`;
export const endless = "no end";
export const oneMore = "In the dark and dry, one more of these would give";
export const MORE: Record<string, string> = {
  canister: "a gas canister",
  water: "a 5 l container of water",
  tins: "a dozen tins of beans",
  rice: "a 5 kg sack of rice",
};
export const more = (days: number, persons: number) =>
  days > 0 ? `${plural(days, "day")} more` : persons > 0 ? `${plural(persons, "person-day")} more` : "nothing";
export const withKit = (name: string) => `With the stove and fuel of ${name}.`;
export const freezer = "The freezer is";
export const FREEZER: readonly (readonly [string, string])[] = [
  ["100", "full"],
  ["50", "half full"],
  ["25", "nearly empty"],
];
export const heatThere = (litres: string) => `Fuel for ${litres} l brought to the boil.`;
