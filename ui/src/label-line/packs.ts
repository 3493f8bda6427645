import type { Food } from "../api/types";

export type PackSize = Food["packs"][number];

/** One pack as the tables count it, whatever words the household has for its size. */
export function packKey(pack: Pick<PackSize, "amount" | "unit">): string {
  return pack.unit === "piece" ? pack.amount : `${pack.amount}${pack.unit}`;
}

/** What a key stands for: "400g" is grams, a bare number pieces. */
export function sizeOf(key: string): Pick<PackSize, "amount" | "unit"> | null {
  const [, amount, unit] = /^([\d.]+)(g|ml)?$/.exec(key) ?? [];
  return amount ? { amount, unit: unit === "g" || unit === "ml" ? unit : "piece" } : null;
}

/** A size in the household's words; one just typed as it was typed. */
export function packWords(food: Pick<Food, "packs">, key: string): string {
  return food.packs.find((pack) => packKey(pack) === key)?.words ?? key.replace(/(\d)([a-z])/, "$1 $2");
}
