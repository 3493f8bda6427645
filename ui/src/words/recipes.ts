import { plural } from "./region";

/** What is said of the household's dishes. */
export const dishes = "Dishes";
export const fetching = "Fetching the dishes";
export const fetchingOne = "Fetching the dish";
export const count = (number: number) => plural(number, "dish", "dishes");
export const find = "Find a dish or a food in it";
export const write = "Write one down";
export const bringIn = "Bring one in";
export const everyMeal = "every meal";
export const meals: [string, string][] = [
  ["breakfast", "breakfast"],
  ["lunch", "lunch"],
  ["dinner", "dinner"],
  ["snack", "snack"],
];
export const which = "Which dishes";
export const kinds: [string, string][] = [
  ["all", "all of them"],
  ["quick", "within 20 minutes"],
  ["cold", "without a flame"],
  ["pantry", "from the cupboard"],
  ["own", "our own"],
  ["away", "put away"],
];
export const noneLike = "No dish is like that. Take a word away, or write one down.";
export const showMore = (number: number) => `Show ${number} more`;
export const ours = "ours";
export const min = "min";
/** "45 min", "2 h 10 min". */
function long(minutes: number): string {
  if (minutes < 100) return `${minutes} min`;
  const rest = minutes % 60;
  return `${Math.floor(minutes / 60)} h${rest === 0 ? "" : ` ${rest} min`}`;
}
export const inAll = (minutes: number, active: number) =>
  minutes === active ? long(minutes) : `${long(minutes)}, busy for ${long(active)}`;
export const withGear: Record<string, string> = {
  none: "no flame",
  kettle: "kettle",
  microwave: "microwave",
  "one-burner": "one burner",
  hob: "hob",
  oven: "oven",
  "slow-cooker": "slow cooker",
  freezer: "freezer",
};
export const portions = (number: number) => plural(number, "portion");
export const fewer = "Fewer portions";
export const morePortions = "More portions";
export const whatGoesIn = "What goes in";
export const noFood = "no food known for it; the plan leaves it out";
export const orElse = (foods: string) => `or ${foods}`;
export const steps = "Steps";
export const onePortion = "One portion";
export const energy = (kcal: number) => `${kcal} kcal`;
export const protein = (grams: number) => `${grams} g protein`;
export const costs = (sum: string) => `${sum}`;
export const estimatedFor = (foods: string) => `Price estimated for ${foods}.`;
export const noFiguresFor = (foods: string) => `Left out, as nothing is known of it: ${foods}.`;
export const holds = (allergens: string) => `Holds ${allergens}.`;
export const keeps = (days: number) =>
  days === 0 ? "Eat it at once: leftovers are not kept." : `What is left keeps ${plural(days, "day")} in the fridge.`;
export const freezes = "It freezes.";
export const notes = "Notes";
export const from = (source: string) => `From ${source}`;
export const change = "Change";
export const copy = "Make another of it";
export const putAway = "Put away";
export const bringBack = "Bring back";
export const isAway = "This dish is put away: nothing offers or plans it.";
export const isOlder = "An older version. Meals that were planned with it keep it.";
export const toNewest = "To the one in force";
export const versions = "Versions";
export const version = (number: number) => `Version ${number}`;
export const putOnDay = "Put it on a day";
export const whichDay = "Day";
export const whichMeal = "Meal";
export const putThere = "Put it there";
export const takeAlong = "Take it along";
export const files: [string, string][] = [
  ["json", "linked data (JSON-LD)"],
  ["txt", "text"],
  ["csv", "table (CSV)"],
];
export const print = "Print";
export const newDish = "A dish of our own";
export const changing = (name: string) => `Change ${name}`;
export const name = "What you call it";
export const forHowMany = "For how many";
export const minutesInAll = "Minutes in all";
export const minutesBusy = "of these busy";
export const neededGear = "What it needs";
export const keepsDays = "Leftovers keep, in days";
export const keepsNote = "0: eat it at once. The rules of this house may only shorten it.";
export const itFreezes = "Leftovers may be frozen";
export const tags = "Words for it";
export const tagsNote = "With commas: quick, packable, use-up";
export const lines = "What goes in, one a line";
export const linesNote = [
  "As you would write it: 2 tins chopped tomatoes, 1 1/2 cups flour, a handful of parsley.",
  "What comes out besides, too: “makes 200 g cooked chicken”.",
].join(" ");
export const howRead = "How it is read";
export const reading = "Reading";
export const nothingYet = "Every line you type is read here.";
export const asWords = "kept as words";
export const heading = "a heading";
export const noAmount = "no amount";
export const optional = "if you like";
export const isMade = "comes out besides";
export const anotherFood = "Another food";
export const whichFoodFor = (line: string) => `Which food is “${line}”?`;
export const stepsOne = "What to do, one step a line";
export const notesLabel = "Notes";
export const notesNote = "less salt, Wren likes it with rice";
export const source = "Where it is from";
export const save = "Keep it";
export const readAgain = (name: string) => `Kept ${name}`;
export const backToList = "All dishes";
export const bringTitle = "Bring a recipe in";
export const pasteHere = "Paste the recipe here";
export const pasteNote = "Its name first, then what goes in, then the steps.";
export const orFile = "or a file: a saved web page, linked data, text or a table";
export const readIt = "Read it";
export const found = (number: number) => `${plural(number, "recipe")} found`;
export const nothingKept = "Nothing is kept until you keep it.";
export const lookOver = "Look it over";
export const linesRead = (known: number, all: number) => `${known} of ${plural(all, "line")} with a food`;
export const toMend = "To mend:";
export const whoLikes = "Who likes it";
export const howLikes = (name: string) => `How ${name} likes it`;
export const doesNotMind = "does not mind";
export const likings: [string, string][] = [
  ["loves", "loves it"],
  ["not", "rather not"],
];
export const keepAll = (count: number) => `Keep all ${count} as they were read`;
export const keepAllNote = "Lines that were not understood are kept as words; every dish can be changed later.";
export const standsIn = "may stand in";
export const mayStandIn = "Another may stand in";
export const factorOf = (food: string) => `Grams of ${food} for one gram`;
export const notStandIn = (food: string) => `${food} may not stand in`;
export const whatStandsIn = (line: string) => `What may stand in for “${line}”`;
export const pictureOf = (name: string) => `A picture of ${name}`;
export const looksLike = (name: string) => `What ${name} looks like`;
export const takePicture = "Take a picture of it";
export const newPicture = "A new picture";
