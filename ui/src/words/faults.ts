import type { ProblemDocument } from "../api/types";

/** What is wrong with one thing that was sent: where, and why as a code with its parameters. */
export type Fault = ProblemDocument["errors"][number];

/** What the fields of forms are called; others by their own name. */
const FIELDS: Record<string, string> = {
  amount: "the amount",
  capacity_ml: "how much it holds",
  count: "how many",
  email: "the e-mail address",
  first_on: "the first day",
  for: "what it is for",
  g_per_ml: "what a millilitre weighs",
  g_per_piece: "what a piece weighs",
  holds_days: "the days it holds",
  made_on: "the day it was made",
  name: "the name",
  occurred_on: "the day it came",
  on: "the day",
  password: "the password",
  place_id: "the place",
  portion_factor: "how much they eat",
  printed_on: "the date on the pack",
  servings: "the portions",
  time_zone: "the time zone",
  title: "what is to be done",
  until: "the last day",
  weekly_said: "what is used in a week",
  working_amount: "what stands at hand",
};

function field(pointer: string): string {
  const name = pointer.split("/").pop() ?? "";
  return FIELDS[name] ?? name.replaceAll("_", " ");
}

/** Why, so that it can be mended; the server's own words where there is no code for it. */
function reason(fault: Fault): string {
  const params: Record<string, unknown> = fault.params ?? {};
  switch (fault.code) {
    case "missing":
      return "is missing";
    case "unknown":
      return "is not known here";
    case "choice":
      return `must be one of ${String(params.one_of)}`;
    case "number":
      return "must be a number like 1.5";
    case "day":
      return "must be a day";
    case "short":
      return `needs at least ${String(params.least)} characters`;
    case "long":
      return `may have ${String(params.most)} characters at most`;
    case "least":
      return `must be at least ${String(params.least)}`;
    case "most":
      return `must be at most ${String(params.most)}`;
    default:
      return "cannot be read";
  }
}

/** One sentence of it: “The amount must be a number like 1.5.” */
export function faultWords(fault: Fault): string {
  if (!fault.code) return fault.detail;
  const sentence = `${field(fault.pointer)} ${reason(fault)}.`;
  return sentence.charAt(0).toUpperCase() + sentence.slice(1);
}
