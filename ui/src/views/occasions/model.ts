import { allergenWords } from "../../words/occasions";
import type { KeepOccasion, Occasion, Recurrence } from "../../api/types";

/** Everything of an occasion as it is sent, some of it changed. */
export function facts(one: Occasion, changes: Partial<KeepOccasion>): KeepOccasion {
  const { version, name, recurrence, meal, serve_at, eaters, dishes, ideas, notes, cooks, ovens } = one;
  return { version, name, recurrence, meal, serve_at, eaters, dishes, ideas, notes, cooks, ovens, ...changes };
}

/** When it comes round, of the fields of a form. */
export function roundIn(form: FormData): Recurrence {
  const kind = String(form.get("kind")) as Recurrence["kind"];
  const number = (name: string) => Number(form.get(name));
  switch (kind) {
    case "once":
      return { kind, on: String(form.get("on")) };
    case "date":
      return { kind, month: number("month"), day: number("day") };
    case "weekday":
      return { kind, month: number("month"), weekday: number("weekday"), nth: number("nth") as Recurrence["nth"] };
    default:
      return { kind: "monthly", weekday: number("weekday"), nth: number("nth") as Recurrence["nth"] };
  }
}

const HOUR = 60;
const DAY = 1440;

/** The clock so many minutes before another time of day. */
export function clock(at: string, before: number): string {
  const [hours = 0, minutes = 0] = at.split(":").map(Number);
  const left = (((hours * HOUR + minutes - before) % DAY) + DAY) % DAY;
  const two = (number: number) => String(number).padStart(2, "0");
  return `${two(Math.floor(left / HOUR))}:${two(left % HOUR)}`;
}

/** Whether so many minutes before that time of day lie on the day before. */
export function dayBefore(at: string, before: number): boolean {
  const [hours = 0, minutes = 0] = at.split(":").map(Number);
  return before > hours * HOUR + minutes;
}

export type Guest = NonNullable<NonNullable<Occasion["eaters"]>["guests"]>[number];

/** "Bram: egg, milk" is a guest who may not have egg or milk. */
export function guestsIn(text: string): Guest[] {
  return text
    .split("\n")
    .map((line) => line.trim())
    .filter((line) => line !== "")
    .map((line) => {
      const [name = "", without = ""] = line.split(":").map((part) => part.trim());
      const excludes = without
        .split(",")
        .map((word) => word.trim().toLowerCase())
        .filter((word) => word !== "")
        // What nobody knows goes to the house as it is, which refuses it by name.
        .flatMap((word) => allergenWords[word] ?? [word]) as NonNullable<Guest["excludes"]>;
      return excludes.length > 0 ? { name, excludes: [...new Set(excludes)] } : { name };
    });
}

export function guestsText(guests: Guest[]): string {
  return guests
    .map((guest) => `${guest.name ?? ""}${(guest.excludes ?? []).length > 0 ? `: ${guest.excludes?.join(", ")}` : ""}`)
    .join("\n");
}
