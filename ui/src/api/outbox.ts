import { newKey } from "./client";

/** A write that is on its way. Kept in the browser until the server has answered, so that a reload loses nothing. */
export interface Letter {
  key: string;
  path: string;
  body: unknown;
  words: string;
  /** A raw label line typed while nothing answered; it is read first and put away then. */
  line?: string;
  /** Changes no stock, so it is not reported. */
  quiet?: boolean;
}

const SHELF = "nut-shelf.outbox";
let owner = "nobody";

/** Letters belong to one person in one household: nobody else's hand sends them. */
export function belongsTo(account: number, household: number): void {
  owner = `${account}.${household}`;
}

function shelf(): string {
  return `${SHELF}.${owner}`;
}

export function waiting(): Letter[] {
  try {
    return JSON.parse(localStorage.getItem(shelf()) ?? "[]") as Letter[];
  } catch {
    return [];
  }
}

function keep(letters: Letter[]): void {
  localStorage.setItem(shelf(), JSON.stringify(letters));
  window.dispatchEvent(new Event("outbox"));
}

export function letter(path: string, body: unknown, words: string): Letter {
  return { key: newKey(), path, body, words };
}

export function store(entry: Letter): void {
  keep([...waiting().filter((other) => other.key !== entry.key), entry]);
}

export function drop(key: string): void {
  keep(waiting().filter((other) => other.key !== key));
}
