import { plural } from "./region";

/** What is said in a power cut and after it. */
export const title = "Power cut";
export const asking = "Looking what stands in the cold";
export const about =
  "Say when the power went. Then you see what to eat first, and afterwards what to keep and what not.";
export const began = "The power went";
export const when = "When";
export const howFull = "The freezer is";
export const FULL: readonly (readonly [string, string])[] = [
  ["100", "full"],
  ["50", "half full"],
  ["25", "nearly empty"],
];
export const fromMemory = "Nothing answers: told from what the house prepared, and counted on here.";
export const needsReading = "a reading was taken: only the house can say what it means";
export const inDoubt = "In doubt: throw out";
export const shut = "Keep both doors shut. Every look costs cold.";
export const dark = (hours: string) => `${hours} hours in the dark`;
export const lasts = (fridge: number, freezer: string) =>
  `Shut, a fridge keeps ${fridge} hours, this freezer ${freezer}.`;
export const above = (place: string, hours: string) => `${place} above 5 °C for ${hours} hours`;
export const fridge = "Fridge";
export const freezer = "Freezer";
export const reading = "What the thermometer says";
export const touch = "One touch notes it for this minute. Without a reading, time alone decides.";
export const degree = (celsius: string) => `${celsius} °C`;
export const readAs = (place: string, celsius: string) => `${place} ${celsius} °C`;
export const readings = (count: number) => `${plural(count, "reading")} noted`;
export const back = "The power is back";
export const eatFirst = "Eat in this order";
export const byHour = (hour: string) => `by hour ${hour}`;
export const spoils = "spoils first";
export const over = "What to do with each";
export const overNote = "The rule stands with it. In doubt: throw it out. Never taste to find out.";
export const VERDICTS: Record<string, string> = {
  keep: "Keep",
  eat_today: "Eat today",
  cook_now: "Cook now",
  eat_soon: "Eat soon",
  refreeze: "Freeze again",
  refreeze_poorer: "Freeze again, it will be poorer",
  throw: "Throw out",
};
export const RULES: Record<string, string> = {
  not_to_eat: "not to be eaten, power or not",
  warm_hours: "open, and warm for longer than it bears",
  not_perishable: "does not spoil out of the cold",
  fridge_hours_no_power: "four hours without a reading",
  stayed_cold: "never above 5 °C",
  two_hour_rule: "two hours above 5 °C, one in great heat",
  still_hard: "still hard",
  never_refrozen: "thawed, and must not freeze again",
  ice_or_cold: "still icy, or fridge-cold",
};
export const found = (name: string) => `What you found: ${name}`;
export const FOUND: readonly (readonly [string, string])[] = [
  ["", "as reckoned"],
  ["hard", "still hard"],
  ["icy", "ice in it"],
  ["cold", "fridge-cold"],
  ["warm", "warm, nobody knows how long"],
];
export const replace = "put what is thrown out on the list";
export const settle = (count: number) => `Do so with ${plural(count, "stack")}`;
export const all = "Tick all";
export const settled = "After the power cut";
export const nothing = "Nothing stands in fridge or freezer.";
export const none = "No power cut";
export const until = (day: string) => `until ${day}`;
export const authority = "Follow your local food-safety authority. Medicines that are kept cold: ask the pharmacist.";
export const times = "At another time";
export const went = "It went";
export const cameBack = "It came back";
export const setTimes = "Set the times";
