import type { Corrections } from "../label-line/model";
import { newKey } from "./client";
import { envelope, type Envelope } from "./envelope";
import { keptEach } from "./kept";
import type { ProblemDocument } from "./types";

/**
 * What was typed or done and has not been taken in yet. It belongs to one person in one household and outlives a
 * reload.
 */
export interface Letter extends Envelope {
  key: string;
  path: string;
  body: unknown;
  words: string;
  /** On its way; refused: it waits for a person to change it, send it again or drop it. */
  state: "pending" | "refused";
  /** Why it was refused, in the house's words. */
  problem?: ProblemDocument;
  /** A raw label line typed while nothing answered; it is read first and put away then. */
  line?: string;
  /** The place that stood beside the line, for a line that names none. */
  place?: number;
  /** What was answered and put right on the line's labels. */
  corrections?: Corrections;
  /** What was typed for it: it goes back into the label line when the letter is refused. */
  typed?: string;
  /** Changes no stock, so it is not reported. */
  quiet?: boolean;
}

export type More = Pick<Letter, "line" | "place" | "corrections" | "typed" | "quiet">;

export const letters = keptEach<Letter>("nut-shelf.letter");

export function waiting(): Letter[] {
  return letters.read();
}

export function letter(path: string, body: unknown, words: string, more: More = {}): Letter {
  return { key: newKey(), path, body, words, state: "pending", ...envelope(), ...more };
}

export function store(entry: Letter): void {
  letters.put(entry);
}

export function drop(key: string): void {
  letters.drop(key);
}

/** The same again, as a new intent: what was refused under its old key stays refused. */
export function anew(entry: Letter): Letter {
  return { ...entry, problem: undefined, key: newKey(), state: "pending", held: true };
}
