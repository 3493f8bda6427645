import type { Food, PutAway } from "../api/types";
import { addDays, packsOf } from "../words/common";
import { packKey, packWords, sizeOf } from "./packs";

/** What a thumb has said so far. */
export interface Hand {
  food: Food | null;
  count: number;
  /** "400g" as the tables write it, "2 jars"-like nouns as "noun:jar", or "" where nobody knows. */
  pack: string;
  date: string;
  kind: "best_before" | "use_by";
  find: string;
}

export const EMPTY: Hand = { food: null, count: 1, pack: "", date: "", kind: "best_before", find: "" };

const NOUN = "noun:";

function usualPack(food: Food): string {
  const { usual } = food;
  if (!usual) return food.packs[0] ? packKey(food.packs[0]) : "";
  if (usual.amount === null) return usual.noun ? NOUN + usual.noun : "";
  return packKey({ amount: usual.amount, unit: usual.unit });
}

/** A food in hand, with the pack and the number it came in last. */
export function takenUp(food: Food): Hand {
  const kind = (food.usual?.date_kind ?? food.date_kind) === "use_by" ? "use_by" : "best_before";
  return { ...EMPTY, food, pack: usualPack(food), count: food.usual?.count ?? 1, kind };
}

/** The packs to choose from, the usual one first. */
export function sizesOf(food: Food): string[] {
  const first = usualPack(food);
  return [...new Set([first, ...food.packs.map(packKey)])].filter((pack) => pack !== "");
}

export function packName(food: Food, pack: string): string {
  return pack.startsWith(NOUN) ? `a ${pack.slice(NOUN.length)}` : packWords(food, pack);
}

/** The year whose months are shown first: the one in which its date lay the last time, else next year. */
export function likelyYear(food: Food | null, today: string): number {
  const days = food?.usual?.days;
  return Number((typeof days === "number" ? addDays(today, days) : addDays(today, 365)).slice(0, 4));
}

/** "3 x 400 g Chickpeas" */
export function handWords(hand: Hand): string {
  const name = hand.food?.name ?? "";
  if (hand.pack.startsWith(NOUN)) return `${packsOf(hand.count, hand.pack.slice(NOUN.length))} ${name}`;
  return hand.food && hand.pack && !/^1?$/.test(hand.pack)
    ? `${hand.count} x ${packName(hand.food, hand.pack)} ${name}`
    : `${hand.count} ${name}`;
}

/** The write it stands for. */
export function bodyOf(hand: Hand, place: number): PutAway {
  const date = hand.date ? { printed_on: hand.date, printed_kind: hand.kind } : {};
  const all = { food_id: hand.food?.id ?? 0, place_id: place, count: String(hand.count), ...date };
  if (hand.pack.startsWith(NOUN)) return { ...all, noun: hand.pack.slice(NOUN.length) };
  const size = hand.pack ? sizeOf(hand.pack) : null;
  if (size) return { ...all, amount: size.amount, unit: size.unit };
  return hand.food?.dimension === "count" ? { ...all, amount: "1", unit: "piece" } : { ...all, noun: "pack" };
}
