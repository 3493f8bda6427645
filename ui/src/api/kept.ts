import { bell, type Bell } from "./bell";

let owner = "nobody";

/** What is kept belongs to one person in one household: nobody else's hand sees or sends it. */
export function belongsTo(account: number, household: number): void {
  owner = `${account}.${household}`;
}

/** A name under which only this person in this household keeps things in the browser. */
export function mine(name: string): string {
  return `${name}.${owner}`;
}

/** What is kept in the browser; whoever shows it hears of changes by its bell. */
export interface Shown<T> {
  changed: Bell;
  read: () => T[];
}

/** A list kept as one. */
export interface Kept<T> extends Shown<T> {
  write: (list: T[]) => void;
}

/** Things kept one by one, so that two windows never write over each other's. */
export interface KeptEach<T> extends Shown<T> {
  put: (item: T) => void;
  drop: (key: string) => void;
}

function parsed<T>(text: string | null): T[] {
  try {
    return text === null ? [] : [JSON.parse(text) as T];
  } catch {
    return [];
  }
}

/** @param where "tab": not even another tab of this browser sees it, but a reload does */
export function kept<T>(name: string, where: "browser" | "tab" = "browser"): Kept<T> {
  const changed = bell();
  const storage = () => (where === "tab" ? sessionStorage : localStorage);
  return {
    changed,
    read: () => parsed<T[]>(storage().getItem(mine(name)))[0] ?? [],
    write: (list) => {
      storage().setItem(mine(name), JSON.stringify(list));
      changed.ring();
    },
  };
}

/** @param name each item stands under this name, its owner and its own key */
export function keptEach<T extends { key: string; sequence: number }>(name: string): KeptEach<T> {
  const changed = bell();
  const at = (key: string) => `${mine(name)}.${key}`;
  return {
    changed,
    read: () => {
      const names = Array.from({ length: localStorage.length }, (_, index) => localStorage.key(index) ?? "").filter(
        (one) => one.startsWith(at("")),
      );
      return names
        .flatMap((one) => parsed<T>(localStorage.getItem(one)))
        .sort((one, other) => one.sequence - other.sequence);
    },
    put: (item) => {
      localStorage.setItem(at(item.key), JSON.stringify(item));
      changed.ring();
    },
    drop: (key) => {
      localStorage.removeItem(at(key));
      changed.ring();
    },
  };
}
