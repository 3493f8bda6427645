import type { Draft, PutAway, Question } from "../api/types";
import * as say from "../words/labelLine";

/** What a person answered or corrected on the small labels. */
export interface Corrections {
  place_id?: number;
  food_id?: number;
  date?: string;
  date_kind?: string;
  opened_on?: string;
  frozen_on?: string;
  thawed_on?: string;
  count?: string;
  /** Grams, of what the shop weighed out. */
  amount?: string;
  price_minor?: number;
  /** The words are no name of their own: they were made from the food's. */
  bare?: boolean;
  /** Fields whose question was answered. */
  answered?: string[];
  /** What was not understood may be left out. */
  unread?: boolean;
}

const PRINTED = ["best_before", "use_by"];
const STATES = ["opened", "frozen", "leftover", "home_made", "home_canned", "home_dried", "unripe", "thawed"] as const;

/** Where it goes when nobody says it. */
export function usual(draft: Draft | null): Corrections {
  return draft?.usual_place ? { place_id: draft.usual_place.id } : {};
}

/** Questions that still stand. A place that was chosen answers the question for one. */
export function open(draft: Draft, corrections: Corrections): Draft["questions"] {
  return draft.questions.filter(
    (question) =>
      !(corrections.answered ?? []).includes(question.field) && !(question.field === "place" && corrections.place_id),
  );
}

export function foodOf(draft: Draft, corrections: Corrections): number | undefined {
  return corrections.food_id ?? draft.food?.id;
}

export function placeOf(draft: Draft, corrections: Corrections): number | undefined {
  return corrections.place_id ?? draft.place?.id;
}

/**
 * Words that nobody took for anything: they are confirmed before the line is stored without them. Where no food was
 * found and a person said which it is, those words were its name.
 */
export function leftOut(draft: Draft, corrections: Corrections): string | null {
  if (!draft.food && corrections.food_id) return null;
  return draft.unread.length > 0 && !corrections.unread ? draft.unread.join(" ") : null;
}

/** What to say of a line that cannot be stored yet, and what the next Enter may take as said. */
export function held(draft: Draft | null, corrections: Corrections): { words: string; then: Corrections } {
  const words = draft && leftOut(draft, corrections);
  const rest = { ...corrections, unread: true };
  if (!draft || !words || !putAwayFrom(draft, rest)) return { words: say.answerDashedLabels, then: {} };
  return { words: say.notUnderstoodEnter(words), then: { unread: true } };
}

/** The write a draft stands for, or null while something is missing, unanswered or not understood. */
export function putAwayFrom(draft: Draft, corrections: Corrections): PutAway | null {
  if (leftOut(draft, corrections)) return null;
  const food = foodOf(draft, corrections);
  const place = placeOf(draft, corrections);
  if (!food || !place || open(draft, corrections).length > 0) return null;
  const date = corrections.date ?? draft.date ?? undefined;
  const kind = corrections.date_kind ?? draft.date_kind ?? undefined;
  if (date && !kind) return null;
  const state = STATES.find((known) => known === draft.state);
  return clean({
    food_id: food,
    place_id: place,
    count: corrections.count ?? draft.count,
    ...size(draft, corrections),
    label: label(draft, corrections),
    ...dates(date, kind),
    opened_on: corrections.opened_on ?? draft.opened_on ?? undefined,
    frozen_on: corrections.frozen_on ?? draft.frozen_on ?? undefined,
    thawed_on: corrections.thawed_on ?? draft.thawed_on ?? undefined,
    state,
    price_minor: corrections.price_minor ?? draft.price_minor ?? undefined,
    lot_text: draft.lot_text ?? undefined,
  });
}

/** One pack's size, or the word for a pack whose size nobody knows. */
function size(draft: Draft, corrections: Corrections): Pick<PutAway, "amount" | "unit" | "noun"> {
  if (corrections.amount) return { amount: corrections.amount, unit: "g" };
  return draft.amount
    ? { amount: draft.amount, unit: draft.unit as PutAway["unit"] }
    : { noun: draft.unit ?? undefined };
}

function dates(date: string | undefined, kind: string | undefined): Partial<PutAway> {
  if (!date || !kind) return {};
  return PRINTED.includes(kind)
    ? { printed_on: date, printed_kind: kind as PutAway["printed_kind"] }
    : { made_on: date };
}

/** Nearly the same word: two letters more, less or other. */
function alike(one: string, other: string): boolean {
  const left = [...other];
  const shared = [...one].filter((letter) => {
    const at = left.indexOf(letter);
    if (at >= 0) left.splice(at, 1);
    return at >= 0;
  }).length;
  return one[0] === other[0] && one.length > 3 && Math.max(one.length, other.length) - shared <= 2;
}

/**
 * The words are kept as the name only where they say more than the food's own name: "Balsamic", but no typo of it. Of a
 * food that is one or another ("Garlic bread or naan") they say which.
 */
function label(draft: Draft, corrections: Corrections): string | undefined {
  const words = draft.label?.trim();
  if (corrections.bare) return undefined;
  if (!words || (corrections.food_id && corrections.food_id !== draft.food?.id)) return words;
  const own = draft.food?.name.toLowerCase() ?? "";
  if (/ or | and /.test(own) && own !== words.toLowerCase()) return words.charAt(0).toUpperCase() + words.slice(1);
  const told = (word: string) =>
    own.includes(word.replace(/(e?s)$/, "")) || own.split(/[^\p{L}]+/u).some((name) => alike(word, name));
  return words
    .toLowerCase()
    .split(/\s+/)
    .some((word) => !told(word))
    ? words.charAt(0).toUpperCase() + words.slice(1)
    : undefined;
}

function clean<T extends object>(body: T): T {
  return Object.fromEntries(Object.entries(body).filter(([, value]) => value !== undefined)) as T;
}

/** What an answer to a question puts right. */
export function answer(question: Question, value: string): Corrections {
  switch (question.field) {
    case "food":
      return { food_id: Number(value) };
    case "place":
      return { place_id: Number(value) };
    case "amount":
      return value === "" ? {} : { amount: value };
    case "count":
      return { count: value };
    case "date_kind":
      return { date_kind: value };
    case "opened_on":
      return { opened_on: value };
    case "frozen_on":
      return { frozen_on: value };
    case "thawed_on":
      return { thawed_on: value };
    case "price":
      return { price_minor: Math.round(Number(value) * 100) };
    case "price_or_date":
      return value.includes("-")
        ? { date: value, date_kind: "best_before" }
        : { price_minor: Math.round(Number(value) * 100) };
    default:
      return { date: value };
  }
}

/** The answer of that number to the first question that still stands. */
export function nthAnswer(draft: Draft, corrections: Corrections, number: number): Corrections | null {
  const question = open(draft, corrections).find((one) => one.answers.length > 0);
  const option = question?.answers[number - 1];
  return question && option
    ? { ...answer(question, option.value), answered: [...(corrections.answered ?? []), question.field] }
    : null;
}
