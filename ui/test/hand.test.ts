import { describe, expect, it } from "vitest";
import type { Food } from "../src/api/types";
import { bodyOf, handWords, likelyYear, sizesOf, takenUp } from "../src/label-line/hand";

function food(more: Partial<Food> = {}): Food {
  return {
    id: 4,
    key: "canned-chickpeas",
    name: "Chickpeas, canned",
    aisle: "Tins and cans",
    food_group: "protein",
    dimension: "mass",
    packs: [
      { amount: "240", unit: "g", words: "240 g" },
      { amount: "400", unit: "g", words: "400 g" },
    ],
    own: false,
    allergens: [],
    mark: "tin",
    date_kind: "best_before",
    by_day: false,
    usual: { amount: "400", unit: "g", noun: null, place_id: 2, count: 3, days: 550, date_kind: "best_before" },
    ...more,
  };
}
const CAME = { amount: null, unit: "piece", noun: "jar", place_id: 2, count: 2, days: null, date_kind: null } as const;

describe("one hand", () => {
  it("takes a usual food up as it came last", () => {
    const hand = takenUp(food());
    expect(handWords(hand)).toBe("3 x 400 g Chickpeas, canned");
    expect(sizesOf(food())).toEqual(["400g", "240g"]);
    expect(bodyOf({ ...hand, date: "2028-05-31" }, 2)).toEqual({
      food_id: 4,
      place_id: 2,
      count: "3",
      amount: "400",
      unit: "g",
      printed_on: "2028-05-31",
      printed_kind: "best_before",
    });
  });

  it("keeps a pack of unknown size by its noun, in the plural where there are several", () => {
    const hand = takenUp(food({ name: "Honey", usual: CAME }));
    expect(handWords(hand)).toBe("2 jars Honey");
    expect(bodyOf(hand, 2)).toEqual({ food_id: 4, place_id: 2, count: "2", noun: "jar" });
    expect(handWords({ ...hand, count: 1 })).toBe("1 jar Honey");
    expect(handWords({ ...hand, pack: "noun:loaf" })).toBe("2 loaves Honey");
  });

  it("counts what is counted by the piece, and knows no size where nobody does", () => {
    const eggs = takenUp(food({ name: "Eggs", dimension: "count", packs: [], usual: null }));
    expect(bodyOf({ ...eggs, count: 6 }, 1)).toMatchObject({ count: "6", amount: "1", unit: "piece" });
    expect(bodyOf(takenUp(food({ packs: [], usual: null })), 1)).toMatchObject({ noun: "pack" });
  });

  it("asks for a use-by where such food carries one", () => {
    expect(takenUp(food({ date_kind: "use_by", usual: null })).kind).toBe("use_by");
    expect(takenUp(food()).kind).toBe("best_before");
    expect(bodyOf({ ...takenUp(food()), kind: "use_by", date: "2026-12-01" }, 1).printed_kind).toBe("use_by");
  });

  it("begins with the year its date lay in the last time", () => {
    expect(likelyYear(food(), "2026-11-24")).toBe(2028);
    expect(likelyYear(food({ usual: null }), "2026-11-24")).toBe(2027);
  });
});
