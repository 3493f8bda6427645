import { describe, expect, it } from "vitest";
import { readPicture } from "../src/scan/codes";

const L = [
  "0001101",
  "0011001",
  "0010011",
  "0111101",
  "0100011",
  "0110001",
  "0101111",
  "0111011",
  "0110111",
  "0001011",
];
const PARITY = ["LLLLLL", "LLGLGG", "LLGGLG", "LLGGGL", "LGLLGG", "LGGLLG", "LGGGLL", "LGLGLG", "LGLGGL", "LGGLGL"];
const turned = (bits: string) => [...bits].map((bit) => (bit === "1" ? "0" : "1")).join("");

/** The bars of an EAN-13, as the standard draws them. */
function bars(code: string): string {
  const digits = [...code].map(Number);
  const parity = PARITY[digits[0] ?? 0] ?? "";
  const left = digits
    .slice(1, 7)
    .map((digit, index) => (parity[index] === "L" ? L[digit] : [...turned(L[digit] ?? "")].reverse().join("")));
  const right = digits.slice(7).map((digit) => turned(L[digit] ?? ""));
  return `101${left.join("")}01010${right.join("")}101`;
}

/** A grey picture of them, a little noisy, as a camera sees it. */
function picture(code: string, step: number, slant = 0): [Uint8ClampedArray, number, number] {
  const row = bars(code);
  const width = (row.length + 24) * step;
  const height = 120;
  const pixels = new Uint8ClampedArray(width * height).fill(225);
  for (let y = 10; y < height - 10; y += 1) {
    [...row].forEach((bit, index) => {
      for (let x = 0; x < step; x += 1)
        if (bit === "1")
          pixels[y * width + (index + 12) * step + x + Math.round(y * slant)] = 25 + ((x * 7 + y * 3) % 20);
    });
  }
  return [pixels, width, height];
}

describe("what the camera reads", () => {
  it.each(["4006381333931", "5901234123457", "9780201379624"])(
    "the bars of %s, near and far, straight and slanted",
    (code) => {
      expect(readPicture(...picture(code, 4))).toBe(code);
      expect(readPicture(...picture(code, 2))).toBe(code);
      expect(readPicture(...picture(code, 3, 0.2))).toBe(code);
    },
  );

  it("reads nothing out of a picture without a code", () => {
    expect(readPicture(new Uint8ClampedArray(300 * 200).fill(180), 300, 200)).toBeNull();
  });
});
