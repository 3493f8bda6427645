import { plural } from "./region";

/** What is said of labels to print. */
export const countStacks = (count: number) => plural(count, "stack");
export const countLabels = (count: number) => plural(count, "label");
export const chosen = (count: number) => `${countStacks(count)} chosen`;
export const labels = "Labels";
export const nameAmountDates = "name, amount, dates, place, directions, and a square code that opens the stack";
export const lookingAlongShelf = "Looking along the shelf";
export const findAStack = "Find a stack";
export const find = "Find";
export const place = "Place";
export const everyPlace = "Every place";
export const chooseThese = "Choose these";
export const chooseNone = "Choose none";
export const stacks = "Stacks";
export const print = "Print";
export const sheet = "Sheet";
export const eachHowMany = "Of each, how many";
export const cellsAlreadyUsed = "Cells already used on the first sheet";
export const chooseStacksFirst = "Choose stacks first.";
export const openThePdf = "Open the PDF";
export const picturePng = "As a picture (PNG)";
export const moreStacks = (count: number) => `Show more of the other ${count}`;
