import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { betweenPins } from "./between-pins";
import { makingNotes } from "./making";
import { type RingToMake, ringOutline, ringRadii } from "./ring-outline";
import { gearSection, gearSolid, type Point3, type Triangle } from "./solid";

const ring: RingToMake = {
  inside: true,
  teeth: 60,
  moduleMm: 1,
  pressureAngleDeg: 20,
  helixAngleDeg: 0,
  profileShift: 0,
  faceWidthMm: 9,
  outsideMm: 72,
};
type P = readonly [number, number];

/** How far a point stands from a closed line. */
function away(line: readonly P[], [x, y]: P): number {
  let least = Number.POSITIVE_INFINITY;
  for (const [i, a] of line.entries()) {
    const b = line[(i + 1) % line.length] as P;
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const t = Math.max(0, Math.min(1, ((x - a[0]) * dx + (y - a[1]) * dy) / (dx * dx + dy * dy || 1)));
    least = Math.min(least, Math.hypot(a[0] + t * dx - x, a[1] + t * dy - y));
  }
  return least;
}

/** Between two pins in opposite gaps of what is drawn: each goes outwards until both flanks stop it. */
function pinsInDrawing(g: RingToMake, pin: number): number {
  const line = ringOutline(g, 40, g.thinnedMm);
  let [low, high] = [ringRadii(g, true).tipMm - pin, ringRadii(g).rootMm];
  for (let i = 0; i < 50; i++) {
    const mid = (low + high) / 2;
    if (away(line, [0, mid]) >= pin / 2) low = mid;
    else high = mid;
  }
  return 2 * (low - pin / 2);
}

describe("a ring that is to be made", () => {
  it("has its tips inside and its roots outside in true size", () => {
    const radii = ringOutline(ring).map(([x, y]) => Math.hypot(x, y));
    expect(2 * Math.min(...radii)).toBeCloseTo(58, 6);
    expect(2 * Math.max(...radii)).toBeCloseTo(62.5, 3);
  });

  it("as a law: between two pins what is drawn reads what the formula says", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 55 }),
        fc.double({ min: -0.1, max: 0.4, noNaN: true }),
        fc.constantFrom(0.5, 1, 1.5),
        (half, profileShift, moduleMm) => {
          const g = { ...ring, teeth: 2 * half, profileShift, moduleMm };
          const pin = 1.68 * moduleMm;
          expect(pinsInDrawing(g, pin)).toBeCloseTo(betweenPins(g, pin), 2);
        },
      ),
      { numRuns: 25 },
    );
  });

  it("thinned for backlash it reads wider between its pins", () => {
    expect(pinsInDrawing({ ...ring, thinnedMm: 0.1 }, 1.7)).toBeGreaterThan(pinsInDrawing(ring, 1.7) + 0.2);
    const note = (thinnedMm: number): number =>
      Number.parseFloat(
        makingNotes({ ...ring, thinnedMm }).find((n) => n.what.startsWith("between"))?.figure ?? "",
      );
    expect(note(0.1)).toBeCloseTo(pinsInDrawing({ ...ring, thinnedMm: 0.1 }, 1.5), 2);
  });

  it("of few teeth the tips end on the base circle, and the note says so", () => {
    const few = { ...ring, teeth: 24, outsideMm: 34 };
    expect(Math.min(...ringOutline(few).map(([x, y]) => Math.hypot(x, y)))).toBeCloseTo(
      12 * Math.cos(Math.PI / 9),
      6,
    );
    expect(makingNotes(few).find((n) => n.what === "tips, inside")?.says).toMatch(
      /at 22.00 mm they would reach inside the base circle/,
    );
  });

  it("a rim that its teeth would break through is refused", () => {
    expect(() => gearSection({ ...ring, outsideMm: 62.8 })).toThrow(/outsideMm: leaves only 0.15 mm/);
    expect(() => gearSection({ ...ring, outsideMm: 60 })).toThrow(/leaves nothing/);
  });

  it("as a solid is closed, and as heavy as its section times its width", () => {
    const ts: Triangle[] = gearSolid(ring);
    const name = (p: Point3): string => p.map((x) => x.toFixed(6)).join(" ");
    const edges = new Map<string, number>();
    for (const t of ts)
      for (let i = 0; i < 3; i++) {
        const [a, b] = [name(t[i] as Point3), name(t[(i + 1) % 3] as Point3)];
        edges.set(`${a}|${b}`, (edges.get(`${a}|${b}`) ?? 0) + 1);
      }
    for (const [e, n] of edges) expect(n).toBe(edges.get(e.split("|").reverse().join("|")));
    const volume = ts.reduce(
      (s, [a, b, c]) =>
        s +
        (a[0] * (b[1] * c[2] - b[2] * c[1]) -
          a[1] * (b[0] * c[2] - b[2] * c[0]) +
          a[2] * (b[0] * c[1] - b[1] * c[0])) /
          6,
      0,
    );
    const { outer, bore } = gearSection(ring);
    const area = (line: readonly P[]): number =>
      line.reduce(
        (s, [x, y], i) =>
          s + x * (line[(i + 1) % line.length] as P)[1] - (line[(i + 1) % line.length] as P)[0] * y,
        0,
      ) / 2;
    expect(area(bore)).toBeLessThan(0);
    expect(volume).toBeCloseTo((area(outer) + area(bore)) * 9, 3);
  });
});
