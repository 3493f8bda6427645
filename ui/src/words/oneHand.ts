/** What is said while things are put away by touch. */
export const title = "With one hand";
export const foods = "Foods";
export const find = "Find a food";
export const findAnother = "Find another food";
export const another = "Another";
export const size = "Size of one pack";
export const otherSize = "another size";
export const onePack = "One pack";
export const howMany = "How many";
export const less = "One less";
export const more = "One more";
export const ofThem = (number: number) => `${number} of them`;
export const which = "Which date it carries";
export const bestBefore = "best before";
export const useBy = "use by";
export const year = "Year";
export const month = "Month";
export const day = "The day";
export const anotherDay = "Another day";
export const place = {
  said: "Place, for all that follows",
  last: "Place, where it went last",
  open: "Place",
  choose: "Choose a place",
};
export const putAway = (what: string) => `Put away ${what}`;
export const stored = (what: string, where: string) => `Put away: ${what}${where ? `, ${where}` : ""}`;
export const again = "Same again";
