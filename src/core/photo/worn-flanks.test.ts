import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { wornFlanks } from "./worn-flanks";

const PER = 24;
const ROWS = 6;

/**
 * A ring of teeth unrolled: 1 on a tooth, 0 in a gap, edges soft over a column; flanks of some teeth stand
 * further in by so many pitches, more at the tip.
 */
function strip(
  teeth: number,
  worn: Readonly<Record<number, { readonly side: -1 | 1; readonly by: number }>>,
  { noise = 0, light = 0, slant = 0, seed = 1 } = {},
) {
  const columns = teeth * PER;
  const like = new Float32Array(ROWS * columns);
  let a = seed;
  const grain = (): number => {
    a = (Math.imul(a, 1664525) + 1013904223) >>> 0;
    return (a / 4294967296 - 0.5) * 2 * noise;
  };
  for (let k = 0; k < teeth; k++)
    for (let i = 0; i < ROWS; i++) {
      const up = 1 - i / ROWS;
      const half = (0.16 + 0.12 * (i / ROWS) + light * Math.sin((2 * Math.PI * k) / teeth)) * PER;
      const lost = (side: -1 | 1): number =>
        worn[k]?.side === side ? (worn[k]?.by ?? 0) * PER * (0.6 + 0.4 * up) : 0;
      for (let j = -PER / 2; j < PER / 2; j++) {
        const from = j - slant * PER * up;
        const edge = from < 0 ? half - lost(-1) + from : half - lost(1) - from;
        like[i * columns + ((k * PER + j + columns) % columns)] =
          Math.min(1, Math.max(0, 0.5 + edge)) + grain();
      }
    }
  return {
    like,
    columns,
    per: PER,
    shift: 0,
    rows: Array.from({ length: ROWS }, (_, i) => i),
    whole: Array.from({ length: teeth }, () => true),
    contrast: Array.from({ length: teeth }, () => 1),
  };
}
const found = (s: ReturnType<typeof strip>): Record<number, string> =>
  Object.fromEntries(wornFlanks(s).flatMap((w, k) => (w ? [[k, w]] : [])));

describe("flanks that have lost metal", () => {
  it("are named with their side, in the same light and in another all around", () => {
    const worn = { 5: { side: 1, by: 0.12 }, 6: { side: 1, by: 0.12 }, 20: { side: -1, by: 0.12 } } as const;
    expect(found(strip(30, worn))).toEqual({ 5: "right", 6: "right", 20: "left" });
    expect(found(strip(30, worn, { light: 0.03, noise: 0.08 }))).toEqual({
      5: "right",
      6: "right",
      20: "left",
    });
  });
  it("a slant that all teeth have is no wear, and a place that is not in sight is not judged", () => {
    expect(found(strip(30, {}, { slant: 0.08 }))).toEqual({});
    const s = strip(30, { 5: { side: 1, by: 0.12 } });
    expect(wornFlanks({ ...s, whole: s.whole.map((_, k) => k !== 5) })[5]).toBeNull();
  });
  it("where teeth and gaps hardly differ, or too few are left to compare with, nothing is said", () => {
    const s = strip(30, { 5: { side: 1, by: 0.12 } });
    expect(wornFlanks({ ...s, contrast: s.contrast.map(() => 0.1) }).every((w) => w === null)).toBe(true);
    expect(wornFlanks({ ...s, whole: s.whole.map((_, k) => k < 5) }).every((w) => w === null)).toBe(true);
  });
  it("as a law: of a sound gear, whatever its count, light and noise, no flank is called worn", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 9, max: 90 }),
        fc.double({ min: 0, max: 0.12, noNaN: true }),
        fc.double({ min: 0, max: 0.04, noNaN: true }),
        fc.integer({ min: 1, max: 1e6 }),
        (teeth, noise, light, seed) => {
          expect(found(strip(teeth, {}, { noise, light: teeth > 20 ? light : 0, seed }))).toEqual({});
        },
      ),
    );
  });
});
