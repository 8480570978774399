import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { beltRun, beltSays, centreFor } from "./belt-run";
import { ratesOf } from "./rates";
import { solveTrain } from "./solve";
import { type Mesh, type TrainInput, trainInput } from "./train";

const smooth = (d1: number, d2: number, more: object = {}): Mesh => ({
  id: "b",
  kind: "smooth-belt",
  driver: { shaft: "motor", diameterMm: d1 },
  driven: { shaft: "drum", diameterMm: d2 },
  ...more,
});
const toothed = (z1: number, z2: number, more: object = {}): Mesh => ({
  id: "b",
  kind: "belt",
  driver: { shaft: "motor", teeth: z1 },
  driven: { shaft: "drum", teeth: z2 },
  ...more,
});
const train = (...meshes: Mesh[]): TrainInput => ({ input: { shaft: "motor", rpm: 1000 }, meshes });

/** Length of the tightest loop round two circles, by stepping along the hull of many points on them. */
function hullLength(d1: number, d2: number, c: number): number {
  const points = Array.from({ length: 4000 }, (_, i) => (i * 2 * Math.PI) / 4000).flatMap((t) => [
    [(d1 / 2) * Math.cos(t), (d1 / 2) * Math.sin(t)] as const,
    [c + (d2 / 2) * Math.cos(t), (d2 / 2) * Math.sin(t)] as const,
  ]);
  points.sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (list: typeof points): (readonly [number, number])[] => {
    const out: (readonly [number, number])[] = [];
    for (const p of list) {
      for (;;) {
        const [a, b] = out.slice(-2);
        if (!a || !b || (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]) > 0) break;
        out.pop();
      }
      out.push(p);
    }
    return out;
  };
  const hull = [...half(points).slice(0, -1), ...half(points.reverse()).slice(0, -1)];
  return hull.reduce((sum, p, i) => {
    const q = hull[(i + 1) % hull.length] as readonly [number, number];
    return sum + Math.hypot(q[0] - p[0], q[1] - p[1]);
  }, 0);
}

describe("how a belt lies", () => {
  it("wraps as in Shigley's first flat belt: 2 in driving 4 in, nine feet apart, 3.123 rad", () => {
    const run = beltRun(2 * 25.4, 4 * 25.4, 9 * 12 * 25.4);
    expect(((run?.wrapDeg[0] ?? 0) * Math.PI) / 180).toBeCloseTo(3.123, 3);
    expect((run?.wrapDeg[0] ?? 0) + (run?.wrapDeg[1] ?? 0)).toBeCloseTo(360, 9);
  });

  it("is as long as a string drawn tight round the two", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 150, noNaN: true }),
        fc.double({ min: 5, max: 150, noNaN: true }),
        fc.double({ min: 1.05, max: 6, noNaN: true }),
        (a, b, far) => {
          const c = (far * (a + b)) / 2;
          expect((beltRun(a, b, c)?.lengthMm ?? 0) / hullLength(a, b, c)).toBeCloseTo(1, 5);
        },
      ),
      { numRuns: 40 },
    );
  });

  it("crossed lies round both alike, and is the longer", () => {
    const [open, crossed] = [beltRun(40, 90, 200), beltRun(40, 90, 200, true)];
    expect(crossed?.lengthMm).toBeGreaterThan(open?.lengthMm ?? Number.NaN);
    expect(crossed?.wrapDeg[0]).toBe(crossed?.wrapDeg[1]);
    // Shigley: θ = π + 2 asin((D + d)/(2 C)); two of 50 at 100 apart: 180° + 2 × 30°
    expect(beltRun(50, 50, 100, true)?.wrapDeg[0]).toBeCloseTo(240, 9);
  });

  it("the centre distance leads back to the length", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 150, noNaN: true }),
        fc.double({ min: 5, max: 150, noNaN: true }),
        fc.double({ min: 1.01, max: 8, noNaN: true }),
        fc.boolean(),
        (a, b, far, x) => {
          const c = (far * (a + b)) / 2;
          expect(centreFor(a, b, beltRun(a, b, c, x)?.lengthMm ?? 0, x)).toBeCloseTo(c, 5);
        },
      ),
    );
    expect(centreFor(100, 100, 200)).toBeNull();
  });
});

describe("belts in a train", () => {
  it("a toothed belt's count follows from pitch and centres; a torn one can be ordered by it", () => {
    // equal pulleys: L = 2 C + z p = 2 × 100 + 20 × 5 = 300 mm, 60 teeth of 5 mm
    const { belt } = solveTrain(train(toothed(20, 20, { pitchMm: 5, centreMm: 100 }))).meshes[0] ?? {};
    expect(belt?.beltTeeth).toBe(60);
    expect(belt?.lengthMm).toBeCloseTo(300, 9);
    expect(belt?.teethInMesh).toBe(10);
    // and where only the belt was counted, from it the centres
    expect(
      solveTrain(train(toothed(20, 20, { pitchMm: 5, beltTeeth: 60 }))).meshes[0]?.belt?.centreMm,
    ).toBeCloseTo(100, 6);
    expect(
      ratesOf(train(toothed(20, 20, { pitchMm: 5, centreMm: 100 }))).find((r) => r.kind === "belt")
        ?.perInputTurn,
    ).toBeCloseTo(20 / 60, 9);
  });

  it("says what does not fit", () => {
    expect(beltSays(toothed(20, 20, { pitchMm: 5, centreMm: 100, beltTeeth: 63 }))[0]).toMatch(
      /a belt of 60 teeth, and 63 were counted/,
    );
    expect(beltSays(toothed(20, 20, { pitchMm: 5, centreMm: 100, beltTeeth: 61 }))).toEqual([]);
    expect(beltSays(toothed(10, 60, { pitchMm: 5, centreMm: 60 }))[0]).toMatch(/only 2 teeth .*ISO 5295/);
    expect(beltSays(smooth(20, 200, { centreMm: 120 }))[0]).toMatch(/lies only 8\d° round the smaller/);
    expect(beltSays(smooth(20, 200, { centreMm: 90 }))[0]).toMatch(/would touch/);
    expect(beltSays(smooth(20, 20, { centreMm: 100, lengthMm: 300 }))[0]).toMatch(
      /a belt of 263 mm, and 300 mm were measured: it is stretched/,
    );
    expect(beltSays(smooth(40, 40, { lengthMm: 90 }))[0]).toMatch(/does not go round/);
    expect(beltSays(toothed(20, 20, { beltTeeth: 60 }))).toEqual([]);
  });

  it("a smooth belt goes by diameters, at the middle of its thickness, and turns the other way when crossed", () => {
    const at = (m: Mesh) => solveTrain(train(m)).shafts.find((s) => s.shaft === "drum");
    expect(at(smooth(20, 60))).toMatchObject({ rpm: 1000 / 3, direction: 1 });
    expect(at(smooth(18, 58, { thicknessMm: 2 }))?.rpm).toBeCloseTo(1000 / 3, 9);
    expect(at(smooth(20, 60, { crossed: true }))).toMatchObject({ direction: -1 });
    const answer = solveTrain(train(smooth(20, 60))).meshes[0];
    expect(answer).toMatchObject({ meshHz: null, sameTeethEvery: null, oneToothOff: [] });
    expect(answer?.ratio).toBeCloseTo(3, 9);
  });

  it("rollers turn against each other; a spur pair behind them is timed all the same", () => {
    const t = train(
      {
        id: "r",
        kind: "rollers",
        driver: { shaft: "motor", diameterMm: 10 },
        driven: { shaft: "drum", diameterMm: 80 },
      },
      { id: "g", kind: "spur", driver: { shaft: "drum", teeth: 10 }, driven: { shaft: "out", teeth: 40 } },
    );
    const { shafts, meshes } = solveTrain(t);
    expect(shafts.map((s) => [s.shaft, s.rpm, s.direction])).toEqual([
      ["motor", 1000, 1],
      ["drum", 125, -1],
      ["out", 31.25, 1],
    ]);
    expect(meshes[1]?.oneToothOff.find((o) => o.shaft === "out")?.degrees).toBeCloseTo(9, 9);
    expect(ratesOf(t).filter((r) => r.at === "r")).toEqual([]);
  });

  it("a diameter that is none is refused", () => {
    const r = trainInput.safeParse(train(smooth(0, 60)));
    expect(r.error?.issues[0]?.message).toMatch(/above 0 mm/);
  });
});
