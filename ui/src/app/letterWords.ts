import type { Letter } from "../api/outbox";

/** Where what a letter is about can be looked at. */
const VIEWS: [RegExp, (id: string) => string][] = [
  [/^\/api\/stacks\/(\d+)\//, (id) => `/shelf?stack=${id}`],
  [/^\/api\/reservations\//, () => "/shelf"],
  [/^\/api\/meals\/(\d+)/, (id) => `/meals/${id}`],
  [/^\/api\/meals$/, () => "/meals"],
  [/^\/api\/counts\/(\d+)/, (id) => `/count/${id}`],
  [/^\/api\/keeping\/(\d+)/, (id) => `/keeping?food=${id}`],
  [/^\/api\/trips\/(\d+)/, (id) => `/trips/${id}`],
  [/^\/api\/trips/, () => "/trips"],
  [/^\/api\/season/, () => "/portion/season"],
  [/^\/api\/bench\/bags/, () => "/portion/bags"],
  [/^\/api\/bench\/bowls/, () => "/portion/bowls"],
  [/^\/api\/bench\/batches/, () => "/portion/preserve"],
  [/^\/api\/bench/, () => "/portion"],
  [/^\/api\/kits\/(\d+)/, (id) => `/kits/${id}`],
  [/^\/api\/kits/, () => "/kits"],
  [/^\/api\/outages/, () => "/kits/power-cut"],
  [/^\/api\/events/, () => "/kits/before"],
  [/^\/api\/places/, () => "/places"],
  [/^\/api\/containers/, () => "/jars"],
  [/^\/api\/(people|members|ways|feeds)/, () => "/people"],
];

/** @returns the address of the view, or null for what belongs to no view */
export function viewOf(letter: Letter): string | null {
  for (const [pattern, to] of VIEWS) {
    const match = pattern.exec(letter.path);
    if (match) return to(match[1] ?? "");
  }
  return null;
}

export interface BothSides {
  name: string;
  mine: string;
  theirs: string;
}

const said = (value: unknown) => (value === null || value === undefined || value === "" ? "nothing" : String(value));

/** Where somebody else changed the same thing meanwhile: what stands in the letter, and what it says now. */
export function bothSides(letter: Letter): BothSides[] {
  if (letter.problem?.code !== "stale" || typeof letter.body !== "object" || letter.body === null) return [];
  const now = letter.problem.current ?? {};
  return Object.entries(letter.body)
    .filter(
      ([name]) =>
        name in now && said(now[name as keyof typeof now]) !== said((letter.body as Record<string, unknown>)[name]),
    )
    .map(([name, mine]) => ({
      name: name.replaceAll("_", " "),
      mine: said(mine),
      theirs: said(now[name as keyof typeof now]),
    }));
}

/** Sent without the version it was written against: it is meant to stand, whatever was changed meanwhile. */
export function insisting(letter: Letter): Letter {
  if (typeof letter.body !== "object" || letter.body === null) return letter;
  return { ...letter, body: Object.fromEntries(Object.entries(letter.body).filter(([name]) => name !== "version")) };
}
