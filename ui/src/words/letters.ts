import { plural } from "./region";

/** What is said of things that wait to be taken in. */
export const title = "What waits";
export const note = "Kept on this device, for you alone, until the household has it.";
export const refused = "Refused";
export const asks = "Needs an answer";
export const pending = "On its way";
export const none = "Nothing waits. Everything you did has arrived.";
export const dropped = (words: string) => `Dropped: ${words}.`;
export const bringBack = "Bring it back";
export const done = (when: string) => `done ${when}`;
export const sendNow = "Send now";
export const sendAgain = "Send again";
export const mineStands = "Mine shall stand";
export const drop = "Drop";
export const dropThis = (words: string) => `Drop ${words}`;
export const look = "Look at it";
export const edit = "Into the label line";
export const yours = "yours";
export const saysNow = "it says now";
export const badge = (count: number) => `${waits(count)}: look at what was not sent yet`;
export const waits = (count: number) => plural(count, "waits", "wait");
