import { plural } from "./region";

/** What is said of things that wait to be taken in. */
export const letters = {
  title: "What waits",
  note: "Kept on this device, for you alone, until the household has it.",
  refused: "Refused",
  asks: "Needs an answer",
  pending: "On its way",
  none: "Nothing waits. Everything you did has arrived.",
  dropped: (words: string) => `Dropped: ${words}.`,
  bringBack: "Bring it back",
  done: (when: string) => `done ${when}`,
  sendNow: "Send now",
  sendAgain: "Send again",
  mineStands: "Mine shall stand",
  drop: "Drop",
  dropThis: (words: string) => `Drop ${words}`,
  look: "Look at it",
  edit: "Into the label line",
  yours: "yours",
  saysNow: "it says now",
  badge: (count: number) => `${plural(count, "thing waits", "things wait")}: look`,
  waits: (count: number) => plural(count, "waits", "wait"),
};
