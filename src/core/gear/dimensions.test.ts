import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Fault } from "../fault";
import { type Gear, gearDimensions, inverseInvolute, involute } from "./dimensions";

const spur = (teeth: number, moduleMm = 1, profileShift = 0): Gear => ({
  teeth,
  moduleMm,
  pressureAngleDeg: 20,
  helixAngleDeg: 0,
  profileShift,
});

describe("gear dimensions", () => {
  it("gives the textbook diameters of a spur gear", () => {
    const d = gearDimensions(spur(20, 2));
    expect(d.referenceDiameterMm).toBe(40);
    expect(d.tipDiameterMm).toBe(44);
    expect(d.rootDiameterMm).toBe(35);
    expect(d.baseDiameterMm).toBeCloseTo(37.5877, 4);
    expect(d.normalBasePitchMm).toBeCloseTo(5.9043, 4);
  });

  it("needs 17.1 teeth at 20° without shift to be free of undercut", () => {
    expect(gearDimensions(spur(20)).undercutBelowTeeth).toBeCloseTo(17.097, 3);
    expect(gearDimensions(spur(20, 1, 0.5)).undercutBelowTeeth).toBeLessThan(9);
  });

  it("stretches a helical gear by 1/cos β", () => {
    const helical = gearDimensions({ ...spur(41), helixAngleDeg: 18 });
    expect(helical.referenceDiameterMm).toBeCloseTo(41 / Math.cos(Math.PI / 10), 9);
    expect(helical.tipDiameterMm).toBeCloseTo(45.11, 2);
  });

  it("keeps tip and root 2.25 modules apart, whatever the shift", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 8, max: 200 }),
        fc.double({ min: 0.2, max: 10, noNaN: true }),
        fc.double({ min: -0.5, max: 0.8, noNaN: true }),
        (z, m, x) => {
          const d = gearDimensions(spur(z, m, x));
          expect((d.tipDiameterMm - d.rootDiameterMm) / 2).toBeCloseTo(2.25 * m, 9);
        },
      ),
    );
  });

  it.each([
    [{ teeth: 3 }, "teeth"],
    [{ teeth: 20.5 }, "teeth"],
    [{ moduleMm: 0 }, "module"],
    [{ pressureAngleDeg: 60 }, "pressureAngle"],
    [{ helixAngleDeg: 85 }, "helixAngle"],
    [{ profileShift: Number.NaN }, "profileShift"],
  ])("refuses %o with the place it came in", (wrong, path) => {
    expect(() => gearDimensions({ ...spur(20), ...wrong })).toThrow(Fault);
    try {
      gearDimensions({ ...spur(20), ...wrong });
    } catch (e) {
      expect((e as Fault).path).toBe(path);
    }
  });
});

describe("the involute", () => {
  it("has the tabled values", () => {
    expect(involute((20 * Math.PI) / 180)).toBeCloseTo(0.0149044, 7);
    expect(involute((14.5 * Math.PI) / 180)).toBeCloseTo(0.0055448, 7);
  });

  it("is undone by its inverse", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 1.35, noNaN: true }), (a) => {
        expect(inverseInvolute(involute(a))).toBeCloseTo(a, 9);
      }),
    );
  });

  it("refuses a negative one", () => {
    expect(() => inverseInvolute(-0.1)).toThrow(RangeError);
  });
});
