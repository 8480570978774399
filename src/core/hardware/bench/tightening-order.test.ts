import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { orderOfHoles, tighteningOrder } from "./tightening-order";

const ring = (n: number, from = 0.3, squash = 1) =>
  Array.from({ length: n }, (_, i) => ({
    x: Math.cos(from + (2 * Math.PI * i) / n),
    y: squash * Math.sin(from + (2 * Math.PI * i) / n),
  }));
/** Holes in the order in which they are drawn. */
const drawn = (turns: readonly number[]): number[] => turns.map((_, k) => turns.indexOf(k + 1));

describe("the order of holes as they lie", () => {
  it("is crosswise on a flange: the drawn flange of four, and the star of five", () => {
    const square = [{ x: 0, y: 0 }, { x: 1, y: 0 }, { x: 1, y: 1 }, { x: 0, y: 1 }]; // biome-ignore format: one row
    expect(orderOfHoles(square)).toEqual({ inARow: false, turns: tighteningOrder(4).map((s) => s.turn) });
    const five = drawn(orderOfHoles(ring(5)).turns);
    expect(
      five
        .map((h, k) => (k ? (h - (five[k - 1] ?? 0) + 5) % 5 : 0))
        .slice(1)
        .every((step) => step === 2 || step === 3),
    ).toBe(true);
  });

  it("is from the middle outwards in a row, however it is turned and unevenly spaced", () => {
    const row = [0, 1, 2.4, 3, 4].map((d) => ({ x: 10 + d * 0.8, y: 5 + d * 0.6 }));
    expect(orderOfHoles(row)).toEqual({ inARow: true, turns: [4, 2, 1, 3, 5] });
  });

  it("of fewer than three is none, and holes in one place are no row that breaks it", () => {
    expect(orderOfHoles([{ x: 0, y: 0 }, { x: 1, y: 0 }]).turns).toEqual([]); // biome-ignore format: one row
    expect([...orderOfHoles([0, 0, 0].map(() => ({ x: 0.5, y: 0.5 }))).turns].sort()).toEqual([1, 2, 3]);
  });

  it("law: each hole has its turn once, wherever they lie", () => {
    const hole = fc.record({
      x: fc.double({ min: 0, max: 1, noNaN: true }),
      y: fc.double({ min: 0, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(hole, { minLength: 3, maxLength: 24 }), (holes) => {
        const { turns } = orderOfHoles(holes);
        expect([...turns].sort((a, b) => a - b)).toEqual(holes.map((_, i) => i + 1));
      }),
    );
  });

  it("law: on a round flange of any even number the second of each pair lies opposite, pointed at a little aside or not", () => {
    const pointed = fc.record({ half: fc.integer({ min: 2, max: 6 }), from: fc.double({ min: 0, max: 6, noNaN: true }), aside: fc.array(fc.double({ min: -0.02, max: 0.02, noNaN: true }), { minLength: 24, maxLength: 24 }) }); // biome-ignore format: one record
    fc.assert(
      fc.property(pointed, ({ half, from, aside }) => {
        const n = 2 * half;
        const holes = ring(n, from).map((p, i) => ({
          x: p.x + (aside[i] ?? 0),
          y: p.y + (aside[n + i] ?? 0),
        }));
        const order = drawn(orderOfHoles(holes).turns);
        for (let k = 0; k < n; k += 2) expect(Math.abs((order[k + 1] ?? 0) - (order[k] ?? 0))).toBe(half);
      }),
    );
  });
});
