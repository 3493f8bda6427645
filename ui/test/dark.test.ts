import { describe, expect, it } from "vitest";
import type { Letter } from "../src/api/outbox";
import type { PreparedForOutage } from "../src/api/types";
import { begunOf, hoursOf, inOrder, judged, wayOf } from "../src/views/kits/dark";

type Stack = PreparedForOutage["stacks"][number];

const letter = (path: string, body: object, state: Letter["state"] = "pending") =>
  ({ key: path, path, body, state, words: "" }) as unknown as Letter;

const turn = (upto: string | null, verdict: Stack["ways"][number]["turns"][number]["verdict"], rule: string) => ({
  upto,
  verdict,
  rule,
});

const stack = (lot_id: number, where: "fridge" | "freezer", more: Partial<Stack>): Stack => ({
  lot_id,
  name: `stack ${lot_id}`,
  amount: "1",
  place: where,
  where,
  mark: "jar",
  good: true,
  until: null,
  safety_until: null,
  perishable: true,
  ways: [],
  ...more,
});

const yoghurt = stack(1, "fridge", {
  ways: [100, 50].map((percent) => ({
    percent,
    by_hour: "4",
    turns: [turn("4", "keep", "fridge_hours_no_power"), turn(null, "throw", "fridge_hours_no_power")],
  })),
});
const mince = stack(2, "freezer", {
  ways: [
    { percent: 50, by_hour: "24", turns: [turn("12", "keep", "still_hard"), turn(null, "throw", "two_hour_rule")] },
    { percent: 100, by_hour: "48", turns: [turn("24", "keep", "still_hard"), turn(null, "throw", "two_hour_rule")] },
  ],
});
const butter = stack(3, "fridge", {
  perishable: false,
  ways: [{ percent: 100, by_hour: "240", turns: [turn(null, "keep", "not_perishable")] }],
});
const old = stack(4, "fridge", { good: false, ways: yoghurt.ways });
const prepared: PreparedForOutage = {
  outage: null,
  fridge_hours: 4,
  freezer: [],
  stacks: [butter, mince, old, yoghurt],
};

const began = letter("/api/outages", { started_at: "2026-11-24T08:00:00Z", freezer_percent: 50 });
const noon = Date.parse("2026-11-24T12:00:00Z");
const begun = (...more: Letter[]) => {
  const cut = begunOf(null, [began, ...more]);
  if (!cut) throw new Error("no cut");
  return cut;
};

describe("a power cut while nothing answers", () => {
  it("is known from the letters that wait, and from what the house said before them", () => {
    expect(begunOf(null, [])).toBeNull();
    expect(begunOf(null, [letter("/api/outages", {}, "refused")])).toBeNull();
    const read = letter("/api/outages/current/change", { reading: { where: "fridge", c: "7" } });
    const back = letter("/api/outages/12/change", { ended_at: "2026-11-24T20:00:00Z" });
    expect(begun(read, back)).toEqual({
      started_at: "2026-11-24T08:00:00Z",
      ended_at: "2026-11-24T20:00:00Z",
      freezer_percent: 50,
      read: ["fridge"],
    });
    const told = { started_at: "2026-11-24T06:00:00Z", ended_at: null, freezer_percent: 100, read: [] };
    expect(begunOf(told, [began])).toEqual(told);
  });

  it("counts its hours on, never back", () => {
    expect(hoursOf(begun(), noon)).toBe(4);
    expect(hoursOf(begun(), Date.parse("2026-11-24T07:00:00Z"))).toBe(0);
  });

  it("takes a freezer in between for the next emptier one, and an emptier one for the emptiest", () => {
    expect([100, 75, 50, 10].map((percent) => wayOf(mince, percent)?.percent)).toEqual([100, 50, 50, 50]);
  });

  it("lists what stops keeping first ahead, and nothing that is not to be eaten", () => {
    expect(inOrder(prepared, begun(), "2026-11-24").map((one) => one.stack.lot_id)).toEqual([1, 2, 3]);
  });

  it("knows that what was prepared days ago may be over since", () => {
    const milk = { ...yoghurt, until: "2026-11-24", safety_until: "2026-11-24" };
    const old = { ...prepared, stacks: [milk] };
    expect(inOrder(old, begun(), "2026-11-24")).toHaveLength(1);
    expect(inOrder(old, begun(), "2026-11-25")).toHaveLength(0);
    expect(judged(old, begun(), noon, "2026-11-24").map((one) => one.verdict)).toEqual(["keep"]);
    expect(judged(old, begun(), noon, "2026-11-25").map((one) => [one.verdict, one.rule])).toEqual([
      ["throw", "not_to_eat"],
    ]);
  });

  it("judges by the hour, and leaves to the house what a reading would change", () => {
    const words = (cut: ReturnType<typeof begun>, now: number) =>
      judged(prepared, cut, now, "2026-11-24").map((one) => [one.stack.lot_id, one.verdict]);
    expect(words(begun(), noon)).toEqual([
      [3, "keep"],
      [2, "keep"],
      [4, "keep"],
      [1, "keep"],
    ]);
    expect(words(begun(), noon + 1).at(-1)).toEqual([1, "throw"]);
    const read = letter("/api/outages/current/change", { reading: { where: "fridge", c: "7" } });
    expect(words(begun(read), noon)).toEqual([
      [3, "keep"],
      [2, "keep"],
      [4, null],
      [1, null],
    ]);
  });
});
