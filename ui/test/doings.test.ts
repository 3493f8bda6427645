import { stack as stackOf } from "./stack";
import { describe, expect, it } from "vitest";
import type { Place, StackDetail } from "../src/api/types";
import { DOINGS } from "../src/views/shelf/doings";

const place = (id: number, kind: Place["kind"]): Place => ({
  id,
  name: kind,
  kind,
  tier: "working", kit_id: null, kit_box: null, off_since: null,
  low_c: null,
  high_c: null,
  parent_id: null,
  stacks: 0,
  dark: false,
  reach: "hand",
  inner_mm: null,
  fill_percent: null,
  fill_said_on: null,
  count_every_days: null,
  counted_on: null,
  note: "",
  version: 1,
  photo: false,
});
const places = [place(1, "cupboard"), place(2, "fridge"), place(3, "freezer")];

function detail(
  stack: Partial<StackDetail["stack"]> = {},
  facts: Partial<StackDetail["facts"]> = {},
  more: Partial<StackDetail> = {},
): StackDetail {
  return {
    stack: stackOf({
      id: 9,
      food_id: 4,
      food: "Beef mince",
      name: "Beef mince",
      group: "protein",
      place_id: 2,
      amount: "400 g",
      on_hand: "400",
      unit: "g",
      pack: "400",
      noun: null,
      open: false,
      frozen: false,
      level: null,
      state: "front",
      days_left: 2,
      usable_until: "2026-11-26",
      flags: [],
      value_minor: 420,
      value_estimated: false,
      ...stack,
    }),
    place: "fridge",
    ways_out: ["binned", "composted", "given_away", "animals"],
    reserved: [],
    quality_until: null,
    safety_until: "2026-11-26",
    ready_on: null,
    basis: "printed",
    school: "look, then decide",
    steps: [],
    warnings: [],
    cautions: [],
    history: [],
    facts: {
      label: "",
      printed_on: "2026-11-26",
      printed_kind: "use_by",
      made_on: null,
      acquired_on: "2026-11-22",
      directions: "",
      bought_for: "",
      lot_text: "",
      wrapping: "plastic",
      opening: null,
      container: null,
      container_id: null,
      quarantined: false,
      quarantine_reason: null,
      situation: "bought_sealed",
      seen_on: null,
      ...facts,
    },
    look: {
      kind: "fresh",
      signs: [
        { sign: "Slime", means: "bad" },
        { sign: "Wilted", means: "turning" },
        { sign: "A small spot", means: "good" },
      ],
    },
    storage: { now: null, ways: [] },
    care: [],
    care_advised: [],
    ripening: [],
    parts: [],
    ...more,
  };
}

function form(entries: [string, string][]): FormData {
  const data = new FormData();
  for (const [name, value] of entries) data.append(name, value);
  return data;
}

const doing = (key: string) => {
  const found = DOINGS.find((one) => one.key === key);
  if (!found) throw new Error(`no doing ${key}`);
  return found;
};
const sent = (key: string, entries: [string, string][], of = detail()) => doing(key).input(form(entries), of, places);
const offered = (of: StackDetail) => DOINGS.filter((one) => one.when(of, places)).map((one) => one.key);

describe("what a stack can be asked to do", () => {
  it("freezes what is not frozen and thaws what is, never both", () => {
    expect(offered(detail())).toEqual(expect.arrayContaining(["freeze", "open", "cut", "cooked", "portion"]));
    expect(offered(detail())).not.toContain("thaw");
    const frozen = offered(detail({ frozen: true, place_id: 3 }));
    expect(frozen).toContain("thaw");
    expect(frozen).not.toContain("freeze");
    expect(frozen).not.toContain("cut");
  });

  it("offers nothing of an empty stack but to mend what is known of it", () => {
    expect(offered(detail({ on_hand: "0" }))).toEqual(["amend", "correct"]);
  });

  it("asks for ripeness only of what came unripe, for a way of storing only where it matters, and tops up only what is open", () => {
    expect(offered(detail({ state: "not_ready" }, { situation: "ripening" }))).toContain("ripened");
    expect(offered(detail())).not.toContain("ripened");
    expect(offered(detail({}, {}, { storage: { now: null, ways: ["bag", "water"] } }))).toContain("store");
    expect(offered(detail())).not.toContain("store");
    expect(offered(detail({ open: true }))).toContain("top-up");
    expect(offered(detail({ open: true }))).not.toContain("open");
    expect(offered(detail({ group: "supplies" }))).not.toContain("cooked");
  });
});

describe("what a form sends", () => {
  it("leaves an empty amount out and reads a comma as a point", () => {
    expect(sent("take", [["amount", ""]])).toEqual({});
    expect(sent("take", [["amount", " 1,5 "]])).toEqual({ amount: "1.5" });
    expect(
      sent("move", [
        ["place_id", "3"],
        ["amount", "100"],
      ]),
    ).toEqual({ place_id: 3, amount: "100" });
    expect(sent("freeze", [["amount", ""]])).toEqual({ place_id: 3 });
  });

  it("sends the signs that were ticked, and what a person says of it only where they said it", () => {
    expect(sent("look", [["result", ""]])).toEqual({});
    expect(
      sent("look", [
        ["sign", "Wilted"],
        ["sign", "A small spot"],
        ["result", ""],
      ]),
    ).toEqual({ signs: ["Wilted", "A small spot"] });
    expect(
      sent("look", [
        ["sign", "Wilted"],
        ["result", "good"],
      ]),
    ).toEqual({ result: "good", signs: ["Wilted"] });
  });

  it("splits by number or by size, never by both", () => {
    expect(
      sent("portion", [
        ["count", "3"],
        ["amount", ""],
        ["place_id", ""],
        ["label", ""],
      ]),
    ).toEqual({ count: 3 });
    expect(
      sent("portion", [
        ["size", "150"],
        ["amount", "400"],
        ["place_id", "3"],
        ["label", "For one"],
      ]),
    ).toEqual({ size: "150", amount: "400", place_id: 3, label: "For one" });
  });

  it("amends only what changed, with what it said before", () => {
    const same: [string, string][] = [
      ["label", ""],
      ["printed_on", "2026-11-26"],
      ["printed_kind", "use_by"],
      ["made_on", ""],
      ["directions", ""],
      ["bought_for", ""],
      ["lot_text", ""],
      ["wrapping", "plastic"],
    ];
    const but = (name: string, value: string): [string, string][] =>
      same.map(([key, old]) => [key, key === name ? value : old]);
    expect(sent("amend", same)).toEqual({ was: {} });
    expect(sent("amend", but("printed_on", "2026-11-28"))).toEqual({
      printed_on: "2026-11-28",
      was: { printed_on: "2026-11-26" },
    });
    expect(sent("amend", but("printed_on", ""))).toEqual({ printed_on: null, was: { printed_on: "2026-11-26" } });
    expect(sent("amend", but("directions", "Fry hard"))).toEqual({ directions: "Fry hard", was: { directions: "" } });
    expect(sent("amend", but("wrapping", "paper"))).toEqual({ wrapping: "paper", was: {} });
  });

  it("says nought when the amount is wrong and nothing is there", () => {
    expect(
      sent("correct", [
        ["amount", ""],
        ["why", "eaten"],
      ]),
    ).toEqual({ amount: "0", why: "eaten" });
    expect(
      sent("throw", [
        ["outcome", "binned"],
        ["why", "turned"],
        ["amount", ""],
      ]),
    ).toEqual({ outcome: "binned", why: "turned" });
  });
});
