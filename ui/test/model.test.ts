import { describe, expect, it } from "vitest";
import type { Draft } from "../src/api/types";
import { answer, held, nthAnswer, open, putAwayFrom } from "../src/label-line/model";

function draft(more: Partial<Draft> = {}): Draft {
  return {
    count: "3",
    amount: "400",
    unit: "g",
    usual_place: null,
    amount_text: "3 x 400 g",
    food: { id: 7, name: "Chickpeas, canned" },
    label: "chickpeas",
    date: "2028-05-31",
    date_kind: "best_before",
    opened_on: null,
    frozen_on: null,
    thawed_on: null,
    place: { id: 2, name: "Cellar rack" },
    price_minor: 267,
    state: null,
    lot_text: null,
    questions: [],
    unread: [],
    notes: [],
    spans: {},
    effect: null,
    ...more,
  };
}

const date = { field: "date", text: "Which date is meant?", answers: [{ text: "27 Mar 2027", value: "2027-03-27" }] };

describe("what a line puts away", () => {
  it("is what was read", () => {
    expect(putAwayFrom(draft(), {})).toEqual({
      food_id: 7,
      place_id: 2,
      count: "3",
      amount: "400",
      unit: "g",
      printed_on: "2028-05-31",
      printed_kind: "best_before",
      price_minor: 267,
    });
  });

  it("keeps an unmeasured jar by its noun", () => {
    expect(
      putAwayFrom(draft({ amount: null, unit: "jar", count: "0.5", state: "opened", date: null, date_kind: null }), {}),
    ).toMatchObject({ count: "0.5", noun: "jar", state: "opened" });
  });

  it("takes a made date as made, not as printed", () => {
    expect(putAwayFrom(draft({ date: "2026-11-23", date_kind: "made" }), {})).toMatchObject({ made_on: "2026-11-23" });
    expect(putAwayFrom(draft({ date: "2026-11-23", date_kind: "made" }), {})).not.toHaveProperty("printed_on");
  });

  it.each([
    ["food", { food: null }],
    ["place", { place: null }],
    ["the kind of a date", { date_kind: null }],
    ["an answer", { questions: [date] }],
  ])("waits for %s", (_, more) => {
    expect(putAwayFrom(draft(more), {})).toBeNull();
  });

  it("takes answers and corrections over what was read", () => {
    const asked = draft({ questions: [date], date: null, place: null });
    expect(
      putAwayFrom(asked, { date: "2027-03-27", answered: ["date"], place_id: 9, count: "4", price_minor: 100 }),
    ).toMatchObject({ printed_on: "2027-03-27", place_id: 9, count: "4", price_minor: 100 });
  });

  it("holds back what was not understood until that is confirmed, and keeps the lot", () => {
    const odd = draft({ unread: ["wibble", "#10"], lot_text: "L3321B" });
    expect(putAwayFrom(odd, {})).toBeNull();
    expect(held(odd, {})).toEqual({
      words: "Not understood: wibble #10. Enter once more puts it away without that.",
      then: { unread: true },
    });
    expect(putAwayFrom(odd, { unread: true })).toMatchObject({ food_id: 7, lot_text: "L3321B" });
    expect(held(draft({ unread: ["wibble"], place: null }), {})).toEqual({
      words: "Answer the dashed labels first.",
      then: {},
    });
    expect(held(null, {}).then).toEqual({});
    expect(putAwayFrom(draft({ food: null, unread: ["grog"] }), { food_id: 9 })).toMatchObject({ food_id: 9 });
  });

  it.each([
    ["opened_on", "2026-11-16", { opened_on: "2026-11-16" }],
    ["frozen_on", "2026-10-01", { frozen_on: "2026-10-01" }],
    ["thawed_on", "2026-11-23", { thawed_on: "2026-11-23" }],
    ["price", "6.32", { price_minor: 632 }],
    ["count", "4", { count: "4" }],
    ["date_kind", "use_by", { printed_kind: "use_by" }],
    ["food", "9", { food_id: 9 }],
    ["date", "2027-03-27", { printed_on: "2027-03-27" }],
  ])("puts the answer about %s where it belongs, and nowhere else", (field, value, lands) => {
    const question = { field, text: "?", answers: [{ text: value, value }] };
    const before = putAwayFrom(draft(), {});
    expect(putAwayFrom(draft({ questions: [question] }), { ...answer(question, value), answered: [field] })).toEqual({
      ...before,
      ...lands,
      ...(field === "food" ? { label: "chickpeas" } : {}),
    });
  });

  it("lets the place that stays answer the question for one", () => {
    const asked = draft({ place: null, questions: [{ field: "place", text: "Which?", answers: [] }] });
    expect(open(asked, {}).length).toBe(1);
    expect(open(asked, { place_id: 3 }).length).toBe(0);
  });

  it("keeps words that say more than the food's name, and only those", () => {
    expect(putAwayFrom(draft({ label: "plum jam", food: { id: 8, name: "Fruit jam" } }), {})).toMatchObject({
      label: "Plum jam",
    });
    expect(putAwayFrom(draft({ label: "canned chickpeas" }), {})).not.toHaveProperty("label");
    expect(
      putAwayFrom(draft({ label: "balsamic", food: { id: 8, name: "Distilled white vinegar" } }), {}),
    ).toMatchObject({ label: "Balsamic" });
    expect(putAwayFrom(draft({ label: "naan", food: { id: 8, name: "Garlic bread or naan" } }), {})).toMatchObject({
      label: "Naan",
    });
    for (const [typed, name] of [
      ["museli", "Muesli"],
      ["toms", "Chopped tomatoes, canned"],
      ["chickpes", "Chickpeas, canned"],
      ["mayo", "Mayonnaise, shop-bought"],
    ] as const)
      expect(putAwayFrom(draft({ label: typed, food: { id: 8, name } }), {})).not.toHaveProperty("label");
  });
});

describe("answers by their number", () => {
  const where = {
    field: "place",
    text: "Where to?",
    answers: [
      { text: "Cellar", value: "4" },
      { text: "Loft", value: "5" },
    ],
  };

  it("answer the first question that still stands", () => {
    const asking = draft({ questions: [date, where] });
    expect(nthAnswer(asking, {}, 1)).toEqual({ date: "2027-03-27", answered: ["date"] });
    expect(nthAnswer(asking, { answered: ["date"] }, 2)).toEqual({ place_id: 5, answered: ["date", "place"] });
    expect([nthAnswer(asking, {}, 2), nthAnswer(draft(), {}, 1), nthAnswer(asking, {}, Number.NaN)]).toEqual([
      null,
      null,
      null,
    ]);
  });

  it("give what the shop weighed out its weight", () => {
    const weighed = draft({
      amount: null,
      unit: null,
      questions: [
        {
          field: "amount",
          text: "How much is it?",
          answers: [
            { text: "500 g", value: "500" },
            { text: "00500 is the price", value: "" },
          ],
        },
      ],
    });
    expect(putAwayFrom(weighed, nthAnswer(weighed, {}, 1) ?? {})).toMatchObject({ amount: "500", unit: "g" });
    expect(putAwayFrom(weighed, nthAnswer(weighed, {}, 2) ?? {})).not.toHaveProperty("amount");
  });
});
