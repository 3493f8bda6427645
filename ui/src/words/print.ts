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
export const gathering = "Gathering what goes on it";
export const asPdf = "As PDF";
export const back = "Back";
