import { plural } from "./region";

/** What is said of meals and cooking. */
export const countDays = (count: number) => plural(count, "day");
export const countDishes = (count: number) => plural(count, "dish", "dishes");
export const holds = (allergens: string) => `; holds ${allergens}`;
export const insteadOf = (substitute: string) => `instead of ${substitute}`;
export const usedFromIn = (name: string, place: string, unit: string) => `Used of ${name} from ${place}, in ${unit}`;
export const onTheShelf = (percent: number) => `${percent} % on the shelf`;
export const partOnShelf = (coveredPercent: number) => `${coveredPercent} % on the shelf`;
export const putOn = (day: string, name: string) => `Put on ${day}: ${name}`;
export const buy = (sum: string) => `buy ${sum}`;
export const cook = (name: string) => `Cook ${name}`;
export const weekOf = (from: string, to: string) => `Meals, ${from} to ${to}`;
export const toBuy = (all: string) => `to buy, all new ${all}`;
export const toBuyOf = (budget: string, all: string) => `to buy, of ${budget} you set; all new ${all}`;
export const spendAtMost = "Spend at most, in a week (empty: as much as it takes)";
export const freezeInTime = "Freeze it in time";
export const freezeInTimeOf = (name: string) => `Freeze in time: ${name}`;
export const findInHand = (count: number) => `Find ${count} dinners to have in hand`;
export const rescuedSum = "rescued";
export const stillPast = "goes past";
export const fromTheShelf = "from the shelf";
export const fillOpen = "Fill the open meals";
export const fillAgain = "Fill anew";
export const fillAgainHint = "Every meal that is not kept may change";
export const lookingFor = (open: number) => `Looking for dishes for ${plural(open, "meal")}`;
export const takeThese = "Take these now";
export const neverMind = "Never mind";
export const nothingOpen = "No meal is open in these days.";
export const noneFound = "No dish fits the open meals. Give them more minutes, or choose by hand.";
export const earlier = "Earlier days";
export const later = "Later days";
export const thisWeek = "From today";
export const openMeal = "open";
export const chooseFor = (meal: string, day: string) => `for ${meal}, ${day}`;
export const insteadOfMeal = (name: string) => `Choose instead of ${name}`;
export const stopChoosing = "Leave it as it is";
export const putInstead = (name: string) => `Put ${name} there instead`;
export const putThere = "Put it there";
export const todayWord = "today";
export const swap = "Swap";
export const more = "More";
export const moreFor = (name: string, day: string | null) => `More for ${name}${day === null ? "" : `, ${day}`}`;
export const keep = "Keep";
export const letGo = "Let it be changed";
export const kept = "kept";
export const slideTo = (day: string) => `Slide to ${day}`;
export const putAside = "Put aside, without a day";
export const slid = (name: string) => `Slid ${name}`;
export const usesFoods = (foods: string) => `uses ${foods}`;
export const alreadyCooked = "already cooked by then";
export const besideIt = "Another dish beside it";
export const fillIt = "Fill it";
export const fillThis = (meal: string, day: string) => `Fill it: ${meal}, ${day}`;
export const eatOut = "Eat out";
export const whateverIsLeft = "Whatever is left";
export const eatOutOn = (meal: string, day: string) => `Eat out: ${meal}, ${day}`;
export const day = "d";
export const rules = "What you want of the plan";
export const changeRules = "Rules";
export const lookFirstAlong = "Audit";
export const rulesHint = "A filling keeps to these as far as it can. Allergies and safety dates are never bent.";
export const plannedMeals = "Meals that are planned every day";
export const ruleNames: Record<string, string> = {
  shelf: "The shelf",
  waste: "Food that would go past",
  same_dish: "The same dish within a week",
  same_main: "The same main two days running",
  same_kind: "Soup again, pasta again: the same kind of dish in a week",
  minutes: "Minutes at the stove",
  likes: "What everybody likes",
  leftovers: "Cooking once for several meals",
  vegetables: "Vegetables and fruit, two servings a meal",
  variety: "Different vegetables and fruit in a week",
  fish: "Fish in a week",
  meatless: "Without meat or fish in a week",
  season: "Fresh food out of its season",
};
export const seasonsOf = "Seasons as in";
export const regions: [string, string][] = [
  ["cool-north", "a cool country, northern half"],
  ["warm-north", "a warm country, northern half"],
  ["cool-south", "a cool country, southern half"],
  ["warm-south", "a warm country, southern half"],
];
const STRENGTHS: Record<string, string> = {
  "shelf.eat_down": "eat it down",
  "shelf.level": "keep it as it is",
  "shelf.build_up": "build it up",
  "vegetables.usual": "rather more than less",
  "vegetables.much": "as many as can be",
  "variety.usual": "gladly",
  "variety.much": "as many as can be",
  "meatless.twice": "two meals",
  "meatless.half": "four meals",
  "meatless.most": "six meals",
  "season.usual": "rather not bought",
  "season.much": "hardly ever bought",
  "waste.little": "does not matter much",
  "waste.usual": "rescue what is worth it",
  "waste.much": "rescue all that can be",
};
/** What a strength means, and whether it holds where nobody chose. */
export function strength(rule: string, key: string, usual: string): string {
  const words = STRENGTHS[`${rule}.${key}`] ?? key.replaceAll("_", " ");
  return key === usual && words !== "usual" ? `${words} (usual)` : words;
}
export const useUp = "Use up";
export const inTheOrder = "in the order it turns";
export const nothingTurns = "Nothing turns in these days.";
export const notPlanned = (amount: string) => `${amount} not planned`;
export const inNoMeal = "eaten besides";
export const notCooked = "Planned, and not cooked";
export const cookedAfterAll = "Cooked it";
export const carryOver = "Carry them over";
export const aside = "Put aside";
export const asideHint = "Meals without a day. Give one a day, or let a filling pass it by.";
export const eveningOf = (meal: string, day: string) =>
  `${meal.charAt(0).toUpperCase()}${meal.slice(1)}, ${day}: who eats, and how long there is`;
export const onDay = (day: string) => `, ${day}: who eats, and how long there is`;
export const evenings: Record<string, string> = {
  home: "at home",
  packed: "packed to go",
  shifts: "eaten in shifts",
  out: "eating out",
  no_oven: "no oven",
  no_power: "no power",
};
export const whatKind = "What kind of meal";
export const minutesFree = "Minutes free before it";
export const morningFree = "Minutes free that morning";
export const whoEats = "Who eats";
export const guestsToo = "Guests, in portions";
export const guest = "guest";
export const everyWeek = (weekday: string) => `So every ${weekday}`;
export const calledWhat = "Called what (“football”)";
export const asUsual = "As usual again";
export const saveIt = "Keep it so";
export const portionsOf = (servings: string) => plural(Number(servings), "portion");
export const minutesThere = (count: number) => `${count} min`;
export const homeCount = (count: number) => `${count} at the table`;
export const dragHint = "Drag a meal to another day, or press Shift with an arrow.";
export const otherMeal = "other";
export const drop = (name: string) => `Drop ${name}`;
export const leftoversKeep = (days: number) =>
  `What is left keeps ${countDays(days)} in the fridge: cool it within two hours.`;
export const keptForLater = (servings: string, meal: string, day: string, frozen: boolean) =>
  `${portionsOf(servings)} ${frozen ? "to freeze" : "to keep"} for ${meal}, ${day}`;
export const comesFromBefore = (amount: string) => `${amount} comes of a dish cooked before this one`;
export const comesOut = (food: string, unit: string) => `${food}, ${unit === "piece" ? "pieces" : unit}`;
export const standsFor = (food: string, asked: string) => `${food} for ${asked}`;
export const fetchingTheDish = "Fetching the dish";
export const meals = "Meals";
export const min = "min,";
export const notFor = "Not for";
export const cooked = "Cooked";
export const thisMealWas = "This meal was cooked; what it used is off the shelf.";
export const toTheShelf = "To the shelf";
export const canBeUndone = ". It can be undone under “Lately”.";
export const timers = "Timers";
export const stopTimer = (label: string) => `Stop the timer: ${label}`;
export const rings = "time is up";
export const stepNumber = (number: number) => `step ${number}`;
export const startTimer = (minutes: number) => `Start ${minutes} min`;
export const halfOfIt = "Half of it";
export const halfOf = (name: string) => `Half of ${name}`;
export const notToday = "Not today";
export const notTodayOf = (name: string) => `Not today: ${name}`;
export const somethingElse = "Something else";
export const screenStays = "; the screen stays on";
export const portionsFrozen = "into the freezer";
export const fetchInOrder = "What to fetch, place by place";
export const asWritten = "as it is written";
export const takeInstead = "Instead:";
export const notHere = " (not here)";
export const steps = "Steps";
export const eatAtOnce = "Eat it at once; leftovers of this dish are not kept.";
export const whatToTake = "What to take";
export const frontShelfFirst = "Front of the shelf first. Correct what was really used.";
export const portionsLeftOver = "Portions left over";
export const keptIn = "kept in";
export const amountNoNumber = "An amount is no number. Write it like 250 or 1.5.";
export const ifYouLike = "if you like";
export const isThere = "is there";
export const howMuchWeighs = "how much that weighs is not known: take what you need";
export const fromIt = "from";
export const opensAPack = ", opens a pack";
export const lookAtFirst = ", look at it first";
export const sizeGuessed = ", size guessed";
export const isMissing = "is missing";
export const lookFirst = " (look first)";
export const uses = "uses";
export const rankRescued = "Rank: rescued";
export const shareWhatBuy = "− the share of what is to buy";
export const missing = "− missing";
export const countedAs = "% counted as";
export const minutes = "min";
export const allOnShelf = "all on the shelf";
export const rescues = "· rescues";
export const holding = "holds";
export const missingThings = "missing:";
export const estimated = ", estimated";
export const putOnDay = "Put on";
export const whyHere = "Why here?";
export const dishesFromWhat = "dishes from what is here, what turns first ahead";
export const fetchingThePlan = "Fetching the plan";
export const whatCouldBe = (day: string | null) => `What could be cooked ${day === null ? "today" : `on ${day}`}`;
export const anyMeal = "any meal";
export const holdingEveryDish = "Holding every dish against the shelf";
export const showMoreOf = "Show more of";
export const dishes = "dishes";
export const choosingForThis = "choosing for this day";
export const chooseADish = "choose a dish";
export const cookedAlready = "cooked";
export const eatenAlready = "eaten";
export const eatenIt = "Eaten";
export const eaten = (name: string) => `Eaten: ${name}`;
export const cookIt = "Cook";
export const dropIt = "Drop";
export const month = "Four weeks";
export const oneWeek = "One week";
export const openDay = "open";
export const printIt = "Print";
export const dayButtons = "Days of the week";
export const whyThis = "Why this one?";
export const becauseTurns = (foods: string) => `It uses up ${foods}.`;
export const becauseThere = "Nothing in it turns this week: it fits the days and the shelf.";
export const from = (place: string) => `from ${place}`;
export const nextBest = "Next best";
export const toBuyForIt = (sum: string) => `To buy for it: ${sum}.`;
export const withoutDay = "without a day";
export const daysWeShop = "Days we go shopping";
export const shoppingDays = "Shopping days";
export const toGet = (things: number, days: number) => `${plural(things, "thing")} on ${plural(days, "day")}`;
export const nothingToGet = "Nothing to get.";
export const forDays = (days: string) => `for ${days}`;
export const tooLate = (food: string, day: string) => `${food} is needed on ${day}, before anybody goes shopping.`;
export const keepsShort = (food: string, day: string) =>
  `${food} will hardly keep until ${day}: freeze it, or get it another day.`;
export const monthDays = "Or on these days of every month";
export const monthDaysHint = "1, 15: twice a month";
export const singleDays = "Or on single days";
export const singleDaysHint = "as 2026-12-05, 2026-12-19";
export const tripMayFallOut = "A trip may fall out: buy what keeps for two";
