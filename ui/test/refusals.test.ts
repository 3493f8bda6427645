import { describe, expect, it } from "vitest";
import type { ProblemDocument } from "../src/api/types";
import { refusalWords } from "../src/words/refusals";

const passed: ProblemDocument = {
  type: "about:blank",
  status: 422,
  code: "invalid",
  reason: "day_passed",
  params: { day: "2026-11-20" },
  title: "2026-11-20 has passed.",
  remedy: "Choose today or a later day.",
  errors: [{ pointer: "/on", detail: "2026-11-20 has passed." }],
};

describe("a refusal", () => {
  it("says its days as the page does, in the sentence and beside the field", () => {
    const worded = refusalWords(passed);
    expect(worded.title).toBe("Fri 20 Nov 2026 has passed.");
    expect(worded.errors[0]?.detail).toBe("Fri 20 Nov 2026 has passed.");
    expect(worded.remedy).toBe("Choose today or a later day.");
  });

  it("leaves what names no day as it was sent", () => {
    const jar = { ...passed, params: { jar: "Large jar" } };
    expect(refusalWords(jar)).toBe(jar);
  });
});
