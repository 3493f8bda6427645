import { plural } from "./region";

/** What is said of kits, animals and how long a household would last. */
export const kits = "Kits";
export const about = "Ready without power, water or shops: what you need, what is missing, how long you would last.";
export const fetching = "Adding up the kits";
export const newKit = "New kit";
export const none = "No kit yet";
export const noneWhy =
  "Say for whom and for how many days. Then you see what is needed, what of it the shelf has, and what is missing.";
export const before = "Before a gale";
export const powerCut = "Power cut";
export const lastLong = "How long would we last?";
export const days = (count: number) => plural(count, "day");
export const packs = (count: number) => plural(count, "pack");
export const forWhom = (names: string[]) => (names.length > 0 ? `for ${names.join(", ")}` : "for nobody yet");
export const refreshOn = (day: string) => `refresh on ${day}`;
export const pantry = "deep pantry";
export const nothingMissing = "Nothing is missing.";
export const missing = (lines: string[]) => `Missing: ${lines.join(", ")}`;
const notCounted = (count: number) => `${plural(count, "stack")} ${count === 1 ? "does" : "do"} not count`;
export const packsIn = (count: number, left: number) =>
  left > 0 ? `${packs(count)} · ${notCounted(left)}` : packs(count);
export const animals = "Animals";
export const noAnimals = "No animal is entered.";
export const anotherAnimal = "An animal";
export const changeNamed = (name: string) => `Change ${name}`;
export const change = "Change";
export const weighs = (kg: string | null) => (kg ? `${kg} kg` : "weight not said");
export const species = "What it is";
export const SPECIES: readonly (readonly [string, string])[] = [
  ["cat", "cat"],
  ["dog", "dog"],
  ["other", "another animal"],
];
export const otherSpecies = "Which";
export const weight = "Weight in kg";
export const name = "Name";
export const keep = "Keep it so";
export const goneAnimal = "Does not live here any more";

export const kitName = "What it is called";
export const kitExample = "Ferry box";
export const howMany = "For how many days";
export const kitFor = "For whom";
export const school = "How it is kept";
export const SCHOOLS: readonly (readonly [string, string])[] = [
  ["set_apart", "Set apart: boxes nobody touches until refresh day"],
  ["deep_pantry", "Deep pantry: eaten and replaced all year, never below what the days need"],
];
export const conditions = "What may be missing";
export const noPower = "no power";
export const noWater = "no running water";
export const mayLeave = "we may have to leave";
export const hot = "in hot weather";
export const hotDrinks = "hot drinks";
export const disliked = "count what somebody does not like";
export const stove = "To cook with";
export const GEAR: readonly (readonly [string, string])[] = [
  ["none", "nothing"],
  ["kettle", "a kettle: boiling water only"],
  ["burner", "one burner and a pan"],
  ["full", "a whole kitchen"],
];
export const fuelKind = "Fuel";
export const FUELS: readonly (readonly [string, string])[] = [
  ["fuel-gas-canister-mild", "gas canister, mild weather (g)"],
  ["fuel-gas-canister-cold", "gas canister, cold or windy (g)"],
  ["fuel-propane", "propane (g)"],
  ["fuel-alcohol", "alcohol (ml)"],
  ["fuel-white-gas", "white gas (ml)"],
  ["fuel-kerosene", "kerosene (ml)"],
  ["fuel-solid-tablets", "solid tablets (g)"],
  ["fuel-wood", "dry wood (g)"],
];
export const fuelThere = "Fuel that is kept for it, in g or ml";
export const canister = "In one canister";
export const level = "How much";
export const LEVELS: readonly (readonly [string, string])[] = [
  ["low", "just enough"],
  ["usual", "as is usual"],
  ["high", "plenty"],
];
export const effort = "What everybody does";
export const EFFORTS: readonly (readonly [string, string])[] = [
  ["rest", "rests"],
  ["light", "is up and about"],
  ["hiking", "walks all day"],
  ["hard", "works hard, or in the cold"],
];
export const water = "Water to store";
export const WATER: readonly (readonly [string, string])[] = [
  ["drink-cook", "to drink and cook"],
  ["drink-light-hygiene", "to drink, cook and wash a little"],
  ["comfortable", "to drink, cook and wash"],
];
export const refreshDays = "Refreshed each year on";
export const refreshNote = "Month and day: 04-01, 10-01";
export const margin = "Days a date must lie beyond that";
export const budget = "Money for a step, in cents";
export const setKit = "Keep the kit";
export const giveUp = "Give this kit up";
export const giveUpWhy = "What is set apart for it is everybody’s again. What stands in its boxes stays there.";

export const back = "All kits";
export const need = "Need";
export const have = "Have";
export const gap = "Missing";
export const aDay = "a day";
export const line = "Line";
export const whatIsNeeded = "What is needed";
export const neededUntil = (day: string) => `What counts is good until ${day} at least.`;
export const shortOf = (names: string[]) => `not enough for ${names.join(", ")}`;
export const byPerson = "By person";
export const standIn = (name: string, what: string[]) => `${name}: ${what.map((one) => STANDS[one] ?? one).join(", ")}`;
const STANDS: Record<string, string> = {
  age: "no age, counted as an adult",
  sex: "neither woman nor man said, counted as the mean",
  kg: "no weight, counted as usual",
};
export const standsIn = "What stands in for what nobody said";
export const personNeeds = (one: { kcal: string; protein_g: string; drink_l: string }) =>
  `${one.kcal} kcal, ${one.protein_g} g protein, drinks ${one.drink_l} l ${aDay}`;
export const cannot = (food: string, grams: number, other: string, feeds: number) =>
  `${food} needs ${grams} g ${other}; without it ${feeds > 0 ? `${feeds} % of it feeds` : "it feeds nobody"}.`;
export const inTheKit = "What belongs to it";
export const nothingIn = "Nothing belongs to it yet. Close the gap below: the own shelf first.";
export const REASONS: Record<string, string> = {
  counts: "counts",
  elsewhere: "set apart for something else",
  stopped: "not to eat, or look first",
  open: "open",
  cold: "no store: eat it first",
  undated: "nobody knows its date",
  early: "over before the next refresh",
  freezes: "would freeze where it stands",
  heat: "cannot be made with what you cook with",
  nobody: "nobody it is for eats it",
};
export const tooBig = "more than one sitting, once open";
export const gives = (amount: string, unit: string, label: string) => `${label} ${amount} ${unit}`;
export const until = (day: string) => `until ${day}`;

export const checks = "Checks";
export const heat = (litres: string, fuel: string, canisters: number | null) =>
  [`Cooking and hot drinks bring ${litres} l to the boil: fuel ${fuel}`, canisters && plural(canisters, "canister")]
    .filter(Boolean)
    .join(", ")
    .concat(".");
export const fuelShort = (there: string) => `Only ${there} of it is kept here.`;
export const cookWater = (litres: string) => `The food takes ${litres} l of cooking water.`;
export const salt = (mg: number) => `Salty: ${mg} mg of sodium a person and day. It makes thirsty.`;
export const oneSided = (foods: string[]) => `More than half of its line: ${foods.join(", ")}.`;
export const waterApart = (percent: number) => `If the largest container is lost, ${percent} % of the water is left.`;
export const waterTogether = "More than half of the water stands in one container. Keep it in two at least.";
export const opener = "Some tins need an opener: keep one in each box that holds them.";
export const bigPacks = (foods: string[]) => `Too much for one sitting once open: ${foods.join(", ")}.`;
export const glass = (foods: string[]) => `In glass, not for a box that is carried: ${foods.join(", ")}.`;
export const bag = (foods: string[]) => `Into a bag against damp: ${foods.join(", ")}.`;
export const mice = (foods: string[]) => `Into something rigid against mice: ${foods.join(", ")}.`;
export const taste = (days: number, of: number) =>
  days === 0
    ? "Nothing with taste in it: something sweet, salty or to drink keeps people eating."
    : `Something with taste for ${plural(days, "day")} of ${of}.`;
export const tasteless = (names: string[]) => `Nothing with taste that ${names.join(", ")} may have and likes.`;
export const softening = (foods: string[]) =>
  `Soft within a day once open in the heat, so in packs for one sitting: ${foods.join(", ")}.`;
export const besides = "Besides food";
export const boxHolds = "A box holds, litres";
export const boxWeighs = "An empty box weighs, g";
export const carries = "One person carries, kg with the box";
export const carriers = "How many carry";
export const givenUp = "Done without on purpose, such as milk for the mash";
export const waitsForSignal = "waits for signal";
export const listSupplies = "What is missing on the list";
export const coming = "on the list";
export const supply = (amount: number, unit: string) => (unit === "ml" ? `${amount} ml` : String(amount));

export const closeIt = "Close the gap";
export const reckoning = "Looking what closes the gap";
export const closed = "Nothing is missing that can be fetched or bought.";
export const leaveShelf = "Leave our own shelf alone, buy all of it";
export const fromShelf = "From the own shelf";
export const setApart = (count: number) => `Set ${plural(count, "pack")} apart`;
export const toBuy = "To buy";
export const buyAll = (money: string) => `All on the list, ${money}`;
export const step = (at: number) => `Step ${at}`;
export const buyStep = "The next step on the list";
export const carried = (money: string) => `${money} carried over`;
export const cost = (money: string, guessed: boolean) => (guessed ? `about ${money}` : money);
export const bought = (list: { count: number; food: string; pack: string }[]) =>
  list.map((one) => `${one.count} x ${one.food}, ${one.pack}`).join("; ");
export const stillOpen = (label: string, amount: string, unit: string) => `Nothing closes ${label}: ${amount} ${unit}`;
export const listed = (names: string[]) => `On the list for it: ${names.join(", ")}`;
export const mustReach = (day: string) => `Each must be good until ${day} or later.`;
export const saved = "What is missing in the kit";

export const cautions = [
  "Follow your local authority first. A kit is a planning aid, not medical advice.",
  "Fuel stoves never indoors: carbon monoxide kills. Infant formula always by its date.",
];
export const medicines = "Regular medicines: ask the pharmacist how many days you may keep.";

export const refresh = "Refresh";
export const refreshPlan = (stay: number, day: string) =>
  [
    `${plural(stay, "stack")} ${stay === 1 ? "stays" : "stay"}: good until ${day} or later.`,
    "The rest leaves, and as many packs come in.",
  ].join(" ");
export const lookFirst = "over before that day, or without a date: look first";
export const lookAt = "Look at it";
export const eatIt = (weeks: number, packs: number, day: string) =>
  `to the kitchen: ${plural(packs, "pack")} a week for ${plural(weeks, "week")}, until ${day}`;
export const takeOut = (name: string) => `To the kitchen: ${name}`;
export const toKitchen = "To the kitchen";
export const putInNamed = (name: string) => `Put in: ${name}`;
export const putIn = "Put in";
export const buyFor = (list: { count: number; food: string; pack: string }[]) => `To buy: ${bought(list)}.`;
export const refreshDone = "It is refreshed";
