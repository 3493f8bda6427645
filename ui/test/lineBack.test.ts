import { beforeEach, describe, expect, it } from "vitest";
import { belongsTo } from "../src/api/kept";
import {
  aside,
  beginReading,
  endReading,
  nextAside,
  pasted,
  putAside,
  recoverReading,
  takeAside,
} from "../src/label-line/aside";
import { storage } from "./storage";
import { lineBack, onLineBack, type BackInLine } from "../src/label-line/lineBack";

beforeEach(() => {
  Object.assign(globalThis, { localStorage: storage(), sessionStorage: storage(), window: new EventTarget() });
  belongsTo(1, 2);
});

describe("words that go back into the label line", () => {
  it("arrive whole, with the food that is known already", () => {
    const heard: BackInLine[] = [];
    const stop = onLineBack((line) => heard.push(line) > 0);
    lineBack({ text: "2 tins chickpeas" });
    lineBack({ text: "salmon, 2 x 170 g", food_id: 7 });
    stop();
    expect(heard).toEqual([{ text: "2 tins chickpeas" }, { text: "salmon, 2 x 170 g", food_id: 7 }]);
    expect(aside()).toEqual([]);
  });

  it("wait beside it where another line stands there, and where there is none to be seen", () => {
    lineBack({ text: "nobody is there" });
    const stop = onLineBack(() => false);
    lineBack({ text: "no room", food_id: 7 });
    stop();
    expect(aside()).toEqual([{ text: "nobody is there" }, { text: "no room", food_id: 7 }]);
  });
});

describe("lines that wait", () => {
  it("are taken one by one, each once", () => {
    putAside({ text: "a" }, { text: "b" });
    expect([takeAside(1), takeAside(1), takeAside(0), takeAside(0)]).toEqual([
      { text: "b" },
      undefined,
      { text: "a" },
      undefined,
    ]);
  });

  it("that were pasted come up in their order, others wait to be asked for", () => {
    putAside({ text: "asked" }, { text: "first", next: true }, { text: "second", next: true });
    expect([nextAside()?.text, nextAside()?.text, nextAside()?.text]).toEqual(["first", "second", undefined]);
    expect(aside()).toEqual([{ text: "asked" }]);
  });

  it("come back when the page went away while they were being read", () => {
    ["a", "b", "a"].forEach((text) => beginReading(text));
    endReading("a");
    recoverReading();
    recoverReading();
    expect(aside()).toEqual([{ text: "b" }, { text: "a" }]);
  });

  it("belong to one person in one household", () => {
    putAside({ text: "mine" });
    belongsTo(3, 2);
    expect(aside()).toEqual([]);
    belongsTo(1, 2);
    expect(aside()).toEqual([{ text: "mine" }]);
  });

  it("are cut from what was pasted, however its lines end", () => {
    expect(pasted("2 tins peas\r\n\r\n  1 kg\trice \n3 eggs")).toEqual(["2 tins peas", "1 kg rice", "3 eggs"]);
    expect(pasted("x".repeat(600))[0]).toHaveLength(500);
  });
});
