/** What is said of print pages. */
export const gatheringTheShelf = "Gathering the shelf";
export const print = "Print";
export const backShelf = "Back to the shelf";
export const whatIsThere = ": what is there";
export const stacks = "stacks";
export const what = "What";
export const howMuch = "How much";
export const until = "Until";
export const stillHas = "Still has";
export const eatenOrHow = "Eaten, or how many are there";
export const gatheringTheWeek = "Gathering the week";
export const backToMeals = "Back to the meals";
export const mealsOf = (from: string, to: string) => `: meals, ${from} to ${to}`;
export const day = "Day";
export const meal = "Meals";
export const toBuyFor = "Still to buy";
export const useUpFirst = "To use up";
export const daysLeft = (days: number) => (days <= 0 ? "today" : days === 1 ? "1 day" : `${days} days`);
