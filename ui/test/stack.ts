import type { Stack } from "../src/api/types";

/** A stack as the API sends it, with some facts changed. */
export function stack(more: Partial<Stack> = {}): Stack {
  return {
    id: 1,
    food_id: 1,
    food: "Chickpeas, canned",
    name: "Chickpeas, canned",
    group: "protein",
    place_id: 1,
    amount: "3 x 400 g",
    on_hand: "1200",
  reserved: null,
    unit: "g",
    pack: "400",
    noun: null,
    open: false,
    frozen: false,
    level: null,
    state: "resting",
    days_left: 400,
    usable_until: "2028-05-31",
    flags: [],
    value_minor: 267,
    value_estimated: false,
    mark: "tin",
    ...more,
  };
}
