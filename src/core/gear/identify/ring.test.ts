import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { thinnedBy } from "../as-made";
import { betweenPins, type Ring, ringTipMm } from "../between-pins";
import { toothFlank } from "../outline";
import { doubtsAmong } from "./doubts";
import { identifyRing } from "./ring";

const ring = (teeth: number, moduleMm: number, profileShift = 0, pressureAngleDeg = 20): Ring => ({
  teeth,
  moduleMm,
  pressureAngleDeg,
  profileShift,
});

describe("between pins", () => {
  it("lets the pin touch both flanks of the gap, which is the tooth of an external gear", () => {
    // geometry instead of the formula: the pin's centre lies as far from the flank as its own radius
    for (const [g, pin] of [
      [ring(60, 1), 1.5],
      [ring(48, 1.5, 0.3), 2.4],
    ] as const) {
      const centreR = (betweenPins(g, pin) + pin) / 2;
      const flank = toothFlank({ ...g, helixAngleDeg: 0, addendum: 1.25 }, 6000);
      const reach = flank.map(([r, half]) => Math.hypot(r * Math.sin(half), centreR - r * Math.cos(half)));
      expect(Math.min(...reach)).toBeCloseTo(pin / 2, 2);
    }
  });
  it("an odd count reads less, and a thicker pin less than a thinner", () => {
    expect(betweenPins(ring(61, 1), 1.6)).toBeLessThan(
      (betweenPins(ring(60, 1), 1.6) + betweenPins(ring(62, 1), 1.6)) / 2,
    );
    expect(betweenPins(ring(60, 1), 1.7)).toBeLessThan(betweenPins(ring(60, 1), 1.5));
    expect(betweenPins(ring(30, 1), 40)).toBeNaN();
  });
});

describe("internal rings", () => {
  /** as it is made: tips a little wider, teeth thinned */
  const made = (g: Ring, pin: number) => {
    const x = thinnedBy(g.moduleMm).value / (2 * g.moduleMm * Math.sin((g.pressureAngleDeg * Math.PI) / 180));
    return {
      kind: "internal",
      teeth: g.teeth,
      tipDiameter: ringTipMm(g) + 0.04,
      betweenPins: { pin, value: betweenPins({ ...g, profileShift: g.profileShift + x }, pin) },
    } as const;
  };
  it("are named from tips and pins, shift and all", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 36, max: 90 }),
        fc.constantFrom(0.6, 0.8, 1, 1.25, 1.5),
        fc.constantFrom(0, 0, 0.3),
        (teeth, m, x) => {
          const pin = Math.round(15 * m) / 10;
          const found = identifyRing(made(ring(teeth, m, x), pin));
          expect(found.slice(0, 3).map((h) => h.module)).toContain(m);
          if (x === 0) expect(found[0]).toMatchObject({ module: m });
        },
      ),
      { numRuns: 60 },
    );
  });
  it("are no external gear: the tips stand inside", () => {
    expect(identifyRing({ kind: "internal", teeth: 60, tipDiameter: 58.04 })[0]).toMatchObject({
      module: 1,
      profileShift: 0,
    });
  });
  it("what no standard ring shows is said, and what is missing is asked for", () => {
    const odd = identifyRing({
      kind: "internal",
      teeth: 60,
      tipDiameter: 66.1,
      betweenPins: { pin: 1.7, value: 40 },
    });
    expect((odd[0]?.probability ?? 0) < 0.9 || doubtsAmong(odd).length > 0).toBe(true);
    expect(() => identifyRing({ kind: "internal", teeth: 60 })).toThrow(/across the tips inside/);
  });
});
