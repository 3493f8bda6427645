/** What is said of shopping. */
export const whatLooksLike = (words: string) => `What ${words} looks like`;
export const bought = (putAway: string) => `Bought: ${putAway}`;
export const keptByLevel = (level: string) => `kept by level: ${level}`;
export const needs = (amount: string) => `needs ${amount}: `;
export const shop = "Shop";
export const whatComingMeals = "what the coming meals ask for and the shelf does not have";
export const forHowMany = "For how many days";
export const days = "days";
export const holdingMealsAgainst = "Holding the meals against the shelf";
export const nothingToBuy = "Nothing to buy";
export const everythingPlannedMeals = "Everything the planned meals need is on the shelf.";
export const planAnotherMeal = "Plan another meal";
export const orPutSomething = ", or put something away below.";
export const inAllWhole = "in all, whole packs";
export const inPartEstimated = ", in part estimated";
export const picturesShelvesAt = "Pictures of the shelves at home";
export const atHomeAlready = "at home already, counted in";
export const est = "est.";
