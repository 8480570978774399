import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Gear, gearDimensions } from "./dimensions";
import { involuteStartRadius } from "./outline";
import { pairOf } from "./pair";
import type { PairGear } from "./pair-gear";

const gear = (teeth: number, more: Partial<PairGear> = {}): PairGear => ({
  teeth,
  moduleMm: 1,
  pressureAngleDeg: 20,
  helixAngleDeg: 0,
  profileShift: 0,
  ...more,
});
const figures = (a: PairGear, b: PairGear, centre?: number) =>
  pairOf(a, b, centre).figures ?? expect.fail("they do not mesh");

describe("a pair of gears", () => {
  it("20 and 40 teeth at 20°: centre distance 30, contact ratio 1.635, as textbooks work it out", () => {
    const f = figures(gear(20), gear(40), 30);
    expect(f.referenceCentreMm).toBeCloseTo(30, 9);
    expect(f.tightCentreMm).toBeCloseTo(30, 6);
    // ε = [√(22² − 18.794²) + √(42² − 37.588²) − 60 sin 20°] / (2π cos 20°)
    expect(f.contactRatio).toBeCloseTo(1.635, 3);
    expect(f.workingPressureAngleDeg).toBeCloseTo(20, 9);
    expect(f.backlashMm).toBeCloseTo(0, 9);
    expect(f.tipClearanceMm[0]).toBeCloseTo(0.25, 9);
  });
  it("shifted: 12 and 24 teeth, m 3, x 0.6 and 0.36 work at 56.4999 mm and 26.0886° (the standard worked example of handbooks)", () => {
    const m3 = (teeth: number, profileShift: number) => gear(teeth, { moduleMm: 3, profileShift });
    const f = figures(m3(12, 0.6), m3(24, 0.36));
    expect(f.tightCentreMm).toBeCloseTo(56.4999, 3);
    expect(figures(m3(12, 0.6), m3(24, 0.36), f.tightCentreMm).workingPressureAngleDeg).toBeCloseTo(
      26.0886,
      3,
    );
  });
  it("a module, an angle or a hand that does not fit is named, and no figure is given", () => {
    const says = (a: PairGear, b: PairGear) =>
      pairOf(a, b)
        .verdicts.filter((v) => !v.ok)
        .map((v) => v.criterion);
    expect(says(gear(20), gear(40, { moduleMm: 25.4 / 24 }))).toEqual(["module"]);
    expect(says(gear(20), gear(40, { pressureAngleDeg: 14.5 }))).toEqual(["pressure angle"]);
    const helical = { helixAngleDeg: 18 };
    expect(says(gear(9, { ...helical, hand: "right" }), gear(41, { ...helical, hand: "right" }))).toEqual([
      "hand",
    ]);
    expect(says(gear(20), gear(41, helical))).toContain("helix angle");
    expect(pairOf(gear(20), gear(40, { moduleMm: 1.25 })).figures).toBeNull();
  });
  it("what a span has lost comes back as backlash, nearly all of it, whichever gear lost it", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 15, max: 50 }),
        fc.integer({ min: 15, max: 80 }),
        fc.double({ min: 0, max: 0.2, noNaN: true }),
        (a, b, loss) => {
          const at = (x: number, y: number): number =>
            figures(gear(a, { spanLossMm: x }), gear(b, { spanLossMm: y }), (a + b) / 2).backlashMm;
          expect(at(loss, 0)).toBeCloseTo(loss, 6);
          expect(at(0, loss)).toBeCloseTo(loss, 6);
        },
      ),
    );
  });
  it("shafts further apart have more play: 2 sin α of what they moved, and less contact", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 18, max: 50 }),
        fc.integer({ min: 18, max: 80 }),
        fc.double({ min: 0.001, max: 0.02, noNaN: true }),
        (a, b, apart) => {
          const near = figures(gear(a), gear(b), (a + b) / 2);
          const far = figures(gear(a), gear(b), (a + b) / 2 + apart);
          expect((far.backlashMm - near.backlashMm) / (2 * apart * Math.sin(Math.PI / 9))).toBeCloseTo(1, 1);
          expect(far.contactRatio).toBeLessThan(near.contactRatio);
        },
      ),
    );
  });
  it("too close binds, too far lets go, closer than the base circles is impossible", () => {
    const bad = (centre: number) =>
      pairOf(gear(20), gear(40), centre)
        .verdicts.filter((v) => !v.ok)
        .map((v) => v.criterion);
    expect(bad(29.9)).toContain("backlash");
    expect(bad(31.5)).toContain("contact ratio");
    expect(bad(28)).toEqual(["centre distance"]);
  });
  it("slanted teeth take over along the face too: b sin β/(π m)", () => {
    const slanted = (teeth: number) => gear(teeth, { helixAngleDeg: 30, faceWidthMm: 4 * Math.PI });
    const f = figures(slanted(20), { ...slanted(40), faceWidthMm: 30 });
    // 4 π sin 30°/π = 2
    expect(f.overlapRatio).toBeCloseTo(2, 9);
    expect(figures(gear(20), gear(40)).overlapRatio).toBe(0);
    expect(figures(gear(20, { helixAngleDeg: 15 }), gear(40, { helixAngleDeg: 15 })).overlapRatio).toBeNull();
    expect(
      pairOf(slanted(20), slanted(40)).verdicts.find((v) => v.criterion === "contact ratio")?.says,
    ).toMatch(/^1\.\d\d and 2\.00 from the slant/);
  });
  it("shortened tips reach less far", () => {
    const full = figures(gear(20), gear(40), 30).contactRatio;
    // √(21.6² − 18.794²) is 10.646, 0.79 less than with full tips: 0.79/(2 π cos 20°) of a pitch
    expect(full - figures(gear(20, { tipMm: 21.6 }), gear(40), 30).contactRatio).toBeCloseTo(0.134, 2);
  });
  it("what the readings leave open is a caution, not a refusal", () => {
    const blunt = { helixAngleDeg: 18, helixU: 0.3 };
    const open = pairOf(gear(9, blunt), gear(41, { ...blunt, helixAngleDeg: 18.8 }));
    expect(open.meshes).toBe(true);
    expect(open.verdicts.find((v) => v.criterion === "helix angle")).toMatchObject({
      ok: true,
      caution: true,
    });
    expect(
      pairOf(gear(9, { helixAngleDeg: 18, helixU: 0.05 }), gear(41, { helixAngleDeg: 18.8, helixU: 0.05 }))
        .meshes,
    ).toBe(false);
    const tight = (shiftU: number) =>
      pairOf(gear(20, { shiftU }), gear(40, { shiftU }), { value: 29.97, u: 0.02 }).verdicts.find(
        (v) => v.criterion === "backlash",
      );
    expect(tight(0)).toMatchObject({ ok: true, caution: true });
    expect(
      pairOf(gear(20), gear(40), { value: 29.9, u: 0.02 }).verdicts.find((v) => v.criterion === "backlash")
        ?.ok,
    ).toBe(false);
    expect(tight(0.1)?.says).toMatch(/turn the two by hand/);
  });
  it("a large wheel on a small unshifted pinion reaches below its involute; on a shifted one it does not", () => {
    expect(
      pairOf(gear(9), gear(80), 44.55).verdicts.find((v) => v.criterion === "interference")?.caution,
    ).toBe(true);
    expect(
      pairOf(gear(9, { profileShift: 0.5 }), gear(80)).verdicts.find((v) => v.criterion === "interference")
        ?.caution,
    ).toBeUndefined();
    expect(pairOf(gear(20), gear(40)).meshes).toBe(true);
  });
  it("the involute begins at the base circle or above, and below the reference circle", () => {
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 90 }), fc.constantFrom(0, 0.2, 0.4), (teeth, profileShift) => {
        const g: Gear = gear(teeth, { profileShift });
        const d = gearDimensions(g);
        const r = involuteStartRadius(g);
        return r >= d.baseDiameterMm / 2 - 1e-6 && r < d.referenceDiameterMm / 2 + 0.3;
      }),
    );
  });
});
