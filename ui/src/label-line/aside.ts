import { kept } from "../api/kept";
import type { Corrections } from "./model";

/**
 * Words that go back into the label line, wherever they come from: a shopping list, a scan, a line that was refused.
 */
export interface BackInLine {
  text: string;
  /** A food that is known already is passed on, not read again from words. */
  food_id?: number;
  /** What was answered before, so that nobody is asked twice. */
  corrections?: Corrections;
  /** It was sent and needs an answer before it can be put away. */
  asks?: boolean;
  /** One of many that were pasted: it comes up by itself when the line is free. */
  next?: boolean;
}

/** Lines that wait beside the label line, because another one stands in it. */
export const lines = kept<BackInLine>("nut-shelf.lines-aside");

/** Lines that have left the field and are being read: a reload meanwhile must not lose them. */
const reading = kept<BackInLine>("nut-shelf.lines-reading", "tab");

export function beginReading(text: string, corrections?: Corrections): void {
  reading.write([...reading.read(), { text, corrections }]);
}

export function endReading(text: string): void {
  const all = reading.read();
  const at = all.findIndex((line) => line.text === text);
  reading.write(all.filter((_, index) => index !== at));
}

let recovered = false;

/** What was being read when the page went away waits beside the line. Once a page: later it is this page that reads. */
export function recoverReading(): void {
  const left = recovered ? [] : reading.read();
  recovered = true;
  if (left.length === 0) return;
  reading.write([]);
  putAside(...left);
}

export function aside(): BackInLine[] {
  return lines.read();
}

export function putAside(...more: BackInLine[]): void {
  lines.write([...aside(), ...more]);
}

/** Takes one of them out; undefined when it is gone already. */
export function takeAside(index: number): BackInLine | undefined {
  const all = aside();
  const taken = all[index];
  if (taken) lines.write(all.filter((_, at) => at !== index));
  return taken;
}

/** The next of the pasted lines, taken out. */
export function nextAside(): BackInLine | undefined {
  const index = aside().findIndex((line) => line.next);
  return index < 0 ? undefined : takeAside(index);
}

/** What was pasted, line by line; empty ones and what is too long for a line are cut away. */
export function pasted(text: string, longest = 500): string[] {
  return text
    .split(/\r\n|\r|\n/)
    .map((line) => line.replace(/\t/g, " ").trim().slice(0, longest))
    .filter((line) => line !== "");
}
