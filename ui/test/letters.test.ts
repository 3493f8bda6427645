import { beforeEach, describe, expect, it } from "vitest";
import { Problem } from "../src/api/client";
import { dayIs } from "../src/api/envelope";
import { belongsTo } from "../src/api/kept";
import { letter, store, waiting, type Letter } from "../src/api/outbox";
import { patched } from "../src/api/patch";
import { fate, settle } from "../src/app/deliver";
import { bothSides, insisting, viewOf } from "../src/app/letterWords";
import { aside } from "../src/label-line/aside";
import { stack } from "./stack";
import { storage } from "./storage";

beforeEach(() => {
  Object.assign(globalThis, { localStorage: storage(), sessionStorage: storage(), window: new EventTarget() });
  belongsTo(1, 2);
  dayIs("2026-11-24", "UTC");
});

function problem(code: string, status: number, more: object = {}): Problem {
  return new Problem({ type: "about:blank", status, code, title: code, remedy: null, errors: [], ...more });
}

const entry = (more: Partial<Letter> = {}): Letter => ({
  ...letter("/api/stacks/7/take", { amount: "1" }, "Take: beans"),
  ...more,
});

describe("what becomes of a letter nobody took in", () => {
  it("waits while nobody answers, while the page is out of date, and while its writer is signed out", () => {
    const times = [
      problem("database_away", 503),
      problem("x", 502),
      problem("csrf", 403),
      problem("signed_out", 401),
      problem("too_many", 429),
    ];
    expect(times.map((one) => fate(entry(), one))).toEqual(["waits", "waits", "waits", "waits", "waits"]);
  });

  it("is told at once while whoever sent it looks on, and kept when it was sent later", () => {
    const codes = [
      problem("invalid", 422),
      problem("not_enough", 409),
      problem("keeper_only", 403),
      problem("server_error", 500),
      problem("not_found", 404),
    ];
    expect(codes.map((one) => fate(entry(), one))).toEqual(["told", "told", "told", "told", "told"]);
    expect(codes.map((one) => fate(entry({ held: true }), one))).toEqual([
      "refused",
      "refused",
      "refused",
      "refused",
      "refused",
    ]);
  });

  it("stays whole in the list with the reason, and is marked as late once it waited", () => {
    const late = entry({ held: true });
    store(late);
    settle(late, problem("not_enough", 409));
    expect(waiting()).toMatchObject([
      { words: "Take: beans", state: "refused", problem: { code: "not_enough" }, body: { amount: "1" } },
    ]);
    const fresh = entry();
    store(fresh);
    settle(fresh, problem("database_away", 503));
    expect(waiting().find((one) => one.key === fresh.key)).toMatchObject({ state: "pending", held: true });
  });

  it("gives typed words back to the label line with what was answered", () => {
    const typed = entry({ path: "/api/stacks", typed: "3 tins beans", corrections: { place_id: 4 } });
    store(typed);
    settle(typed, problem("invalid", 422));
    expect(waiting()).toEqual([]);
    expect(aside()).toEqual([{ text: "3 tins beans", corrections: { place_id: 4 } }]);
  });
});

describe("a conflict", () => {
  const mine = () =>
    entry({
      path: "/api/places/3/change",
      body: { version: 4, name: "Larder", note: "dry" },
      problem: problem("stale", 409, { current: { name: "Pantry", note: "dry", kind: "cupboard" } }).document,
    });

  it("shows both sides, and only where they differ", () => {
    expect(bothSides(mine())).toEqual([{ name: "name", mine: "Larder", theirs: "Pantry" }]);
    expect(bothSides(entry())).toEqual([]);
  });

  it("can be insisted on without the version it was written against", () => {
    expect(insisting(mine()).body).toEqual({ name: "Larder", note: "dry" });
  });

  it("leads to what it is about", () => {
    expect([viewOf(mine()), viewOf(entry()), viewOf(entry({ path: "/api/care" }))]).toEqual([
      "/places",
      "/shelf?stack=7",
      null,
    ]);
  });
});

describe("an act's answer", () => {
  const [near, far, none] = [
    stack({ id: 1, usable_until: "2026-12-01" }),
    stack({ id: 2, usable_until: "2027-01-01" }),
    stack({ id: 3, usable_until: null }),
  ];
  const shelf = {
    stacks: [near, far, none],
    totals: { stacks: 3, value_minor: 0, front: 0, look: 0, stop: 0, undated: 0 },
  };

  it("changes what it touched and leaves every other stack the very same object", () => {
    const later = { ...near, usable_until: "2027-02-01", state: "look" as const, value_minor: 70 };
    const after = patched(shelf, { stacks: [later], gone: [] });
    expect(after.stacks.map((one) => one.id)).toEqual([2, 1, 3]);
    expect(after.stacks[0]).toBe(far);
    expect(after.stacks[2]).toBe(none);
    expect(after.totals).toMatchObject({ stacks: 3, look: 1, value_minor: far.value_minor + none.value_minor + 70 });
  });

  it("takes off what is gone and adds what is new", () => {
    const after = patched(shelf, { stacks: [stack({ id: 9, usable_until: "2026-11-25" })], gone: [2] });
    expect(after.stacks.map((one) => one.id)).toEqual([9, 1, 3]);
  });
});
