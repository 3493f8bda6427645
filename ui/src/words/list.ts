import { plural } from "./region";

/** What is said of a list from elsewhere. */
export const headingsIn = "The headings are in";
export const noHeadings = "no line: it begins with stock";
export const line = (number: number, cells: string) => `line ${number}: ${cells}`;
export const homes = "Lines without a place";
export const goesTo = (what: string) => `${what} goes to`;
export const askEach = "ask for each";
export const kinds = {
  cupboard: "what keeps in a cupboard",
  fridge: "what needs the fridge",
  freezer: "what is frozen",
};
export const unread = (columns: string) => `Not read: ${columns}. Say what they mean above, or leave them.`;
export const column = (name: string, lines: number) => `${name} (${plural(lines, "line")})`;
export const twice = "Twice?";
export const linesTwice = "Lines that stand twice";
export const leaveOut = "leave it out";
export const leftOut = (lines: string) => `Left out: line ${lines}.`;
export const takeIn = "Take them in after all";
export const countLines = (count: number) => plural(count, "line");
export const countProblems = (count: number) => plural(count, "problem");
export const lines = (total: number) => `${total} lines`;
export const readColumnsApart = (encoding: string, words: string, decimal: string) =>
  `read as ${encoding}, columns apart by ${words}, decimals with “${decimal}”`;
export const bringInAll = (total: number) => `Bring in all ${total}`;
export const columnNumber = (words: number) => `column ${words}`;
export const findFoodFor = (text: string) => `Find a food for ${text}`;
export const leaveOutLine = (line: number) => `leave it out: line ${line}`;
export const leaveLineOut = (line: number) => `Leave line ${line} out`;
export const placeFor = (text: string) => `Place for ${text}`;
export const bringInList = "Bring in a list";
export const chooseCsvFile = "Choose a CSV file";
export const fromSpreadsheetOr =
  "From a spreadsheet or another program. Headings in English, German, French or Spanish are understood; " +
  "nothing changes before you say so.";
export const csvFile = "CSV file";
export const mendProblemsFirst = "Mend the problems first";
export const lineNumber = "line";
export const wordsYourOwn = "words of your own";
export const howMany = "how many";
export const sizeOfOne = "size of one";
export const bestBefore = "best before";
export const useBy = "use by";
export const madeOn = "made on";
export const openedOn = "opened on";
export const frozenOn = "frozen on";
export const boughtOn = "bought on";
export const priceLine = "price of the line";
export const priceOfOne = "price of one";
export const keptIn = "kept in";
export const boughtFor = "bought for";
export const setApart = "set apart";
export const leaveOutColumn = "leave out";
export const whichFoodsAre = "Which foods are these?";
export const sayOnceCounts = "Say it once; it counts for every line with that word.";
export const findAnother = "find another";
export const aNewFood = "a new food";
export const showMoreOf = "Show more of";
export const lineFileColumn = "By line of the file, column and reason.";
export const problems = "Problems";
export const howLinesAre = "How the lines are read";
export const linesAsRead = "Lines as read";
export const lineHeading = "Line";
export const food = "Food";
export const amount = "Amount";
export const place = "Place";
export const date = "Date";
export const price = "Price";
export const notWanted = "Not wanted";
export const whichPlacesAre = "Which places are these?";
export const chooseAPlace = "choose a place";
export const makeThePlace = "Make the place";
export const keepersOnly =
  "A list changes the whole house at once, so a keeper brings it in. What you have in hand can go in line by line:";
export const toTheLine = "to the label line";
