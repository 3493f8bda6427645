import { plural } from "./common";

export const title = "Is the big pack worth it?";
export const about =
  "A big pack is cheap only where it is eaten. What goes here in a week and how long it is good once open decide.";
export const backToShop = "Shop";
export const check = "Is the big pack worth it?";
export const food = "Which food";
export const another = (name: string) => `${name}; or another food`;
export const whichFood = "Choose the food first: type a few letters of it.";
const USUAL = ["Usual pack", "Other pack"];
export const packNumber = (at: number) => USUAL[at] ?? "Pack";
export const sizeOf = (at: number) => `${packNumber(at)}, size`;
export const unitOf = (at: number) => `${packNumber(at)}, in`;
export const priceOf = (at: number) => `${packNumber(at)}, price`;
export const useWeek = "Used in a week, g (empty: as it is known here)";
export const ask = "What does it really cost?";
export const notKnown = "Nobody knows yet how fast it goes";
export const sayUse = (name: string) => `Say how much ${name} you use in a week, and ask again.`;
export const takeIt = (size: string) => `Take the ${size}`;
export const takeNone = "Nothing of it would be eaten";
export const atUse = (use: string, name: string, said: boolean) =>
  said ? `At ${use} of ${name} a week, as you say.` : `${name} goes at ${use} a week here.`;
export const offerOf = (at: number) => `${packNumber(at)}, offer`;
export const noOffer = "none";
export const OFFERS: [string, string][] = [
  ["two_for", "two for that price"],
  ["half_price", "half that price"],
  ["third_free", "third one free"],
];
const AS_OFFERED: Record<string, string> = {
  two_for: "two for one price",
  half_price: "at half price",
  third_free: "the third one free",
};
/** "2 x 400 g for €1.50, two for one price" */
export const packFor = (size: string, price: string, offer: string | null) =>
  [`${size} for ${price}`, offer === null ? null : AS_OFFERED[offer]].filter(Boolean).join(", ");
export const goodFor = (days: number | null) =>
  days === null ? "It keeps: " : `Good ${plural(days, "day")} once open: `;
export const frozen = (amount: string, portions: number | null) =>
  `With ${amount} in the freezer${portions === null ? "" : `, in ${plural(portions, "portion")}`}: `;
export const dried = (amount: string) => `With ${amount} dried: `;
export const allOfIt = "all of it is eaten";
export const soMuchOfIt = (amount: string) => `${amount} of it is eaten`;
export const nothingEaten = "nothing of it is eaten.";
export const costs = (eaten: string, weeks: number | null, kilo: string, portion: string | null) =>
  [
    `${eaten}${weeks === null ? "" : `, in ${plural(weeks, "week")}`}.`,
    `That is ${kilo} a kilo${portion === null ? "" : `, ${portion} a portion`}.`,
  ].join(" ");
export const onlyFrozen = (size: string, amount: string) =>
  `Take the ${size} only if ${amount} of it go into the freezer and there is room.`;
export const fromUse = (use: string) => `From ${use} a week on, the larger one costs no more.`;
export const forms = "Other forms, and what stands in for it";
export const form = (food: string, grams: number, kilo: string) =>
  `${food}: ${grams} g for 100 g, so as much as a kilo costs ${kilo}.`;
