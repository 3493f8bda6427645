/** What is said where a scale fills a box. */
export const weigh = "Weigh";
export const weighIt = (what: string) => `Weigh: ${what}`;
export const nothingLiesOn = "Nothing lies on the scale.";
export const scaleHasNot = "The scale has not settled yet.";
export const noScale = "The scale does not answer.";
export const liesIn = "On the scale it lies in";
export const nothing = "nothing";
