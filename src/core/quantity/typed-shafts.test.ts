import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { shaftsMl } from "./typed-shafts";

describe("shafts as they are typed", () => {
  it.each([
    ["10 x 80", 6.283],
    ["10x80, 2 of 8 x 40", 10.304],
    ["ø10 × 80 mm and 2 x 8 x 40", 10.304],
    ["3/8 in x 2 in", 3.62],
    ["12,5 x 40; 8 by 30", 6.417],
    ["", 0],
  ])("%s", (text, ml) => expect(shaftsMl(text)).toBeCloseTo(ml, 2));
  it.each([
    ["a long one", /“a long one” is not a shaft/],
    ["10 x", /is not a shaft/],
    ["0 x 40", /above 0 mm/],
    ["10 x 9000", /Across comes first/],
    ["10 g x 40", /does not measure a length|is not a length/],
  ])("%s is asked about", (text, says) => expect(shaftsMl(text)).toMatch(says));
  it("law: several are as much as each of them", () => {
    const size = fc.integer({ min: 1, max: 200 });
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: 1, max: 5 }), size, size), { minLength: 1 }), (all) => {
        const sum = all.reduce((s, [n, d, l]) => s + (n * Math.PI * d * d * l) / 4000, 0);
        expect(shaftsMl(all.map(([n, d, l]) => `${n} of ${d} x ${l}`).join(", "))).toBeCloseTo(sum, 6);
      }),
    );
  });
});
