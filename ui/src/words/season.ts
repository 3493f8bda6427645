import { plural } from "./region";

/** What is said where the jars and dried stores of a year are planned. */
export const season = "Season";
export const about = "From one harvest to the next: what lasts, what is short, what to bottle and dry.";
export const fetching = "Walking through the year";
export const lines = "This year's jars and dried stores";
export const none = "Nothing is planned yet.";
export const noneNote = "Say what you bottle or dry, how much of it a week is eaten, and when it is ripe.";
export const add = "Plan another";
export const change = (name: string) => `Change ${name}`;
export const takeOff = (name: string) => `Take ${name} off`;
export const changeWord = "Change";
export const takeOffWord = "Take off";
export const what = "What";
export const choose = "Choose one";
export const bottled = (name: string) => `${name}, in jars`;
export const dried = (name: string) => `${name}, dried`;
export const weekly = (unit: string) => `Eaten in a week, ${unit}`;
export const weeklyNote = "empty: as the takings of the last weeks tell";
export const harvest = "Harvest begins";
export const next = "And the year after";
export const margin = "Made beyond that, %";
export const potJars = "Jars a pot holds";
export const trays = "Trays";
export const dayHours = "Hours a day it runs";
export const getBy = "Grow it or buy it";
export const ways: [string, string][] = [
  ["", "not decided"],
  ["grow", "grow it"],
  ["buy", "buy it"],
];
export const wayWord = (way: string) => ({ grow: "to be grown", buy: "to be bought" })[way] ?? "";
export const note = "Note";
export const planIt = "Plan it";
export const keepIt = "Keep that";
export const over = "That harvest and the one after are past. Say the next days under Change.";
export const noRate = "Nobody knows yet how much of it a week is eaten. Say it under Change.";
export const there = (amount: string) => `${amount} there`;
export const nothingThere = "none there";
export const uncounted = (count: number) => `${plural(count, "stack")} of it not counted: no amount or no day`;
export const lasts = (day: string) => `Lasts until the harvest ${day}.`;
export const short = (day: string, amount: string) => `Short from ${day}: ${amount} missing until the harvest.`;
export const past = (amount: string, name: string, day: string) =>
  `${amount} of ${name} go past after ${day}: eat more.`;
export const surplus = (amount: string, day: string) => `${amount} more than you eat by ${day}: give some away.`;
export const make = (amount: string) => `Make ${amount}`;
export const enough = "Enough is there for the year after, too.";
export const inJars = (list: string[]) => `in ${list.join(", ")}`;
export const jars = (count: number, ml: number) => `${count} × ${ml} ml`;
export const produce = (kilos: string, food: string) => `${kilos} of ${food.toLowerCase()}`;
export const pots = (count: number) => plural(count, "pot");
export const loads = (count: number, days: number) => `${plural(count, "load")} of the dryer, ${plural(days, "day")}`;
export const find = (count: number, ml: number) => `${plural(count, "empty jar")} of ${ml} ml to find.`;
export const empties = (list: string[]) => `Empty by then: ${list.join(", ")}.`;
export const uncovered = (days: number) => `For ${plural(days, "day")} of the year nothing of it can last.`;
export const soFar = (done: string, all: string, day: string) => `${done} of ${all} done, planned ${day}`;
export const progressOf = (name: string) => `How far ${name} is`;
export const why = (name: string) => `How ${name} is reckoned`;
export const anew = "Reckon the target anew";
export const aWeek = (amount: string) => `${amount} a week`;
export const allSizes = "All sizes";
export const owned = "Your jars";
export const ownedLine = (ml: number, owned: number, used: number) =>
  `${owned} of ${ml} ml${used > 0 ? `, ${used} in use` : ""}`;
export const jarsWhere = "Count your jars under Places, Jars and boxes";
export const ripe = (day: string) => `harvest ${day}`;
export const countsToo = "Other food that counts as it";
export const countsNone = "none";
export const leaveOut = (name: string) => `Leave out ${name}`;
export const leaveOutShort = "Leave out";
