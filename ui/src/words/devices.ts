/** What is said of the simulated devices. */
export const sent = (sent: string) => `Sent ${sent}`;
export const aReading = "a reading";
export const simulatedScale = "Simulated scale";
export const standsInFor =
  "Stands in for a kitchen scale. Put something on it here; wherever the app asks for a weight, it reads " +
  " this one and takes the jar’s own weight off.";
export const gramsJarAll = "Grams, jar and all";
export const putItOn = "Put it on";
export const emptyIt = "Empty it";
export const simulatedScanner = "Simulated scanner";
export const standsInForScanner =
  "Stands in for a scanner that types. Open this page in a second window; each touch sends a scan to the first. " +
  "A real scanner needs nothing but to be plugged in.";
export const anyCode = "Any code";
export const exampleOr01 = "4006381333931 or (01)04006381333931(15)280531(10)L7";
export const scanIt = "Scan it";
export const packsWereLearnt = "Packs that were learnt";
export const barCodesPacks = "Bar codes of packs";
export const noneYetSend = "None yet: send a number, and the first window asks what it is.";
export const labelsOnStacks = "Labels on stacks";
export const squareCodesFront = "Square codes of the front of the shelf";
