import { describe, expect, it } from "vitest";
import { bins, column, COLUMNS, names, piles } from "../src/views/shelf/bins";
import { filtered, fromUrl } from "../src/views/shelf/filter";
import { nearest } from "../src/views/shelf/walk";
import { pastWords, rowsOf } from "../src/views/shelf/PhoneList";
import { stack } from "./stack";

describe("columns by time left", () => {
  it.each([
    [-1, "past"],
    [0, "1 week"],
    [7, "1 week"],
    [8, "1 month"],
    [30, "1 month"],
    [31, "3 months"],
    [91, "3 months"],
    [92, "1 year"],
    [365, "1 year"],
    [366, "later"],
    [null, "no date"],
  ])("puts %s days left into %s", (days_left, name) => {
    expect(COLUMNS[column({ days_left, state: "resting" })]?.name).toBe(name);
  });

  it("puts what is not to eat into the past, whatever its days", () => {
    expect(column({ days_left: 40, state: "stop" })).toBe(0);
    expect(column({ days_left: null, state: "stop" })).toBe(0);
  });

  it("keeps every stack, in the order given", () => {
    const stacks = [stack({ id: 1, days_left: 2 }), stack({ id: 2, days_left: 500 }), stack({ id: 3, days_left: 1 })];
    expect(
      bins(stacks)
        .flat()
        .map((one) => one.id)
        .sort(),
    ).toEqual([1, 2, 3]);
    expect(bins(stacks)[1]?.map((one) => one.id)).toEqual([1, 3]);
  });

  it("says names in full where two foods have the same short one", () => {
    const shelf = [
      stack({ id: 1, food_id: 1, name: "Chickpeas, canned" }),
      stack({ id: 2, food_id: 2, name: "Chickpeas, dried" }),
      stack({ id: 3, food_id: 3, name: "Oats, rolled" }),
      stack({ id: 4, food_id: 3, name: "Oats, rolled" }),
    ];
    expect(shelf.map(names(shelf))).toEqual(["Chickpeas, canned", "Chickpeas, dried", "Oats", "Oats"]);
  });
});

describe("piles", () => {
  const stacks = [stack({ id: 1 }), stack({ id: 2 }), stack({ id: 3, food_id: 9 })];

  it("folds stacks of one food", () => {
    expect(piles(stacks, new Set(), "p").map((pile) => pile.stacks.length)).toEqual([2, 1]);
  });

  it("spreads the one that was opened out", () => {
    const [first] = piles(stacks, new Set(), "p");
    expect(piles(stacks, new Set([first?.key ?? ""]), "p").map((pile) => pile.stacks.length)).toEqual([1, 1, 1]);
  });
});

describe("filters", () => {
  const base = {
    kind: "cupboard",
    low_c: null,
    high_c: null,
    parent_id: null,
    stacks: 1,
    dark: false,
    reach: "steps",
    inner_mm: null,
    fill_percent: null,
    fill_said_on: null,
    count_every_days: null,
    counted_on: null,
    note: "",
    version: 1,
    photo: false, kit_id: null, kit_box: null, off_since: null,
  } as const;
  const places = [
    { ...base, id: 1, name: "Cupboard", tier: "working" },
    { ...base, id: 2, name: "Box", tier: "set_apart" },
  ] as const;
  const stacks = [
    stack({ id: 1 }),
    stack({ id: 2, place_id: 2, name: "Oat bars", food: "Cereal bars", group: "sweets", state: "front" }),
  ];
  const pick = (query: string) =>
    filtered(stacks, [...places], fromUrl(new URLSearchParams(query))).map((one) => one.id);

  it.each([
    ["", [1, 2]],
    ["q=CHICK", [1]],
    ["q=cereal", [2]],
    ["state=front", [2]],
    ["place=1", [1]],
    ["group=sweets", [2]],
    ["apart=yes", [2]],
    ["apart=no", [1]],
    ["q=x", []],
  ])("%s", (query, ids) => {
    expect(pick(query)).toEqual(ids);
  });
});

describe("walking the shelf", () => {
  const boxes = [
    { x: 0, y: 0 },
    { x: 100, y: 0 },
    { x: 100, y: 50 },
    { x: 0, y: 60 },
  ];

  it.each([
    ["ArrowRight", 0, 1],
    ["ArrowLeft", 1, 0],
    ["ArrowDown", 1, 2],
    ["ArrowUp", 3, 0],
    ["ArrowLeft", 0, -1],
  ])("%s from %i leads to %i", (key, from, to) => {
    expect(nearest(boxes[from] ?? { x: 0, y: 0 }, boxes, key)).toBe(to);
  });
});

describe("the list on a phone", () => {
  const stacks = [
    stack({ id: 1, days_left: 400 }),
    stack({ id: 2, days_left: -3, state: "stop" }),
    stack({ id: 3, days_left: 2 }),
    stack({ id: 4, days_left: -1, state: "look" }),
  ];

  it("folds what is past into one line, front first", () => {
    const kinds = (open: boolean) =>
      rowsOf(stacks, open).map((row) => ("stack" in row ? row.stack.id : "fold" in row ? row.fold : row.heading));
    expect(kinds(false)).toEqual(["1 not to eat, 1 to look at first", "1 week", 3, "later", 1]);
    expect(kinds(true)).toEqual(["1 not to eat, 1 to look at first", 2, 4, "1 week", 3, "later", 1]);
  });

  it("says only what there is", () => {
    expect([pastWords([{ state: "stop" }, { state: "stop" }]), pastWords([{ state: "look" }])]).toEqual([
      "2 not to eat",
      "1 to look at first",
    ]);
  });
});
