import { plural } from "./region";

/** What is said where somebody asks what can be made with some foods. */
export const title = "What can be made with this?";
export const toShelf = "To the shelf";
export const andWith = "And with";
export const without = (name: string) => `Without ${name}`;
export const pickFirst = "Pick a food that is there, or one that has to go.";
export const looking = "Holding the dishes against it";
export const howLong = "How long there is";
export const anyTime = "any time";
export const within: [string, string][] = [
  ["15", "within 15 minutes"],
  ["30", "within 30 minutes"],
  ["60", "within an hour"],
];
export const withoutFlame = "without a flame";
export const nothingMissing = "nothing missing";
export const count = (number: number) => plural(number, "dish", "dishes");
export const none = "No dish is like that. Take a wish away.";
export const more = (number: number) => `Show ${number} more`;
export const whatGoes = "Dishes that use it";
