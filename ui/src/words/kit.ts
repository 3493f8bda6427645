/** What is said of the parts every view is made of. */
export const stacks = (pile: number) => `${pile} stacks`;
export const thisPartCannot = "This part cannot be shown.";
export const whatYouTyped = "What you typed is kept. Try it again, or load the page anew.";
export const tryAgain = "Try again";
export const loadPageAnew = "Load the page anew";
export const more = "more";
export const close = "Close";
export const why = "why";
export const whatYouTypedBefore = "What you typed before is still here.";
export const startAnew = "Start anew";
export const inIt = ", in";
export const numberSuch250 = "A number such as 250 or 1.5";
export const thisCouldNot = "This could not be shown.";
export const tryAgainSentence = "Try again.";
export const inWhich = "In which unit";
export const ratherNot = "Rather not";
export const pictureLargerThan = "The picture is larger than 3 MB. Take a smaller one.";
