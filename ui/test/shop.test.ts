import { expect, test } from "vitest";
import type { Letter } from "../src/api/outbox";
import type { BoughtLine, List, ListItem } from "../src/api/types";
import { basket, nextOf, shown, struck } from "../src/views/shop/overlay";
import { reckonedRef } from "../src/views/shop/useListActs";
import { begun, parted, stackOf } from "../src/views/shop/putting";

const item = (more: Partial<ListItem>): ListItem => ({
  ref: null,
  food_id: 1,
  text: "Chickpeas",
  aisle: "Tins",
  amount: "400 g",
  packs: [],
  reasons: [],
  cost_minor: 89,
  estimated: false,
  at_home: [],
  source: "list",
  by: null,
  status: "open",
  note: "",
  ticked_by: [],
  changed_by: null,
  paid_minor: null,
  lessened: false,
  late: false,
  too_much: null,
  in_shop: null,
  ...more,
});

const list = (items: ListItem[], more: Partial<List> = {}) =>
  ({
    aisles: [{ aisle: "Tins", items }],
    removed: [],
    additions: [],
    shopping: null,
    ...more,
  }) as unknown as List;

let sequence = 0;
const letter = (path: string, body: unknown, more: Partial<Letter> = {}): Letter => ({
  key: `key${(sequence += 1)}`,
  path,
  body,
  words: "",
  state: "pending",
  device: "d",
  sequence,
  on: "2026-11-24",
  ...more,
});

const states = (items: ReturnType<typeof shown>) =>
  items.flatMap((aisle) => aisle.items.map((one) => [one.text, one.status, one.waits]));

test("what was ticked here and waits for signal is ticked, the last word counts", () => {
  const letters = [
    letter("/api/list/aaaaaaaa/mark", { status: "ticked" }),
    letter("/api/list/bbbbbbbb/mark", { status: "ticked" }),
    letter("/api/list/bbbbbbbb/mark", { status: "open" }),
  ];
  const there = list([item({ ref: "aaaaaaaa" }), item({ ref: "bbbbbbbb", food_id: 2, text: "Rice" })]);
  expect(states(shown(there, letters))).toEqual([
    ["Chickpeas", "ticked", true],
    ["Rice", "open", true],
  ]);
});

test("a reckoned line that was ticked before the house knew of it keeps its tick, once", () => {
  const letters = [letter("/api/list", { ref: "cccccccc", food_id: 1, reckoned: true, ticked: true })];
  expect(states(shown(list([item({})]), letters))).toEqual([["Chickpeas", "ticked", true]]);
  const known = list([item({ ref: "cccccccc", status: "ticked" })]);
  expect(states(shown(known, letters))).toEqual([["Chickpeas", "ticked", false]]);
});

test("a line of one's own stands there before it is sent, and can be ticked and struck there", () => {
  const written = letter("/api/list", { ref: "dddddddd", text: "lamp wick" });
  expect(states(shown(list([]), [written]))).toEqual([["lamp wick", "open", true]]);
  const ticked = letter("/api/list/dddddddd/mark", { status: "ticked" });
  expect(states(shown(list([]), [written, ticked]))).toEqual([["lamp wick", "ticked", true]]);
  const gone = letter("/api/list/dddddddd/mark", { status: "removed" });
  expect(states(shown(list([]), [written, gone]))).toEqual([]);
});

test("a letter that was refused changes nothing that is shown", () => {
  const letters = [letter("/api/list/aaaaaaaa/mark", { status: "ticked" }, { state: "refused" })];
  expect(states(shown(list([item({ ref: "aaaaaaaa" })]), letters))).toEqual([["Chickpeas", "open", false]]);
});

test("what was struck off can be put back, whoever struck it", () => {
  const there = list([item({ ref: "aaaaaaaa" })], { removed: [item({ ref: "bbbbbbbb", status: "removed" })] });
  const letters = [letter("/api/list/aaaaaaaa/mark", { status: "removed" })];
  expect(struck(there, letters).map((one) => one.ref)).toEqual(["aaaaaaaa", "bbbbbbbb"]);
  expect(states(shown(there, letters))).toEqual([]);
});

test("a new need while somebody is out stands by itself until it is ticked", () => {
  const out = list([], { additions: [item({})], shopping: { id: 1, on: "2026-11-24", person: "Ines" } });
  expect(states(shown(out, []))).toEqual([]);
  const letters = [letter("/api/list", { ref: "cccccccc", food_id: 1, reckoned: true, ticked: true })];
  expect(states(shown(out, letters))).toEqual([["Chickpeas", "ticked", true]]);
});

test("the basket is what was paid, else what it is said to cost; the next line is the first that is open", () => {
  const there = list([
    item({ ref: "aaaaaaaa", status: "ticked", paid_minor: 100 }),
    item({ ref: "bbbbbbbb", status: "ticked", cost_minor: 50 }),
    item({ ref: "cccccccc", text: "Rice" }),
  ]);
  const aisles = shown(there, []);
  expect(basket(aisles)).toBe(150);
  expect(nextOf(aisles)?.text).toBe("Rice");
});

const bought: BoughtLine = {
  ref: "aaaaaaaa",
  text: "Chickpeas",
  food_id: 7,
  note: "",
  paid_minor: 267,
  cost_minor: 270,
  ticked_by: ["Ines"],
  on: "2026-11-24",
  packs: [{ count: "3", amount: "400", unit: "g" }],
  place_id: 4,
  kind: "best_before",
  near: false,
};

test("what was bought becomes a stack as it came the last time, undated until somebody says a date", () => {
  const [one] = begun(bought);
  expect(one && stackOf(one, 7)).toEqual({
    ref: "aaaaaaaa",
    food_id: 7,
    place_id: 4,
    count: "3",
    amount: "400",
    unit: "g",
    price_minor: 267,
  });
  expect(one && stackOf({ ...one, date: "2028-05-31" }, 7)).toMatchObject({
    printed_on: "2028-05-31",
    printed_kind: "best_before",
  });
});

test("nothing is sent while the place or the amount is missing", () => {
  const [one] = begun(bought);
  expect(one && stackOf({ ...one, place: null }, 7)).toBeNull();
  expect(one && stackOf({ ...one, amount: "" }, 7)).toBeNull();
  expect(one && stackOf({ ...one, count: "0" }, 7)).toBeNull();
});

test("a part goes elsewhere without changing how much there is or what it cost", () => {
  const [one] = begun(bought);
  const parts = one ? parted(one) : [];
  expect(parts.map((part) => part.count)).toEqual(["2", "1"]);
  expect(parts.map((part) => part.price)).toEqual(["2.67", ""]);
  expect(parts[1]?.place).toBeNull();
});

test("what the list asks for is called the same on every device, and as the house takes it", () => {
  expect(reckonedRef(7, "2026-11-24")).toBe("food7on20261124");
  expect(reckonedRef(123456789012, "2026-11-24")).toMatch(/^[a-z0-9]{8,40}$/);
});

test("what the house would not take in is told on its line", () => {
  const problem = { type: "about:blank", status: 409, code: "taken", title: "It is put away.", remedy: "", errors: [] };
  const refused = letter("/api/list/aaaaaaaa/mark", { status: "ticked" }, { state: "refused", problem });
  const [first] = shown(list([item({ ref: "aaaaaaaa" })]), [refused]).flatMap((aisle) => aisle.items);
  expect([first?.refused, first?.status]).toEqual(["It is put away.", "open"]);
});
