import { describe, expect, it } from "vitest";
import { packKey, packWords, sizeOf } from "../src/label-line/packs";
import {
  addDays,
  dayTab,
  dayWords,
  daysBetween,
  degrees,
  every,
  inDays,
  moneyWords,
  packsOf,
  plural,
  shortAmount,
  shortName,
  span,
  stackWords,
} from "../src/words/common";
import { localeOf, speakAs } from "../src/words/region";
import { stack } from "./stack";

describe("days", () => {
  it.each([
    ["2026-11-24", "Tue 24 Nov, today"],
    ["2026-11-26", "Thu 26 Nov, in 2 days"],
    ["2026-11-25", "Wed 25 Nov, in 1 day"],
    ["2026-11-20", "Fri 20 Nov, 4 days ago"],
    ["2028-05-31", "31 May 2028"],
  ])("%s reads %s", (day, words) => {
    expect(dayWords(day, "2026-11-24")).toBe(words);
  });

  it("crosses months, years and the change of the clocks", () => {
    expect(addDays("2026-12-31", 1)).toBe("2027-01-01");
    expect(addDays("2027-03-27", 2)).toBe("2027-03-29");
    expect(daysBetween("2027-03-27", "2027-03-29")).toBe(2);
  });

  it.each([
    [-2, "past"],
    [0, "today"],
    [1, "1 d"],
    [20, "20 d"],
    [21, "3 wk"],
    [70, "2 mo"],
    [700, "1.9 y"],
  ] as const)("%i days left are %s", (days, words) => {
    expect(inDays(days)).toBe(words);
  });

  it.each([
    [{ days_left: 0, state: "front" }, "today"],
    [{ days_left: 5, state: "front" }, "5 d"],
    [{ days_left: 42 }, "6 wk"],
    [{ days_left: 426 }, "14 mo"],
    [{ days_left: 1000 }, "2.7 y"],
    [{ days_left: -3, state: "look" }, "look"],
    [{ days_left: -3, state: "stop" }, "✕"],
    [{ days_left: null, state: "undated" }, "no date"],
    [{ days_left: 4, state: "not_ready" }, "not yet"],
  ] as const)("tab %o is %s", (more, words) => {
    expect(dayTab(stack(more))).toBe(words);
  });
});

describe("names, amounts, money", () => {
  it("shortens names for a narrow chip but never to nothing", () => {
    expect(
      ["Chickpeas, canned", "Sieved tomatoes (passata)", "Long-life (UHT) semi-skimmed milk", "Honey"].map(shortName),
    ).toEqual(["Chickpeas", "Sieved tomatoes", "Long-life (UHT) semi-skimmed milk", "Honey"]);
    expect(shortAmount("250 g, open")).toBe("250 g");
  });

  it("says money in the household's currency", () => {
    expect(moneyWords(267, "EUR")).toBe("€2.67");
    expect(moneyWords(100_000, "GBP")).toContain("1,000.00");
  });

  it("counts nouns", () => {
    expect([plural(1, "day"), plural(2, "day")]).toEqual(["1 day", "2 days"]);
    expect([every(1, "day"), every(3, "month"), span(1, 1), span(20, 20), span(1, 3)]).toEqual([
      "every day",
      "every 3 months",
      "1 day",
      "20 days",
      "1 to 3 days",
    ]);
  });

  it("tells in words what a chip tells by edge and corner", () => {
    const words = stackWords(stack({ state: "front", days_left: 3, open: true, frozen: true }), "Cellar rack", true);
    expect(words).toBe(", eat this week, 3 days left, frozen, open, set aside for a meal, Cellar rack");
    expect(stackWords(stack({ level: "low" }), "Cupboard", false)).toContain("level low");
  });

  it.each([
    ["400g", { amount: "400", unit: "g" }],
    ["1.5ml", { amount: "1.5", unit: "ml" }],
    ["6", { amount: "6", unit: "piece" }],
    ["lots", null],
  ])("size %s", (pack, size) => {
    expect(sizeOf(pack)).toEqual(size);
  });

  it("says packs as the household measures", () => {
    const packs = [
      { amount: "425.242847", unit: "g", words: "15 oz" },
      { amount: "6", unit: "piece", words: "6 pieces" },
    ] as const;
    expect(packs.map((pack) => packWords({ packs: [...packs] }, packKey(pack)))).toEqual(["15 oz", "6 pieces"]);
    expect(packWords({ packs: [] }, "400g")).toBe("400 g");
  });
});

describe("sums and counts of a region", () => {
  it("are written as the household does", () => {
    speakAs(localeOf({ day_order: "mdy", currency: "USD" }));
    expect(moneyWords(123456, "USD")).toBe("$1,234.56");
    speakAs(localeOf({ day_order: "dmy", currency: "GBP" }));
    expect(moneyWords(50, "GBP")).toBe("£0.50");
    speakAs(localeOf(null));
    expect(moneyWords(123456, "EUR")).toBe("€1,234.56");
  });

  it("follow the language in one and many, and packs their own plural", () => {
    expect([
      plural(1, "day"),
      plural(0, "day"),
      plural(2000, "stack"),
      plural(2, "thing waits", "things wait"),
    ]).toEqual(["1 day", "0 days", "2,000 stacks", "2 things wait"]);
    expect([packsOf(2, "box"), packsOf(1, "loaf"), packsOf(3, "loaf"), packsOf(2, "tin")]).toEqual([
      "2 boxes",
      "1 loaf",
      "3 loaves",
      "2 tins",
    ]);
  });

  it("spell months one way, and say degrees in the household's unit", () => {
    expect(dayWords("2027-09-30", "2026-11-24")).toBe("30 Sep 2027");
    expect([degrees(4, "f"), degrees(-18, "f"), degrees(4, "c")]).toEqual([39, 0, 4]);
  });
});
