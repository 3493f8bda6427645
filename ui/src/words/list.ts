import { plural } from "./region";

/** What is said of a list from elsewhere. */
export const list = {
  headingsIn: "The headings are in",
  noHeadings: "no line: it begins with stock",
  line: (number: number, cells: string) => `line ${number}: ${cells}`,
  homes: "Lines without a place",
  goesTo: (what: string) => `${what} goes to`,
  askEach: "ask for each",
  kinds: { cupboard: "what keeps in a cupboard", fridge: "what needs the fridge", freezer: "what is frozen" },
  unread: (columns: string) => `Not read: ${columns}. Say what they mean above, or leave them.`,
  column: (name: string, lines: number) => `${name} (${plural(lines, "line")})`,
  twice: "Twice?",
  linesTwice: "Lines that stand twice",
  leaveOut: "leave it out",
  leftOut: (lines: string) => `Left out: line ${lines}.`,
  takeIn: "Take them in after all",
};
