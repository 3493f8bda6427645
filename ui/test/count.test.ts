import { stack as stackOf } from "./stack";
import { describe, expect, it } from "vitest";
import type { Count, ExpectedStack } from "../src/api/types";
import { askWords, isLineOf, nextOpen, progress, readFound, stepFrom } from "../src/views/count/model";
import { isScan } from "../src/scan/readScan";

function row(
  id: number,
  more: Partial<ExpectedStack> = {},
  stack: Partial<ExpectedStack["stack"]> = {},
): ExpectedStack {
  return {
    place: "Cupboard",
    packs: 5,
    quarters: false,
    container_id: null,
    line: null,
    ...more,
    stack: stackOf({
      id,
      food_id: id,
      food: "Chickpeas",
      name: "Chickpeas",
      group: "protein",
      place_id: 1,
      amount: "5 x 400 g",
      on_hand: "2000",
      unit: "g",
      pack: "400",
      noun: null,
      open: false,
      frozen: false,
      level: null,
      state: "resting",
      days_left: 500,
      usable_until: "2028-05-31",
      flags: [],
      value_minor: 445,
      value_estimated: false,
      ...stack,
    }),
  };
}
const said = { id: 1, found: "as_expected", words: "5 x 400 g", delta: "0", level: null, person: "Ines" };
const count = (expected: ExpectedStack[]): Count => ({
  id: 1,
  status: "open",
  place_id: 1,
  place: "Cupboard",
  person: "Ines",
  started_at: "2026-11-24T10:00:00Z",
  places: [{ id: 1, name: "Cupboard" }],
  expected,
  unexpected: [],
  moved_away: 0,
});

describe("a typed answer", () => {
  it.each([
    ["", { found: "as_expected" }],
    ["0", { found: "gone" }],
    ["3", { found: "amount", packs: "3" }],
    [" 2,5 ", { found: "amount", packs: "2.5" }],
    ["three", null],
    ["-1", null],
    ["1/2", null],
    ["1e3", null],
    ["12345678", null],
  ])("%j for whole packs", (text, found) => {
    expect(readFound(text, row(1))).toEqual(found);
  });

  it("takes quarters and grams of what is open", () => {
    const open = row(1, { packs: null, quarters: true }, { open: true });
    expect([readFound("1/2", open), readFound("3/4", open), readFound("250", open), readFound("", open)]).toEqual([
      { found: "amount", quarters: 2 },
      { found: "amount", quarters: 3 },
      { found: "amount", amount: "250" },
      { found: "as_expected" },
    ]);
  });

  it("takes a letter or the word for what is kept by level", () => {
    const salt = row(1, { packs: null }, { level: "half" });
    expect([readFound("p", salt), readFound("LOW", salt), readFound("", salt), readFound("x", salt)]).toEqual([
      { found: "level", level: "plenty" },
      { found: "level", level: "low" },
      { found: "level", level: "half" },
      null,
    ]);
    expect([askWords(salt), askWords(row(1)), askWords(row(1, { packs: null }))]).toEqual([
      "plenty, half, low or out",
      "how many",
      "how many g",
    ]);
  });
});

describe("the way through the list", () => {
  const list = count([row(1, { line: said }), row(2), row(3, { line: said }), row(4)]);
  it("goes to what nobody has spoken of, round to the start, and ends", () => {
    expect([nextOpen(list, null), nextOpen(list, 2), nextOpen(list, 4), nextOpen(list, 2, new Set([4]))]).toEqual([
      2, 4, 2, 2,
    ]);
    expect(nextOpen(list, 4, new Set([2, 4]))).toBeNull();
    expect(nextOpen(count([]), null)).toBeNull();
  });

  it("counts what is on its way as said, and steps without falling off", () => {
    expect([progress(list), progress(list, new Set([2]))]).toEqual([
      { done: 2, of: 4 },
      { done: 3, of: 4 },
    ]);
    expect([stepFrom(list, 1, -1), stepFrom(list, 1, 1), stepFrom(list, 4, 1)]).toEqual([1, 2, 4]);
  });
});

describe("the comparison waits", () => {
  it("for lines of its own count, cleared ones too, and for nothing else", () => {
    expect(
      ["/api/counts/7/lines", "/api/counts/7/clear", "/api/counts/7/finish", "/api/counts/70/lines", "/api/stacks"].map(
        (path) => isLineOf(7, path),
      ),
    ).toEqual([true, true, false, false, false]);
  });
});

describe("what a scanner sends", () => {
  it.each([
    ["4006381333931", true],
    ["96385074", true],
    ["]C10104006381333931", true],
    ["(01)04006381333931", true],
    ["http://127.0.0.1:9380/s/12", true],
    ["12 eggs", false],
    ["3 tins chickpeas 400 g", false],
    ["1.09", false],
    ["12345", false],
  ])("%s", (text, scan) => {
    expect(isScan(text)).toBe(scan);
  });
});
