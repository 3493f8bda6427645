import { afterEach, describe, expect, it } from "vitest";
import { amountIn, amountOf, inBase } from "../src/kit/form";
import { measureIn, typedUnits } from "../src/words/region";

const US = {
  g: [
    { words: "oz", is: "28.349523125" },
    { words: "lb", is: "453.59237" },
    { words: "g", is: "1.0" },
  ],
  ml: [
    { words: "fl oz", is: "29.5735295625" },
    { words: "ml", is: "1.0" },
  ],
};
const METRIC = { g: [{ words: "g", is: "1.0" }], ml: [{ words: "ml", is: "1.0" }] };

function form(fields: Record<string, string>): FormData {
  const data = new FormData();
  Object.entries(fields).forEach(([name, value]) => data.set(name, value));
  return data;
}

describe("amounts that are typed", () => {
  afterEach(() => measureIn(METRIC));

  it("are grams and millilitres where the household has nothing else", () => {
    measureIn(METRIC);
    expect(typedUnits("g").map((unit) => unit.words)).toEqual(["g"]);
    expect(amountIn(form({ amount: "1,5" }), "amount")).toBe("1.5");
  });

  it("are turned into the house's own unit, to a millionth", () => {
    measureIn(US);
    expect(amountIn(form({ amount: "4", "amount.unit": "oz" }), "amount")).toBe("113.398093");
    expect(amountIn(form({ size: "15", "size.unit": "oz" }), "size")).toBe("425.242847");
    expect(amountIn(form({ amount: "400", "amount.unit": "g" }), "amount")).toBe("400");
    expect(inBase(".5", "lb")).toBe("226.796185");
  });

  it("stay empty where nothing was typed, and pieces stay pieces", () => {
    measureIn(US);
    expect(amountIn(form({ amount: "", "amount.unit": "oz" }), "amount")).toBe("");
    expect(typedUnits("pieces")).toEqual([{ words: "pieces", is: "1" }]);
    expect(amountOf(" .25 ")).toBe("0.25");
  });
});
