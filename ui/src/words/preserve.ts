import { plural } from "./region";

/** What is said where food is frozen, dried and bottled at home. */
export const preserve = "Preserve";
export const about = "Freeze, dry, bottle: what goes in, step by step, and what the last batches gave.";
export const fetching = "Looking through the batches";
export const ways: [string, string][] = [
  ["drying", "Dry"],
  ["freezing", "Freeze"],
  ["bottling", "Bottle"],
];
export const wayLabel = "How it is kept";
export const begin = "A new batch";
export const whatDried = "What is dried";
export const whatBottled = "What it becomes";
export const choose = "Choose one";
export const whichFood = "Which food?";
export const weighedIn = "Weighed in, trimmed and cooked";
export const allOfIt = "empty: all that is ticked";
export const trays = "Trays";
export const trayArea = "One tray, dm²";
export const dayHours = "Hours a day it runs";
export const watts = "Watts";
export const neededOn = "Needed on";
export const temperature = "Temperature, °C";
export const source = "Tested recipe, and who published it";
export const sourceNote = "Nothing here gives a time or a temperature for jars: only that recipe does.";
export const note = "Note";
export const beginIt = "Begin the batch";
export const nothingOfIt = "Nothing of it is in the house, told in grams.";
export const lastTime = (own: number, percent: string, hours: string) =>
  own === 0
    ? `No batch of yours yet. Usual: ${percent} % comes out, ${hours} hours.`
    : `Of your last ${plural(own, "batch", "batches")}: ${percent} % comes out, ${hours} hours.`;
export const heatFirst = (degrees: number) =>
  `Meat first: cooked through to ${degrees} °C, fat rinsed off. Until that is ticked it is held.`;
export const perLitre = (grams: number) => `About ${grams} g of produce for a litre of jars.`;
export const loads = (loads: number, each: string, tray: string) =>
  `${plural(loads, "load")} of ${each}, ${tray} a tray`;
export const gives = (out: string, litres: string | null) => `Gives about ${out}${litres ? `, ${litres} litres` : ""}`;
export const takes = (days: number, hours: string) => `${plural(days, "day")} at ${hours} hours a load`;
export const power = (kwh: string) => `${kwh} kWh`;
export const startOn = (day: string, days: number) =>
  `Begin ${day}${days > 0 ? `; it stands ${plural(days, "day")} in the jar before it counts` : ""}`;
export const going = "Under way";
export const noneGoing = "No batch is under way.";
export const sinceWhen = (process: string, day: string) => `${process} since ${day}`;
export const processWord = (process: string) => PROCESS[process] ?? process;
const PROCESS: Record<string, string> = { drying: "dried", freezing: "frozen", bottling: "bottled" };
export const wentIn = (amount: string) => `${amount} went in`;
export const took = (hours: string) => `${hours} hours`;
export const soFar = (hours: string) => `${hours} hours so far`;
export const expects = (out: string, hours: string) => `expect ${out} after ${hours} hours`;
export const steps = "Steps";
export const stepsOf = (name: string) => `Steps of ${name}`;
export const moreHours = "Hours more";
export const heated = "The middle reached, °C";
export const noteIt = "Note it";
export const finish = "What came out";
export const finishOf = (name: string) => `What came out of ${name}`;
export const weighedOut = "Weighed out";
export const passed = (test: string) => `Passed its test: ${test}`;
export const pieces = "Pieces";
export const piecesNote = "cubes, or what was frozen apart";
export const where = "Where it goes";
export const label = "Name on the label";
export const jarSize = "Jars of, ml";
export const sealed = "sealed";
export const unsealed = "not sealed";
export const anotherSize = "Another size";
export const finishIt = "Put it away";
export const giveUp = "Give up";
export const giveUpOf = (name: string) => `Give up ${name}`;
export const tellFirst = "Weigh what came out.";
export const countFirst = "Count the jars.";
export const done = "Batches before";
export const noneDone = "None yet. The first one starts from the usual figures.";
export const cameOut = (out: string, percent: string) => `${out} came out, ${percent} %`;
export const jars = (count: number, ml: number, open: number) =>
  `${plural(count, "jar")} of ${ml} ml${open > 0 ? `, ${open} not sealed` : ""}`;
export const cost = (money: string) => `worth ${money}`;
