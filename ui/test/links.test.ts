/// <reference types="vite/client" />
import { describe, expect, it } from "vitest";

const sources = import.meta.glob<string>("../src/**/*.tsx", { query: "?raw", import: "default", eager: true });
const text = (name: string) => sources[name] ?? "";

/** Addresses a view links to, with "x" where something is filled in, without what is asked of it. */
function links(name: string): string[] {
  return [...text(name).matchAll(/\bto=(?:"(\/[^"]*)"|\{`(\/[^`]*)`\})/g)].map((found) =>
    (found[1] ?? found[2] ?? "").replace(/\$\{[^}]*\}/g, "x").replace(/[?#].*$/, ""),
  );
}

const tables = ["views", "benchViews"].map((name) => text(`../src/app/${name}.tsx`)).join("\n");

const views = [...tables.matchAll(/^ {2}\["(\/[^"]*)",/gm)].map(
  (found) => new RegExp(`^${(found[1] ?? "").replace(/:\w+/g, "[^/]+")}$`),
);

describe("links", () => {
  it("lead to a view that is there", () => {
    expect(views.length).toBeGreaterThan(40);
    const dead = Object.keys(sources).flatMap((name) =>
      links(name)
        .filter((to) => !views.some((view) => view.test(to)))
        .map((to) => `${name}: ${to}`),
    );
    expect(dead).toEqual([]);
  });
});
