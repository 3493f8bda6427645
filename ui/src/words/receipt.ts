/** What is said where a receipt is checked. */
export const title = "Check the receipt";
export const note = "line by line against the basket";
export const paste = "Type or paste its lines, each with its price at the end";
export const example = "CHICKPEAS 400G  0.89";
export const check = "Check it";
export const paid = (sum: string) => `${sum} in all.`;
export const same = "as expected";
export const other = (expected: string) => `the list expected ${expected}`;
export const nobodyKnew = "nobody knew the price";
export const lines = (list: string[]) => `on the receipt: ${list.join("; ")}`;
export const take = "Keep these prices";
export const kept = "Prices from the receipt";
export const extra = "Paid, and not on the list";
export const add = (text: string) => `In the basket: ${text}`;
export const addIt = "It is in the basket";
export const unpaid = "Ticked, and not on the receipt";
export const nothing = "No line of it names a price at its end.";
