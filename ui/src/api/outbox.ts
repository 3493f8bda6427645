import { newKey } from "./client";
import { kept } from "./kept";

/** A write that is on its way. Kept in the browser until the server has answered, so that a reload loses nothing. */
export interface Letter {
  key: string;
  path: string;
  body: unknown;
  words: string;
  /** A raw label line typed while nothing answered; it is read first and put away then. */
  line?: string;
  /** What was typed for it: it goes back into the label line when the letter is refused. */
  typed?: string;
  /** Changes no stock, so it is not reported. */
  quiet?: boolean;
}

export const letters = kept<Letter>("nut-shelf.outbox", "outbox");

export function waiting(): Letter[] {
  return letters.read();
}

export function letter(path: string, body: unknown, words: string): Letter {
  return { key: newKey(), path, body, words };
}

export function store(entry: Letter): void {
  letters.write([...waiting().filter((other) => other.key !== entry.key), entry]);
}

export function drop(key: string): void {
  letters.write(waiting().filter((other) => other.key !== key));
}
