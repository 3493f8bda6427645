import { plural } from "./region";

/** What is said of trips, and of what is eaten on the way. */
export const trips = "Trips";
export const about = "What is eaten when on the way, what it weighs, and what stands against it.";
export const fetching = "Looking up the trips";
export const none = "No trip is written down";
export const noneWhy = "Say who goes when with what gear. The meals can then be filled from the shelf.";
export const newTrip = "A new trip";
export const changeTrip = "Change the trip";
export const save = "Save";
export const giveUp = "Give up the trip";
export const from = (leaves: string, back: string) => `${leaves} to ${back}`;
export const mealsOf = (count: number) => (count === 0 ? "no meal yet" : plural(count, "meal"));
export const name = "Name";
export const leavesOn = "Leaves on";
export const leavesHour = "At what hour";
export const backOn = "Back on";
export const firstMeal = "First meal on the way";
export const lastMeal = "Last meal on the way";
export const who = "Who goes along";
export const gearWord = "To cook with";
export const gear: [string, string][] = [
  ["kettle", "kettle"],
  ["burner", "one burner"],
  ["hob", "a hob"],
];
export const pots = "Pots";
export const potMl = "The pot holds, ml";
export const coldWord = "Kept cold in";
export const highC = "As hot as, °C";
export const noTins = "No tins";
export const noGlass = "No glass";
export const containers = "Water bottles and bags, ml";
export const containersNote = "such as 750, 750, 4000";
export const spareDays = "Spare days";
export const canister = "Gas in a canister, g";
export const gasLeft = "Gas left over, g";
export const meal: Record<string, string> = {
  breakfast: "Breakfast",
  lunch: "Lunch",
  snack: "Snack",
  dinner: "Dinner",
};
export const efforts: [string, string][] = [
  ["rest", "rest"],
  ["light", "light"],
  ["hiking", "on the way"],
  ["hard", "hard"],
];
export const effortOn = (day: string) => `How hard ${day} is`;
export const hoursOn = (day: string) => `Hours on the way, ${day}`;
export const fill = "Fill the meals";
export const fillOpen = "Fill what is open";
export const grid = "Meals by day";
export const open = "open";
export const choose = (meal: string, day: string) => `${meal} on ${day}`;
export const change = (name: string, day: string) => `Change ${name}, ${day}`;
export const pinned = "pinned";
export const pin = "Pin it";
export const unpin = "Let it go";
export const takeOff = "Take it off";
export const takeOffOf = (name: string) => `Take off ${name}`;
export const instead = "Instead";
export const besides = "Besides, for each";
export const besidesFood = "Something to eat as it is";
export const chooseFood = "choose";
export const gramsEach = "Grams for each";
export const add = "Add";
export const nothingAgainst = "nothing against it";
export const refusedWord = "not then";
export const moveTo = "Move to";
export const stays = "where it is";
export const dayEnergy = (kcal: number, wants: number) => `${kcal} of ${wants} kcal`;
export const percent = (number: number) => `${number} %`;
export const low = (number: number) => `only ${number} % of what the day asks for`;
export const protein = (has: number, wants: number | null) =>
  wants === null ? `${has} g protein` : `${has} of ${wants} g protein`;
export const weightOf = (amount: string) => `${amount} of food`;
export const balance = "What it comes to";
export const food = (amount: string, packing: string) => `${amount} of food, ${packing} packing`;
export const carriedOut = (amount: string) => `${amount} of rubbish comes home again`;
export const each = (amount: string, perGram: string) => `${amount} a person and day, ${perGram} kcal per g`;
export const coldUntil = (day: string, hour: string) => `Cold until ${day}, ${hour}`;
export const noCold = "Nothing is kept cold.";
export const fuel = (canisters: number, need: string, spare: string, meals: number) =>
  `${plural(canisters, "canister")}: ${plural(meals, "hot meal")} take ${need}, ${spare} with what is kept in hand`;
export const fuelCold = "In the cold one canister more goes along, and plain butane does not burn.";
export const noFuel = "Nothing is heated.";
export const outdoors = "Cook outdoors, never in the tent.";
export const stretch = (from: string, carry: string) => `From ${from}: carry ${carry} l`;
export const slot: Record<string, string> = { breakfast: "breakfast", day: "the day", evening: "the evening" };
export const noSource = "Tick below where water is found. Without that all of it would be carried:";
export const holds = "The bottles hold it.";
export const tooFew = "The bottles do not hold it.";
export const oneOnly = "Without the largest bottle less than half is left: take two of its size.";
export const source = "Water is found at";
export const sourceOn = (slot: string, day: string) => `${day}, ${slot}`;
export const shorts = "To get before";
export const nothingShort = "All of it is in the house.";
export const people = (names: string[]) => names.join(", ");
export const packing = "Packing";
export const packingOf = (name: string) => `Packing for ${name}`;
export const onPaper = "On paper, or as PDF";
export const asTable = "As a table (CSV)";
export const intoWhich = "What it travels in";
export const staysThere = "stays where it stands";
export const bagsTitle = "Bags";
export const bagLine = (need: number, packed: number, fill: number) =>
  [`${need} wanted`, packed > 0 ? `${packed} packed` : "", fill > 0 ? `${fill} to fill first` : ""]
    .filter(Boolean)
    .join(", ");
export const fillBags = "Fill bags";
export const foodTitle = "Food";
export const foodLine = (need: string, packed: string | null, short: string | null) =>
  short === need
    ? `${need}, all of it to get first`
    : [`${need} wanted`, packed ? `${packed} packed` : "", short ? `${short} to get first` : ""]
        .filter(Boolean)
        .join(", ");
export const fromWhere = (words: string, name: string, place: string) => `${words} ${name}, ${place}`;
export const packIt = "Pack";
export const packOf = (name: string) => `Pack ${name}`;
export const packAll = "Pack all of it";
export const nothingToPack = "Nothing of the house is left to pack.";
export const forgotten = "Besides food";
export const eachOne = "one each";
export const oftenForgotten = "often forgotten";
export const servesAs = (things: string[]) => `also ${things.join(", ")}`;
export const packedTitle = "Packed";
export const nonePacked = "Nothing is packed yet.";
export const eatOne = (name: string) => `Eat of ${name}`;
export const eat = "Eaten";
export const howMuchEaten = (name: string, unit: string) => `How much of ${name} was eaten, ${unit}`;
export const home = "Coming home";
export const homeNote =
  "Say what came back, in the bags and pockets too. What is not named was eaten. What must be cold and lay in the " +
  "warm goes out, whatever it looks like.";
export const cameBack = (name: string, unit: string) => `${name}, ${unit} that came back`;
export const comeHome = "We are home";
export const switchOff = "Switch off what travelled cold";
export const switchOffNote = "it stands empty now: wiping it dry and propping the door open is on the list for today";
export const isHome = "Everybody is home from this trip.";
export const learned = (trips: number, percent: number) =>
  `Of your last ${plural(trips, "trip")}: ${percent} % of what is planned gets eaten, and meals are filled for that.`;
export const leaveOut = (names: string[]) => `It comes back each time: ${names.join(", ")}.`;
export const boxes = "Boxes that stand packed:";
export const aid = "A planning aid, no medical advice.";
export const tasks = "Day by day";
export const noTasks = "Nothing has to be done before.";
export const taskLate = "should have been done";
export const getOn = (day: string) => `on the way, ${day}`;
export const bagsCarried = "In bags";
export const bagOf = (days: string, carrier: string, weight: string) =>
  `${days}: ${weight} in ${carrier.toLowerCase()}`;
export const bagFull = "does not fit: take one more";
export const legOf = (from: string, to: string, weight: string) => `From ${from} to ${to} you carry ${weight} of food`;
export const shopThere = "a shop";
export const shopOn = (day: string) => `${day}, a shop`;
export const ownGas = "By what your own stove took.";
export const soak = "Soak the evening before";
export const noSoak = "Do not soak";
export const soaked = "soaked";
export const gasUsed = "Gas burnt, by the weight of the canisters";
export const onTheWay = "Bought on the way";
export const whatBought = "What";
export const howManyPacks = "Packs";
export const packSize = "Each";
export const goodUntil = "Printed date";
export const bagBought = "Into which bag";
export const chooseBag = "Choose a bag";
export const boughtIt = "Put it in";
export const swap = "Swap with";
export const swapOf = (day: string) => `Swap with: ${day}`;
export const carriedBy = "How it is carried";
export const carriers: [string, string][] = [
  ["back", "on the back"],
  ["bicycle", "on bicycles"],
  ["vehicle", "in a vehicle"],
];
export const lookingForMeals = "Looking for what to take";
export const foundSoFar = (open: number, faults: number) =>
  [
    open === 0 ? "every meal found" : `${plural(open, "meal")} still open`,
    faults === 0 ? "nothing against any" : `${plural(faults, "thing")} against them`,
  ].join(", ");
export const noneFound = "Nothing fits the open meals. Change what you take along, or choose by hand.";
export const noAnswer = "The house does not answer. Nothing was changed; try again.";
