import { describe, expect, it } from "vitest";
import type { ReadLine, Recipe, WrittenRecipe } from "../src/api/types";
import { EMPTY, fromRecipe, fromWritten, linesOf, toKeep, type Read } from "../src/views/recipes/model";
import { leftOf } from "../src/views/meals/useTimers";

const beans: ReadLine = {
  text: "2 tins white beans",
  food_id: 7,
  food: "White beans, canned",
  amount: "800",
  unit: "g",
  words: "800 g",
  optional: false,
    made: false,
  note: "drained",
  heading: false,
  substitutes: [{ food_id: 8, food: "Chickpeas, canned", factor: "1" }],
  questions: [],
};

const secret: ReadLine = {
  ...beans,
  text: "a secret",
  food_id: null,
  food: null,
  amount: null,
  unit: null,
  words: null,
};

const recipe: Recipe = {
  recipe_id: 3,
  dish_id: 1,
  key: "bean-pot",
  current_id: 3,
  name: "Bean pot",
  meal: "dinner",
  own: true,
  servings: 4,
  minutes: 50,
  active_minutes: 10,
  gear: ["hob"],
  tags: ["quick", "pantry"],
  archived: false,
  likes: {},
  food_ids: [7],
  freezes: true,
  leftover_days: 2,
  steps: ["Fry.", "Simmer."],
  notes: "less salt",
  source: "Gran",
  lines: [
    {
      text: "2 tins white beans",
      food_id: 7,
      food: "White beans, canned",
      amount: "800",
      unit: "g",
      words: "800 g",
      optional: false,
    made: false,
      note: "drained",
      substitutes: beans.substitutes,
    },
    { text: "a secret", optional: false,
    made: false, note: "", substitutes: [] },
  ],
  per_portion: { cost_minor: 90, kcal: 300, protein_g: 12, estimated: [], unknown: [], allergens: [] },
  versions: [{ recipe_id: 3, version: 1 }],
  picture: null,
};

function fields(more: Record<string, string | string[]> = {}): FormData {
  const form = new FormData();
  const all = {
    name: " Bean pot ",
    meal: "dinner",
    servings: "4",
    active: "10",
    total: "50",
    keeps: "2",
    gear: ["hob", "oven"],
    tags: "Quick, pantry, ",
    lines: "2 tins white beans\n\n  a secret ",
    steps: "Fry.\nSimmer.\n",
    notes: "less salt",
    source: "Gran",
    ...more,
  };
  for (const [name, value] of Object.entries(all)) for (const one of [value].flat()) form.append(name, one);
  return form;
}

const known: Record<string, Read> = { "2 tins white beans": beans, "a secret": secret };

describe("a dish in the editor", () => {
  it("has its lines one a row, blank rows left out", () => {
    expect(linesOf(" 1 egg \n\n 2 onions\n")).toEqual(["1 egg", "2 onions"]);
    expect(linesOf("")).toEqual([]);
  });

  it("begins with what the dish says, every line known as it was matched", () => {
    const begun = fromRecipe(recipe);
    expect(begun).toMatchObject({ name: "Bean pot", total: 50, active: 10, keeps: 2, tags: "quick, pantry" });
    expect(begun.lines).toBe("2 tins white beans\na secret");
    expect(begun.known["2 tins white beans"]).toMatchObject({ food_id: 7, amount: "800", unit: "g", questions: [] });
    expect(begun.known["a secret"]).toMatchObject({ food_id: null, amount: null });
  });

  it("begins with what was brought in, with usual figures where it says none, and what is to be mended", () => {
    const written: WrittenRecipe = {
      name: "Stew",
      servings: null,
      total_minutes: 20,
      active_minutes: 45,
      meal: null,
      tags: [],
      notes: "",
      source: "",
      steps: ["Stir."],
      lines: [beans],
      problems: [{ at: "servings", text: "It does not say for how many it is." }],
    };
    const begun = fromWritten(written);
    expect(begun).toMatchObject({ servings: EMPTY.servings, meal: "dinner", total: 20, active: 20 });
    expect(begun.problems).toEqual(["It does not say for how many it is."]);
    expect(begun.changes).toBeUndefined();
  });

  it("is sent with a food and an amount where both are known, and its words in any case", () => {
    const sent = toKeep(fields(), known, 3);
    expect(sent).toMatchObject({
      recipe_id: 3,
      name: "Bean pot",
      servings: 4,
      gear: ["hob", "oven"],
      tags: ["Quick", "pantry"],
      steps: ["Fry.", "Simmer."],
      freezes: false,
    });
    expect(sent.lines).toEqual([
      {
        text: "2 tins white beans",
        food_id: 7,
        amount: "800",
        unit: "g",
        optional: false,
    made: false,
        note: "drained",
        substitutes: [{ food_id: 8, factor: "1" }],
      },
      { text: "a secret" },
    ]);
  });

  it("is a new dish where it changes none, and loses no line that nobody could read", () => {
    const sent = toKeep(fields({ lines: "3 xyzzy", freezes: "yes" }), {});
    expect(sent.recipe_id).toBeUndefined();
    expect(sent.lines).toEqual([{ text: "3 xyzzy" }]);
    expect(sent.freezes).toBe(true);
  });
});

describe("a timer", () => {
  const timer = { key: "1.0", label: "step 1", ends: 100_000 };

  it("counts down to nothing, and no further", () => {
    expect(leftOf(timer, 100_000 - 245_000)).toBe("4:05");
    expect(leftOf(timer, 99_900)).toBe("0:01");
    expect(leftOf(timer, 100_000)).toBe("0:00");
    expect(leftOf(timer, 900_000)).toBe("0:00");
  });
});
