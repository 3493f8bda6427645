import { describe, expect, it } from "vitest";
import { reads } from "../src/api/changes";

describe("what is asked for again", () => {
  it("is what reads of the topics that changed, and nothing else", () => {
    expect(reads(["house", "today"], ["counts"])).toBe(false);
    expect(reads(["house", "today"], ["plan"])).toBe(true);
    expect(reads(["house", "barcodes"], ["stock"])).toBe(false);
    expect(reads(["house", "count", 4], ["counts"])).toBe(true);
  });

  it("is everything nobody said more of, but for nothing where nothing changed", () => {
    expect(reads(["house", "acts"], ["counts"])).toBe(true);
    expect(reads(["house", "acts"], [])).toBe(false);
    expect(reads(["session"], ["stock"])).toBe(false);
  });

  it("leaves the cook's page alone", () => expect(reads(["house", "meal", 3], ["stock", "plan"])).toBe(false));
});
