import { beforeEach, describe, expect, it } from "vitest";
import { dayIs, dayNow } from "../src/api/envelope";
import { belongsTo } from "../src/api/kept";
import { anew, drop, letter, letters, store, waiting } from "../src/api/outbox";

// A browser's storage and events, as little of them as the outbox uses.
beforeEach(() => {
  Object.assign(globalThis, { localStorage: storage(), sessionStorage: storage(), window: new EventTarget() });
  dayIs("2026-11-24", "UTC", Date.parse("2026-11-26T09:00:00Z"));
});

import { storage } from "./storage";

describe("the outbox", () => {
  it("keeps a letter until it is dropped, under one key", () => {
    const entry = letter("/api/stacks", { count: "1" }, "honey");
    store(entry);
    store({ ...entry, body: { count: "2" } });
    expect(waiting()).toEqual([{ ...entry, body: { count: "2" } }]);
    drop(entry.key);
    expect(waiting()).toEqual([]);
  });

  it("gives each intent a key of its own, long enough to be unique", () => {
    const keys = Array.from({ length: 50 }, () => letter("/a", {}, "x").key);
    expect(new Set(keys).size).toBe(50);
    expect(keys.every((key) => /^[0-9a-f]{30}$/.test(key))).toBe(true);
  });

  it("tells the page when something changes", () => {
    let told = 0;
    letters.changed.heard(() => (told += 1));
    store(letter("/a", {}, "x"));
    expect(told).toBe(1);
  });

  it("takes a broken store for an empty one", () => {
    belongsTo(1, 2);
    localStorage.setItem("nut-shelf.letter.1.2.abc", "{");
    expect(waiting()).toEqual([]);
  });

  it("keeps what one person wrote in one household apart from all others", () => {
    belongsTo(1, 7);
    store(letter("/api/stacks", {}, "honey"));
    belongsTo(2, 7);
    expect(waiting()).toEqual([]);
    belongsTo(1, 8);
    expect(waiting()).toEqual([]);
    belongsTo(1, 7);
    expect(waiting().map((entry) => entry.words)).toEqual(["honey"]);
  });

  it("keeps them in the order they were written, also two in one millisecond", () => {
    const [one, other] = [letter("/a", {}, "one"), letter("/b", {}, "other")];
    store(other);
    store(one);
    expect(waiting().map((entry) => entry.words)).toEqual(["one", "other"]);
    expect(other.sequence).toBeGreaterThan(one.sequence);
    expect(other.device).toBe(one.device);
  });

  it("lets two windows write beside each other", () => {
    store(letter("/a", {}, "mine"));
    localStorage.setItem(
      `nut-shelf.letter.1.7.theirs`,
      JSON.stringify({ ...letter("/b", {}, "theirs"), key: "theirs" }),
    );
    belongsTo(1, 7);
    store(letter("/c", {}, "mine too"));
    expect(waiting().map((entry) => entry.words)).toContain("theirs");
  });

  it("writes the day in the household on each, also after midnights without an answer", () => {
    expect(dayNow(Date.parse("2026-11-26T23:59:00Z"))).toBe("2026-11-24");
    expect(dayNow(Date.parse("2026-11-27T00:01:00Z"))).toBe("2026-11-25");
    dayIs("2026-11-24", "Pacific/Auckland", Date.parse("2026-11-26T09:00:00Z"));
    expect(dayNow(Date.parse("2026-11-26T11:30:00Z"))).toBe("2026-11-25");
  });

  it("sends what was refused again as something new", () => {
    const refused = { ...letter("/a", {}, "x"), state: "refused" as const };
    expect(anew(refused)).toMatchObject({ state: "pending", held: true, words: "x" });
    expect(anew(refused).key).not.toBe(refused.key);
  });
});
