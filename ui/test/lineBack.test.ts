import { beforeEach, describe, expect, it } from "vitest";
import { lineBack, onLineBack, type BackInLine } from "../src/label-line/lineBack";

describe("words that go back into the label line", () => {
  beforeEach(() => {
    Object.assign(globalThis, { window: new EventTarget() });
  });

  it("arrive whole, with the food that is known already, until nobody listens any more", () => {
    const heard: BackInLine[] = [];
    const stop = onLineBack((line) => heard.push(line));
    lineBack({ text: "2 tins chickpeas" });
    lineBack({ text: "salmon, 2 x 170 g", food_id: 7 });
    stop();
    lineBack({ text: "nobody hears this" });
    expect(heard).toEqual([{ text: "2 tins chickpeas" }, { text: "salmon, 2 x 170 g", food_id: 7 }]);
  });
});
