import type { Draft, PutAway } from "../api/types";

/** What a person answered or corrected on the small labels. */
export interface Corrections {
  place_id?: number;
  food_id?: number;
  date?: string;
  date_kind?: string;
  opened_on?: string;
  count?: string;
  price_minor?: number;
  /** The words are no name of their own: they were made from the food's. */
  bare?: boolean;
  /** Fields whose question was answered. */
  answered?: string[];
}

const PRINTED = ["best_before", "use_by"];
const STATES = ["opened", "frozen", "leftover", "home_made", "home_canned", "home_dried", "unripe", "thawed"] as const;

/** Questions that still stand. A place that stays until changed answers the question for one. */
export function open(draft: Draft, corrections: Corrections): Draft["questions"] {
  return draft.questions.filter((question) => !(corrections.answered ?? []).includes(question.field) && !(question.field === "place" && corrections.place_id));
}

export function foodOf(draft: Draft, corrections: Corrections): number | undefined {
  return corrections.food_id ?? draft.food?.id;
}

export function placeOf(draft: Draft, corrections: Corrections): number | undefined {
  return corrections.place_id ?? draft.place?.id;
}

/** The write a draft stands for, or null while something is missing or unanswered. */
export function putAwayFrom(draft: Draft, corrections: Corrections): PutAway | null {
  const food = foodOf(draft, corrections);
  const place = placeOf(draft, corrections);
  if (!food || !place || open(draft, corrections).length > 0) return null;
  const date = corrections.date ?? draft.date ?? undefined;
  const kind = corrections.date_kind ?? draft.date_kind ?? undefined;
  if (date && !kind) return null;
  const state = STATES.find((known) => known === draft.state);
  return clean({
    food_id: food, place_id: place, count: corrections.count ?? draft.count, amount: draft.amount ?? undefined, unit: draft.amount ? (draft.unit as PutAway["unit"]) : undefined,
    noun: draft.amount ? undefined : (draft.unit ?? undefined), label: label(draft, corrections), ...dates(date, kind),
    opened_on: corrections.opened_on ?? draft.opened_on ?? undefined, frozen_on: draft.frozen_on ?? undefined, thawed_on: draft.thawed_on ?? undefined, state, price_minor: corrections.price_minor ?? draft.price_minor ?? undefined,
  });
}

function dates(date: string | undefined, kind: string | undefined): Partial<PutAway> {
  if (!date || !kind) return {};
  return PRINTED.includes(kind) ? { printed_on: date, printed_kind: kind as PutAway["printed_kind"] } : { made_on: date };
}

/** The words are kept as the name only where they say more than the food's own name. */
function label(draft: Draft, corrections: Corrections): string | undefined {
  const words = draft.label?.trim();
  if (corrections.bare) return undefined;
  if (!words || (corrections.food_id && corrections.food_id !== draft.food?.id)) return words;
  const own = draft.food?.name.toLowerCase() ?? "";
  const more = words.toLowerCase().split(/\s+/).filter((word) => !own.includes(word.replace(/(e?s)$/, "")));
  return more.length > 0 && words.split(/\s+/).length > 1 ? words.charAt(0).toUpperCase() + words.slice(1) : undefined;
}

function clean<T extends object>(body: T): T {
  return Object.fromEntries(Object.entries(body).filter(([, value]) => value !== undefined)) as T;
}
