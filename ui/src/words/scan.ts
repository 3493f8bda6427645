/** What is said of scanning. */
export const learn = (code: string) => `learn ${code}`;
export const cameraCannotBe = "The camera cannot be used: allow it in the browser, or type the number under the bars.";
export const holdCodeInto = "Hold the code into the picture";
export const codeNewHere = "A code that is new here";
export const sayOnceWhat = ": say once what it is, and it is known from then on.";
export const whichFood = "Which food is it";
export const foods = "Foods";
export const noneTheseNew = "None of these: a new food";
export const anotherFood = "Another food";
export const sizeOnePack = "Size of one pack";
export const orAnotherSize = "Or another size";
export const thatIsIt = "That is it";
export const scan = "Scan";
