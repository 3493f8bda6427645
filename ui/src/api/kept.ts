let owner = "nobody";

/** What is kept belongs to one person in one household: nobody else's hand sees or sends it. */
export function belongsTo(account: number, household: number): void {
  owner = `${account}.${household}`;
}

/** A name under which only this person in this household keeps things in the browser. */
export function mine(name: string): string {
  return `${name}.${owner}`;
}

/** A list that is kept in the browser; whoever shows it hears of changes by the event of its name. */
export interface Kept<T> {
  event: string;
  read: () => T[];
  write: (list: T[]) => void;
}

/** @param where "tab": not even another tab of this browser sees it, but a reload does */
export function kept<T>(name: string, event: string, where: "browser" | "tab" = "browser"): Kept<T> {
  const storage = () => (where === "tab" ? sessionStorage : localStorage);
  return {
    event,
    read: () => {
      try {
        return JSON.parse(storage().getItem(mine(name)) ?? "[]") as T[];
      } catch {
        return [];
      }
    },
    write: (list) => {
      storage().setItem(mine(name), JSON.stringify(list));
      window.dispatchEvent(new Event(event));
    },
  };
}
