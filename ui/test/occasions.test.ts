import { describe, expect, it } from "vitest";
import { clock, dayBefore, guestsIn, guestsText, roundIn } from "../src/views/occasions/model";

describe("guests as they are typed", () => {
  it("takes plain words for what they may not have, and guesses towards more", () => {
    expect(guestsIn("Aunt Fenna\n\n Bram: Nuts, eggs \nOdile:")).toEqual([
      { name: "Aunt Fenna" },
      { name: "Bram", excludes: ["tree-nut", "peanut", "egg"] },
      { name: "Odile" },
    ]);
  });

  it("hands on a word nobody knows, for the house to refuse", () => {
    expect(guestsIn("Bram: kiwi")).toEqual([{ name: "Bram", excludes: ["kiwi"] }]);
  });

  it("reads in again what it wrote", () => {
    const guests = guestsIn("Bram: egg, milk\nFenna");
    expect(guestsIn(guestsText(guests))).toEqual(guests);
  });
});

describe("the clock counted back", () => {
  it("goes over midnight", () => {
    expect(clock("18:30", 110)).toBe("16:40");
    expect(clock("07:00", 483)).toBe("22:57");
    expect([dayBefore("07:00", 483), dayBefore("07:00", 420)]).toEqual([true, false]);
  });
});

describe("when it comes round", () => {
  it("sends what its kind asks for and nothing else", () => {
    const form = new FormData();
    for (const [name, value] of Object.entries({ kind: "weekday", month: "8", weekday: "0", nth: "-1", day: "3" }))
      form.set(name, value);
    expect(roundIn(form)).toEqual({ kind: "weekday", month: 8, weekday: 0, nth: -1 });
  });
});
