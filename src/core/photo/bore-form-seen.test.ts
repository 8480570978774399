import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { BORE_FORMS, type BoreForm, boreOutline } from "../gear/bore-form";
import { boreFormsOf } from "./bore-form-seen";
import { tilted } from "./drawn-gear";
import { type FacePlane, toFace } from "./face-plane";
import { planesOf } from "./picture";

type P = readonly [number, number];
function within(line: readonly P[], [x, y]: P): boolean {
  let inside = false;
  for (const [i, a] of line.entries()) {
    const b = line[(i + 1) % line.length] as P;
    if (a[1] > y !== b[1] > y && x < ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]) + a[0]) inside = !inside;
  }
  return inside;
}

/**
 * A plain disc of a face with a bore of some form, its walls in shadow on one side, a little noise over it.
 */
function bored(
  form: BoreForm | null,
  share: number,
  turn: number,
  plane: FacePlane,
  bench: number,
): ReturnType<typeof planesOf> {
  const [width, height] = [480, 400];
  const data = new Uint8ClampedArray(width * height * 4);
  const line = form ? boreOutline(2 * share, form) : [];
  let seed = 3;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const [u, v] = toFace(plane, [x + 0.5, y + 0.5]);
      const at: P = [u * Math.cos(turn) + v * Math.sin(turn), v * Math.cos(turn) - u * Math.sin(turn)];
      const hole = form !== null && Math.hypot(u, v) < 2 * share && within(line, at);
      seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
      const light = Math.hypot(u, v) > 1 ? bench : hole ? (u + v > 0 ? bench : 40) : 200;
      const i = (y * width + x) * 4;
      for (let c = 0; c < 3; c++) data[i + c] = light + (seed / 4294967296 - 0.5) * 8;
      data[i + 3] = 255;
    }
  return planesOf({ width, height, data }, 480);
}
const SEEN = BORE_FORMS.filter((f) => f !== "cross hole");

describe("the form of a bore in a picture", () => {
  it.each(SEEN)("%s is told from the others, and about as large as it is", (form) => {
    const plane = tilted(240, 200, 170, 12);
    const [first] = boreFormsOf(bored(form, 0.22, 0.5, plane, 120), plane);
    expect(first?.form).toBe(form);
    expect(first?.probability).toBeGreaterThan(0.8);
    expect(first?.share).toBeGreaterThan(0.2);
    expect(first?.share).toBeLessThan(0.25);
  });

  it("as a law: whatever it is and however it lies, it is told or left open, and no other is called plain", () => {
    let told = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...SEEN),
        fc.double({ min: 0.12, max: 0.3, noNaN: true }),
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        fc.double({ min: 0, max: 28, noNaN: true }),
        fc.constantFrom(90, 140, 235),
        (form, share, turn, tilt, bench) => {
          const plane = tilted(240, 200, 170, tilt);
          const [first] = boreFormsOf(bored(form, share, turn, plane, bench), plane);
          if (first && first.probability >= 0.85) {
            expect(first.form).toBe(form);
            told++;
          }
        },
      ),
      { numRuns: 24, seed: 11 },
    );
    expect(told).toBeGreaterThan(15);
  });

  it("nothing is made of a face without a bore", () => {
    const plane = tilted(240, 200, 170, 10);
    expect(boreFormsOf(bored(null, 0.2, 0, plane, 120), plane)).toEqual([]);
  });
});
