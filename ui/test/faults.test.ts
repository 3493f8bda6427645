import { describe, expect, it } from "vitest";
import { faultWords, type Fault } from "../src/words/faults";

describe("what is wrong with something that was sent", () => {
  it.each([
    [{ pointer: "/amount", code: "number", detail: "" }, "The amount must be a number like 1.5."],
    [{ pointer: "/draft/printed_on", code: "day", detail: "" }, "The date on the pack must be a day."],
    [
      { pointer: "/name", code: "long", params: { most: 120 }, detail: "" },
      "The name may have 120 characters at most.",
    ],
    [{ pointer: "/lot_ids", code: "missing", detail: "" }, "Lot ids is missing."],
    [{ pointer: "/kind", code: "choice", params: { one_of: "jar, tub" }, detail: "" }, "Kind must be one of jar, tub."],
    [{ pointer: "/line/7/amount", detail: "Which unit?" }, "Which unit?"],
  ] as [Fault, string][])("%o", (fault, words) => {
    expect(faultWords(fault)).toBe(words);
  });
});
