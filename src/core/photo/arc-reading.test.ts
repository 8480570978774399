import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { arcReading } from "./arc-reading";
import { perspectiveMisfit } from "./camera";
import { drawnGears, tilted } from "./drawn-gear";
import type { FacePlane, Spot } from "./face-plane";
import { planesOf } from "./picture";
import { readGear } from "./read-gear";
import { certaintyOf, type RingEvidence } from "./ring-reading";

/** A cloth over all that lies beyond a straight line through the gear, `along` tip radii from its centre. */
const cloth =
  (x: number, y: number, radius: number, along: number, direction: number) =>
  (px: number, py: number): readonly [number, number, number] | null =>
    (px - x) * Math.cos(direction) + (py - y) * Math.sin(direction) > along * radius ? [120, 60, 60] : null;

/**
 * How a pinhole camera with focal length f (pixels) and its axis through 0, 0 sees a unit circle at `centre`
 * (pixels), `away` radii off, its normal along `n`.
 */
function pinhole(f: number, centre: Spot, away: number, lean: number, direction: number): FacePlane {
  // two unit vectors in the face, square on each other: one level, one leaning away
  const [c, s] = [Math.cos(direction), Math.sin(direction)];
  const e1 = [c, s, 0] as const;
  const e2 = [-s * Math.cos(lean), c * Math.cos(lean), Math.sin(lean)] as const;
  // face axes turned back by `direction`, so that A is symmetric where nothing is off the axis
  const u = (i: 0 | 1 | 2): number => e1[i] * c - e2[i] * s;
  const v = (i: 0 | 1 | 2): number => e1[i] * s + e2[i] * c;
  const q: Spot = [u(2) / away, v(2) / away];
  const k = f / away;
  const full = [
    k * u(0) - centre[0] * q[0],
    k * v(0) - centre[0] * q[1],
    k * u(1) - centre[1] * q[0],
    k * v(1) - centre[1] * q[1],
  ] as const;
  // the small turn that is left is the gear's own
  const t = Math.atan2(full[2] - full[1], full[0] + full[3]);
  const [ct, st] = [Math.cos(t), Math.sin(t)];
  return {
    centre,
    a: [full[0] * ct - full[1] * st, full[0] * st + full[1] * ct, full[2] * st + full[3] * ct],
    q: [q[0] * ct - q[1] * st, q[0] * st + q[1] * ct],
  };
}

describe("a camera", () => {
  const whole = { middle: [0, 0] as Spot, longest: 1000 };
  it("sees a circle, wherever it lies and leans, as one that a camera may see; without its perspective it is one no more", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 700, max: 1700, noNaN: true }),
        fc.integer({ min: -350, max: 350 }),
        fc.integer({ min: -250, max: 250 }),
        fc.double({ min: 3, max: 9, noNaN: true }),
        fc.double({ min: 0, max: 0.6, noNaN: true }),
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        (f, x, y, away, lean, direction) => {
          const plane = pinhole(f, [x, y], away, lean, direction);
          const usual = (Math.log(f / 1100) / 0.4) ** 2 / 2;
          // tenths of an e-fold is how finely focal lengths are tried
          expect(perspectiveMisfit(whole, plane)).toBeLessThan(usual + 1.5);
          if (lean > 0.35)
            expect(perspectiveMisfit(whole, { ...plane, q: [0, 0] })).toBeGreaterThan(
              perspectiveMisfit(whole, plane) + 3,
            );
        },
      ),
      { seed: 5 },
    );
  });
  it("sees a level face without any", () => {
    const level = pinhole(1100, [0, 0], 5, 0, 0);
    expect(perspectiveMisfit(whole, level)).toBeCloseTo(0, 6);
    expect(perspectiveMisfit(whole, { ...level, q: [0.2, 0] })).toBeGreaterThan(3);
  });
});

describe("an arc of teeth", () => {
  it("a cloth over a quarter: the count is sure, and no tooth under the cloth is called gone", () => {
    const { answer, rings } = readGear(
      drawnGears(640, 480, [{ teeth: 40, plane: tilted(320, 240, 190), missing: [30, 31] }], {
        cover: cloth(320, 240, 190, 0.6, 0.5),
      }),
    );
    expect(answer.teeth).toBe(40);
    expect(answer.missing).toMatchObject({ count: 2 });
    expect(answer.hidden).toBeGreaterThan(6);
    expect(rings[0]?.evidence.arc?.odds).toBeGreaterThan(3);
  });

  it("cut off by the picture's edge, it is read all the same", () => {
    const { answer } = readGear(drawnGears(640, 480, [{ teeth: 46, plane: tilted(500, 240, 190) }]));
    expect([46, null]).toContain(answer.teeth);
    expect(answer.candidates.map((c) => c.teeth)).toContain(46);
  });

  it("half of a gear gives no count, and says that it is the half that is lacking", () => {
    const { answer } = readGear(
      drawnGears(640, 480, [{ teeth: 44, plane: tilted(330, 250, 190) }], {
        cover: cloth(330, 250, 190, 0.05, 1.2),
      }),
    );
    expect(answer.teeth).toBeNull();
    expect(answer.says).toMatch(/^Only a part of the ring is in sight/);
    expect(answer.candidates.length).toBeGreaterThan(0);
    expect(Math.abs((answer.candidates[0]?.teeth ?? 0) - 44)).toBeLessThanOrEqual(2);
  });

  it("tells a count from its neighbours the better, the more is seen, and leaves it where too little is", () => {
    const odds = [0.75, 0.45, 0.25].map((along) => {
      const p = planesOf(
        drawnGears(640, 480, [{ teeth: 36, plane: tilted(320, 240, 190) }], {
          cover: cloth(320, 240, 190, along, 2),
        }),
      );
      const arc = arcReading(p, { teeth: 36, plane: tilted(323, 238, 188) });
      expect(arc?.teeth).toBe(36);
      return arc?.odds as number;
    });
    expect(odds[0]).toBeGreaterThan(odds[1] as number);
    expect(odds[1]).toBeGreaterThan(odds[2] as number);
    const half = planesOf(
      drawnGears(640, 480, [{ teeth: 36, plane: tilted(320, 240, 190) }], {
        cover: cloth(320, 240, 190, -0.3, 2),
      }),
    );
    expect(arcReading(half, { teeth: 36, plane: tilted(320, 240, 190) })?.odds).toBe(0);
    const open = planesOf(drawnGears(640, 480, [{ teeth: 36, plane: tilted(320, 240, 190) }]));
    expect(arcReading(open, { teeth: 36, plane: tilted(320, 240, 190) })).toBeNull();
  });

  it("finds the true count from a neighbour's", () => {
    const p = planesOf(
      drawnGears(640, 480, [{ teeth: 52, plane: tilted(320, 240, 200) }], {
        cover: cloth(320, 240, 200, 0.6, 4),
      }),
    );
    for (const teeth of [51, 53])
      expect(arcReading(p, { teeth, plane: tilted(322, 241, 199) })?.teeth).toBe(52);
  });

  it("whatever is hidden, the answer is the true count or none", () => {
    let right = 0;
    fc.assert(
      fc.property(
        fc.integer({ min: 18, max: 60 }),
        fc.double({ min: 0.35, max: 0.8, noNaN: true }),
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        (teeth, along, direction) => {
          const { answer } = readGear(
            drawnGears(480, 360, [{ teeth, plane: tilted(240, 180, 150), turn: direction / 3 }], {
              cover: cloth(240, 180, 150, along, direction),
              noise: 5,
            }),
          );
          if (answer.teeth === teeth) right++;
          expect([teeth, null]).toContain(answer.teeth);
        },
      ),
      { numRuns: 3, seed: 3 },
    );
    expect(right).toBeGreaterThan(0);
  });

  it("its certainty asks for odds, for windows, and for more odds the less is seen", () => {
    const arc = { seen: 0.68, agreement: 0.999, odds: 14 };
    const e: RingEvidence = {
      agreement: 1,
      score: 0.8,
      margin: 0,
      depth: 1,
      separation: 0.8,
      beyond: 0.1,
      seen: 0.7,
      standing: 1,
      arc,
    };
    expect(certaintyOf(e, 40)).toBe(1);
    expect(certaintyOf({ ...e, arc: { ...arc, odds: 3 } }, 40)).toBe(0);
    expect(certaintyOf({ ...e, arc: { ...arc, seen: 0.48 } }, 40)).toBeLessThan(0.5);
    expect(certaintyOf({ ...e, arc: { ...arc, seen: 0.48, odds: 60 } }, 40)).toBe(1);
    expect(certaintyOf(e, 11)).toBe(0);
  });
});
