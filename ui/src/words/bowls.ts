/** What is said where a cooked bowl of several foods is shared out. */
export const bowls = "Bowls";
export const about = "A bowl cooked of several foods, weighed and shared out, something added to each.";
export const inBowl = "What was cooked";
export const added = "Added to each portion";
export const addedNote = "a third of a tin, a spoon of seeds: its own date counts, too";
export const stack = "Which stack?";
export const chooseStack = "Choose a stack";
export const grams = "Grams";
export const allOfIt = "all";
export const put = "Put in";
export const addIt = "Add to each";
export const each = "Each, g";
export const perPack = "or one pack for so many";
export const leaveOut = (name: string) => `Leave out ${name}`;
export const leaveOutShort = "Leave out";
export const took = (name: string, grams: string) => (grams === "" ? `${name}, all of it` : `${name}, ${grams} g`);
export const gets = (name: string, grams: string, pack: string) =>
  grams === "" ? `${name}, a pack for ${pack}` : `${name}, ${grams} g each`;
export const weighs = "The cooked bowl weighs";
export const trim = "Peeled off before";
export const fridge = "the fridge";
export const name = "What it is";
export const pet = "An animal eats it";
export const shareIt = "Share it out";
export const first = "Put in what was cooked, weigh the bowl and name it.";
