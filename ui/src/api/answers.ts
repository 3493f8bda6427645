import { bell } from "./bell";

/** Where the worker keeps the house's last answers. */
export const ANSWERS = "nut-shelf-answers";

/** When an answer was given that is told again while nobody answers. */
export const AS_OF = "x-nut-shelf-as-of";

/** What is kept to be read without network: the list, the shelf, places with their photographs, counts, meals,
 * kits, trips and what is prepared for a power cut. */
export const KEPT = new RegExp(
  `^/api/(${[
    "session",
    "today",
    "list",
    "bought",
    "stacks",
    "places",
    "counts",
    "meals",
    "plan",
    "recipes",
    "occasions",
    "keeping",
    "people",
    "care",
    "kits",
    "trips",
    "outages/prepared",
  ].join("|")})(/[0-9]+)?(/(photo|refresh|packing|box))?/?$`,
);

const AWAY = [502, 503, 504];

/** Whether nobody is there to answer. */
export function isAway(status: number): boolean {
  return AWAY.includes(status);
}

/** Rings with the time of the answer that is told again; null when the house itself answers. */
export const asOf = bell<string | null>();

const OWNER = "nut-shelf.answers-for";

/** What is kept was told to one person of one household; nobody else may read it. */
export async function keepFor(owner: string): Promise<void> {
  if (localStorage.getItem(OWNER) === owner) return;
  await forget();
  localStorage.setItem(OWNER, owner);
}

/** Nothing of the house stays in this browser. */
export async function forget(): Promise<void> {
  localStorage.removeItem(OWNER);
  if ("caches" in window) await caches.delete(ANSWERS);
}
