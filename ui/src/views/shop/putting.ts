import type { BoughtLine, PutAway } from "../../api/types";
import { amountOf } from "../../kit/form";

/** A stack that a line becomes, as it is being put together. */
export interface Putting {
  ref: string;
  count: string;
  amount: string;
  unit: "g" | "ml" | "piece";
  place: number | null;
  kind: "best_before" | "use_by" | "";
  date: string;
  /** What all of it cost, as typed. */
  price: string;
}

/** How it came the last time stands in until somebody says it otherwise. */
export function begun(line: BoughtLine): Putting[] {
  const packs = line.packs.length > 0 ? line.packs : [{ count: "1", amount: "", unit: "g" }];
  const price = line.paid_minor ?? line.cost_minor;
  return packs.map((pack, at) => ({
    ref: line.ref,
    count: pack.count,
    amount: pack.amount,
    unit: pack.unit as Putting["unit"],
    place: line.place_id,
    kind: line.kind ?? "",
    date: "",
    price: at === 0 && price !== null ? (price / 100).toFixed(2) : "",
  }));
}

/** Half of it for another place; a single thing stays whole. */
export function parted(one: Putting): Putting[] {
  const count = Number(amountOf(one.count));
  if (!(count > 1)) return [one];
  const half = Math.floor(count / 2);
  return [
    { ...one, count: String(Number((count - half).toFixed(6))) },
    { ...one, count: String(half), place: null, date: one.date, price: "" },
  ];
}

/** @returns what the house is told, nothing while something of it is missing */
export function stackOf(one: Putting, food: number | null): (PutAway & { ref: string }) | null {
  const count = amountOf(one.count);
  const amount = amountOf(one.amount);
  if (food === null || one.place === null || !(Number(count) > 0) || !(Number(amount) > 0)) return null;
  const price = amountOf(one.price);
  return {
    ref: one.ref,
    food_id: food,
    place_id: one.place,
    count,
    amount,
    unit: one.unit,
    ...(one.kind !== "" && one.date !== "" ? { printed_on: one.date, printed_kind: one.kind } : {}),
    ...(price === "" ? {} : { price_minor: Math.round(Number(price) * 100) }),
  };
}
