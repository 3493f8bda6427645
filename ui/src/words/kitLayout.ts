import { plural } from "./region";

/** What is said of a kit’s menu and its boxes. */
export const menu = "Menu";
export const layingOut = "Laying out the meals";
export const menuNote = (heat: string, water: string) =>
  [
    "Whole packs that do not keep once open first; then what keeps, so that the days come level.",
    `It takes ${heat} l brought to the boil and ${water} l of cooking water.`,
  ].join(" ");
export const dayNumber = (day: number) => `Day ${day}`;
export const ofNeed = (kcal: number, percent: number) => `${kcal} kcal, ${percent} % of what is needed`;
export const MEALS: Record<string, string> = { morning: "Morning", midday: "Midday", evening: "Evening" };
export const nothing = "nothing";
export const nothingFor = (names: string[]) => `nothing for ${names.join(", ")}`;
export const leftOver = (foods: string[]) => `Left over: ${foods.join(", ")}.`;
export const boxes = "Boxes";
export const printMenu = "Print the menu";
export const printCards = "Print the box cards";
export const printLids = "Print the lids";
export const packAll = "All boxes are packed like this";
export const packed = "Packed";
export const packedBox = (number: number) => `Packed: box ${number}`;
export const packing = "What lies in which box";
export const inIt = "in it";
export const eaten = "Eaten";
export const eatenMeal = (day: number, meal: string) => `Eaten: day ${day}, ${meal.toLowerCase()}`;
export const lookThroughIt = "Look through it";
export const whatIsInIt = "What is in it now";
export const dealing = "Dealing the packs";
export const boxesNote = (trips: number, carriers: number) =>
  [
    `${plural(trips, "walk")} for ${plural(carriers, "carrier")}.`,
    "Dealt so that losing one box keeps about half of everything.",
  ].join(" ");
export const boxNumber = (number: number, of: number) => `Box ${number} of ${of}`;
export const boxFacts = (kg: string, percent: number) => `${kg} kg, ${percent} % full`;
export const boxOpener = "opener";
export const boxGlass = "glass";
export const ifLost = "If the worst box is lost, this stays";
export const badlySpread = "badly spread";
export const inNoBox = (names: string[]) => `Too heavy or too large for a box: ${names.join(", ")}.`;
export const beside = "Beside the boxes, carried by itself";
