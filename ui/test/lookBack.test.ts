import { expect, test } from "vitest";
import { change, kept, verdict } from "../src/words/advice";
import { daysLeft, outFor } from "../src/words/lookBack";
import { monthFrom } from "../src/views/look-back/Span";

const note = { enough: true, notes: 5, median_days: 12, longest_good: 11, guide_low: 7, guide_high: 7 };

test("what keeps here stands beside the guide, with the number of notes", () => {
  expect(kept(note)).toBe("half had turned after 12 days (5 notes). The guide says 7 days.");
  expect(kept({ ...note, median_days: null, guide_high: 9 })).toBe(
    "more than half outlasted 11 days (5 notes). The guide says 7 to 9 days.",
  );
  expect(kept({ ...note, enough: false, notes: 1, guide_low: null, guide_high: null })).toBe(
    "1 note so far, too few to say. The guide says nothing.",
  );
});

test("a verdict says both sums where there is one", () => {
  expect(verdict("early", 2, "€3.00", "€1.00")).toBe("Too early to say: ask again after four weeks.");
  expect(verdict("helped", 5, "€3.00", "€1.00")).toBe(
    "It helped: €1.00 wasted in 5 weeks since, €3.00 in as many before.",
  );
  expect(verdict("cannot_tell", 5, "€0.00", "€0.00")).toContain("Cannot tell");
});

test("a change says what to do", () => {
  expect(change("smaller_pack", "150 g")).toBe("buy packs of 150 g at most");
  expect(change("stop", null)).toBe("stop buying it for three months");
});

test("days before and past a date read as people say them", () => {
  expect([daysLeft(0), daysLeft(1), daysLeft(-2)]).toEqual([
    "on its last day",
    "1 day before its date",
    "2 days past its date",
  ]);
  expect(outFor("3 Nov", "4 days", null)).toBe("out since 3 Nov, 4 days without");
});

test("months go over the end of a year", () => {
  expect([monthFrom("2026-12", 1), monthFrom("2026-01", -1)]).toEqual(["2027-01", "2025-12"]);
});
