import { plural } from "./region";

/** What is said at the bench, where bags of several foods are filled for the way. */
export const bags = "Bags";
export const about = "One bag, then as many as the shelf gives: weight, energy, cost and dates before anything moves.";
export const fetching = "Counting what bags the shelf gives";
export const whichBag = "Which bag?";
export const ownBag = "One of my own";
export const canMake = (name: string, can: number) => `${name}: ${can === 0 ? "not now" : `${can} possible`}`;
export const oneBag = "What goes into one bag";
export const grams = (name: string) => `${name}, g`;
export const leaveOut = (name: string) => `Leave out ${name}`;
export const leaveOutShort = "Leave out";
export const addFood = "Put in besides";
export const chooseFood = "a food that is in the house";
export const add = "Put in";
export const amountWord = "How much";
export const unitWord = "In";
export const units: [string, string][] = [
  ["g", "g"],
  ["tsp", "teaspoons"],
  ["tbsp", "tablespoons"],
  ["metric_cup", "cups of 250 ml"],
  ["ml", "ml"],
  ["piece", "pieces"],
];
export const suits = (names: string[]) => `A scoop that suits it: ${names.join(", ")}`;
export const howMany = "How many bags";
export const empty = "Empty bags on hand";
export const asMany = "as many as it takes";
export const packedIn = "Packed in";
export const nothingSaid = "nothing said";
export const holds = (name: string, ml: number) => `${name}, holds ${ml} ml`;
export const lowAir = "Closed without air";
export const mixed = "All mixed in one bowl first";
export const where = "Where they go";
export const label = "Name on the label";
export const directions = "How to make it ready";
export const chooseOne = "Choose a bag, or put something in.";
export const nameFirst = "Say what it is called.";
export const makeThem = "Fill the bags";
export const makes = (makes: number, want: number) =>
  makes === want ? plural(makes, "bag") : `${makes} of ${plural(want, "bag")}`;
export const weighs = (net: string, gross: string) => (net === gross ? net : `${net}, ${gross} packed`);
export const gives = (kcal: number, protein: string, perGram: string) =>
  `${kcal} kcal, ${protein} g protein, ${perGram} kcal per g`;
export const water = (amount: string, eaten: string, heat: string | null) =>
  `With ${amount} ${heat === "cold" ? "cold water" : "boiling water"} it is ${eaten}`;
export const before = "Without the change";
export const costs = (count: number, money: string, until: string) => `${count} at ${money}, ${until}`;
export const goodUntil = (day: string) => `good until ${day}`;
export const noDate = "no date";
export const holdsAllergens = (names: string[]) => `Holds ${names.join(", ")}`;
export const notFor = (names: string[]) => `Not for ${names.join("; ")}`;
export const tooSmall = (name: string, larger: string | null) =>
  `${name} is too small to eat it from${larger ? `: take ${larger}` : ""}.`;
export const printLabels = "Print their labels";
export const keepIt = "Keep it as a bag of ours";
export const keepNote = "It stands among the bags then: to be filled again, and for meals on a trip.";
export const keepName = "Its name";
export const forMeal = "Eaten at";
export const eatenFrom = "Eaten from";
export const vessels: [string, string][] = [
  ["bag", "its bag"],
  ["cup", "a cup"],
  ["pot", "a pot"],
];
export const waterToAdd = "Water to add";
export const waterHeat = "That water is";
export const heats: [string, string][] = [
  ["boil", "boiling"],
  ["cold", "cold"],
  ["none", "none"],
];
export const stands = "It stands for";
export const dropIt = "Take this bag off the list";
export const ours = (name: string) => `${name}, ours`;
