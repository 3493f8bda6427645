import { beforeEach, describe, expect, it } from "vitest";
import { belongsTo } from "../src/api/kept";
import { drop, letter, store, waiting } from "../src/api/outbox";

// A browser's storage and events, as little of them as the outbox uses.
beforeEach(() => {
  const kept = new Map<string, string>();
  const storage = { getItem: (key: string) => kept.get(key) ?? null, setItem: (key: string, value: string) => void kept.set(key, value) };
  Object.assign(globalThis, { localStorage: storage, window: new EventTarget() });
});

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
    window.addEventListener("outbox", () => (told += 1));
    store(letter("/a", {}, "x"));
    expect(told).toBe(1);
  });

  it("takes a broken store for an empty one", () => {
    belongsTo(1, 2);
    localStorage.setItem("nut-shelf.outbox.1.2", "{");
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
});
