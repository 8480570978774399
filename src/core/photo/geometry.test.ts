import fc from "fast-check";
import { describe, expect, it } from "vitest";
import {
  axesOf,
  type FacePlane,
  faceFromAxes,
  moved,
  resized,
  scaled,
  sizeOf,
  toFace,
  toPicture,
} from "./face-plane";
import { leastSquares, solved } from "./least-squares";
import { checkPicture, cutOut, planesOf, reduced } from "./picture";
import { cardText, sideOfCard } from "./scale-card";
import { levelled, unrolled } from "./strip";

const plane = fc
  .record({
    x: fc.integer({ min: 50, max: 900 }),
    y: fc.integer({ min: 50, max: 700 }),
    long: fc.integer({ min: 40, max: 400 }),
    share: fc.double({ min: 0.6, max: 1, noNaN: true }),
    direction: fc.double({ min: 0, max: 3, noNaN: true }),
    q: fc.double({ min: -0.15, max: 0.15, noNaN: true }),
  })
  .map(
    ({ x, y, long, share, direction, q }): FacePlane => ({
      ...faceFromAxes([x, y], long, long * share, direction),
      q: [q, -q / 2],
    }),
  );
const spot = fc.tuple(
  fc.double({ min: -1.2, max: 1.2, noNaN: true }),
  fc.double({ min: -1.2, max: 1.2, noNaN: true }),
);

describe("a face in a picture", () => {
  it("is left and entered by the same way", () => {
    fc.assert(
      fc.property(plane, spot, (f, w) => {
        const back = toFace(f, toPicture(f, w));
        expect(back[0]).toBeCloseTo(w[0], 8);
        expect(back[1]).toBeCloseTo(w[1], 8);
      }),
    );
  });

  it("has the axes it was made from, and their tilt", () => {
    const a = axesOf(faceFromAxes([10, 20], 100, 100 * Math.cos(Math.PI / 6), 0.5));
    expect(a.long).toBeCloseTo(100, 9);
    expect(a.direction).toBeCloseTo(0.5, 9);
    expect(a.tiltDeg).toBeCloseTo(30, 6);
  });

  it("shows the same spots when the picture is made smaller, or begins elsewhere, or another radius is called 1", () => {
    fc.assert(
      fc.property(plane, spot, (f, w) => {
        const [x, y] = toPicture(f, w);
        const small = toPicture(scaled(f, 0.5), w);
        expect(small[0]).toBeCloseTo(x / 2, 6);
        expect(toPicture(moved(f, 7, -3), w)[1]).toBeCloseTo(y - 3, 6);
        const other = toPicture(resized(f, 2), [w[0] / 2, w[1] / 2]);
        expect(other[0]).toBeCloseTo(x, 6);
        expect(sizeOf(resized(f, 2))).toBeCloseTo(2 * sizeOf(f), 6);
      }),
    );
  });
});

describe("small linear systems", () => {
  it("are solved: what comes out, put in again, gives the right side", () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -5, max: 5, noNaN: true }), { minLength: 9, maxLength: 9 }),
        fc.array(fc.double({ min: -9, max: 9, noNaN: true }), { minLength: 3, maxLength: 3 }),
        (m, b) => {
          // a strong diagonal keeps it solvable
          const a = Float64Array.from(m, (v, i) => v + (i % 4 === 0 ? 20 : 0));
          const x = solved(Float64Array.from(a), Float64Array.from(b));
          for (let i = 0; i < 3; i++)
            expect(
              [0, 1, 2].reduce((s, j) => s + (a[3 * i + j] as number) * (x[j] as number), 0),
            ).toBeCloseTo(b[i] as number, 6);
        },
      ),
    );
  });

  it("fit a line through its points, and leave out what has no weight", () => {
    const [c, k] = leastSquares(
      [
        [1, 0],
        [1, 1],
        [1, 2],
        [1, 3],
      ],
      [1, 3, 5, 99],
      [1, 1, 1, 0],
    );
    expect(c).toBeCloseTo(1, 6);
    expect(k).toBeCloseTo(2, 6);
  });
});

describe("a picture", () => {
  const flat = (width: number, height: number, rgb: readonly [number, number, number]) => ({
    width,
    height,
    data: Uint8ClampedArray.from({ length: width * height * 4 }, (_, i) => [...rgb, 255][i % 4] as number),
  });
  it("becomes lightness and two colours, however much it is brought down", () => {
    for (const longest of [1600, 100, 33]) {
      const p = planesOf(flat(200, 100, [200, 100, 50]), longest);
      expect(Math.max(p.width, p.height)).toBeLessThanOrEqual(longest);
      expect([p.planes[0][5], p.planes[1][5], p.planes[2][5]].map((v) => Math.round(v as number))).toEqual([
        125, 100, 100,
      ]);
    }
    expect(reduced(planesOf(flat(200, 100, [9, 9, 9])), 50)).toMatchObject({ width: 50, height: 25 });
  });
  it("is cut without losing a pixel", () => {
    const p = flat(80, 70, [0, 0, 0]);
    p.data[(30 * 80 + 20) * 4] = 77;
    const piece = cutOut(p, 10, 20, 50, 40);
    expect([piece.width, piece.height, piece.data[(10 * 50 + 10) * 4]]).toEqual([50, 40, 77]);
    expect(cutOut(p, 60, 60, 50, 50)).toMatchObject({ width: 20, height: 10 });
  });
  it("is refused in a sentence where it is too small, or not what it says", () => {
    expect(() => checkPicture(flat(1, 1, [0, 0, 0]))).toThrow(/too few to see a tooth/);
    expect(() => checkPicture({ width: 100, height: 100, data: new Uint8ClampedArray(12) })).toThrow(
      /it says 100 × 100 pixels/,
    );
  });
});

describe("a strip", () => {
  it("unrolls spokes into upright bars", () => {
    const width = 400;
    const data = new Uint8ClampedArray(width * width * 4);
    for (let y = 0; y < width; y++)
      for (let x = 0; x < width; x++)
        data.fill(
          Math.cos(8 * Math.atan2(y + 0.5 - 200, x + 0.5 - 200)) > 0 ? 220 : 40,
          (y * width + x) * 4,
          (y * width + x) * 4 + 4,
        );
    const s = unrolled(
      planesOf({ width, height: width, data }),
      faceFromAxes([200, 200], 150, 150, 0),
      [0.6, 0.9],
      320,
    );
    const bright = (row: number, j: number): boolean => (s.planes[0][row * 320 + j] as number) > 130;
    for (let spoke = 0; spoke < 8; spoke++) {
      expect(bright(0, spoke * 40 + 3) && bright(1, spoke * 40 + 3)).toBe(true);
      expect(bright(0, spoke * 40 + 20) || bright(1, spoke * 40 + 20)).toBe(false);
    }
    expect(
      Number.isNaN(
        unrolled(planesOf({ width, height: width, data }), faceFromAxes([200, 200], 300, 300, 0), [1], 8)
          .planes[0][0],
      ),
    ).toBe(true);
  });

  it("is levelled: a shadow over half of it leaves the wave about as high on both sides", () => {
    const row = Float32Array.from({ length: 400 }, (_, i) => (i < 200 ? 1 : 0.3) * (100 + 40 * Math.sin(i)));
    const out = levelled(row, 40, 0.5);
    const height = (from: number): number => Math.max(...out.subarray(from, from + 100));
    expect(height(50) / height(250)).toBeGreaterThan(0.9);
    expect(height(50) / height(250)).toBeLessThan(1.1);
  });
});

it("the scale card says in its code how long its side is, and no other code will do", () => {
  expect(sideOfCard(cardText(40))).toBe(40);
  expect(() => sideOfCard("https://example.invalid")).toThrow(/not that of a scale card/);
});
