import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Fault } from "../fault";
import { bearingRefillGrams, fillShare, freeVolumeMl, gramsOnTeeth, greaseCharge, pitchLineSpeed, slipOfUnits } from "./charge";
import { chooseGrease, type GreaseNeed } from "./choose";
import { type Lubricant, nlgiName } from "./lubricant";
import { mixing, THICKENERS } from "./thickeners";

const gear = { teeth: 40, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 };

describe("the charge", () => {
  it("is free volume × fill × density, in the middle of the range", () => {
    expect(greaseCharge({ freeVolumeMl: 100, school: "measured", pitchLineSpeed: 1, densityGPerMl: 0.9 })).toMatchObject({
      grams: 36,
      minGrams: 27,
      maxGrams: 45,
    });
    expect(greaseCharge({ freeVolumeMl: 100, school: "packed", pitchLineSpeed: 1 }).grams).toBe(63);
    expect(fillShare("measured", 6)).toEqual([0.25, 0.35]);
  });
  it("lets the maker's figure stand above any rule", () => {
    const charge = greaseCharge({ freeVolumeMl: 100, school: "measured", pitchLineSpeed: 1, makersGrams: 22 });
    expect(charge.grams).toBe(22);
    expect(charge.reasons[0]?.rule).toBe("maker's figure");
  });
  it("never asks for more than the case holds", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 5000, noNaN: true }),
        fc.constantFrom("measured" as const, "packed" as const),
        fc.double({ min: 0, max: 30, noNaN: true }),
        (ml, school, speed) => {
          const c = greaseCharge({ freeVolumeMl: ml, school, pitchLineSpeed: speed });
          expect(c.minGrams).toBeLessThanOrEqual(c.grams);
          expect(c.grams).toBeLessThanOrEqual(c.maxGrams);
          expect(c.maxGrams).toBeLessThanOrEqual(ml * 0.9 * 0.8 + 0.1);
        },
      ),
    );
  });
  it("takes the gears out of the free volume", () => {
    const box = { lengthMm: 100, widthMm: 80, depthMm: 30 };
    expect(freeVolumeMl(box, [])).toBe(240);
    expect(freeVolumeMl(box, [{ gear, faceWidthMm: 10 }])).toBeCloseTo(240 - (Math.PI / 4) * 1600 * 10 * 0.001, 9);
    expect(() => freeVolumeMl({ lengthMm: 30, widthMm: 30, depthMm: 5 }, [{ gear, faceWidthMm: 10 }])).toThrow(/measure the inside again/);
    expect(() => freeVolumeMl({ ...box, depthMm: -1 }, [])).toThrow(Fault);
  });
  it("knows what teeth and bearings hold", () => {
    // ½ (42² − 37.5²)/4 · π · 10 mm³ at 0.9 g/ml
    expect(gramsOnTeeth(gear, 10)).toBeCloseTo(1.264, 3);
    expect(bearingRefillGrams(22, 7)).toBeCloseTo(0.77, 9);
    expect(pitchLineSpeed(100, 1200)).toBeCloseTo(2 * Math.PI, 9);
  });
  it("stops at a slip of units and not at honest weights", () => {
    expect(slipOfUnits(24_000, 80)).toMatch(/milligrams/);
    expect(slipOfUnits(0.02, 80)).toMatch(/ounces/);
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 1, noNaN: true }), fc.double({ min: 5, max: 3000, noNaN: true }), (share, ml) => {
        expect(slipOfUnits(share * ml * 0.9, ml)).toBeNull();
      }),
    );
  });
});

describe("thickeners", () => {
  it("mix the same both ways, and with themselves", () => {
    for (const a of THICKENERS) {
      expect(mixing(a, a)).toBe("same");
      for (const b of THICKENERS) expect(mixing(a, b)).toBe(mixing(b, a));
    }
  });
  it("has the guide's answers", () => {
    expect(mixing("Li12", "PU")).toBe("incompatible");
    expect(mixing("Li12", "LiX")).toBe("compatible");
    expect(mixing("CaS", "Li")).toBe("borderline");
  });
});

describe("choosing a grease", () => {
  const lube = (id: string, more: Partial<Lubricant> = {}): Lubricant => ({
    id,
    name: id,
    thickener: "Li12",
    baseOil: "mineral",
    nlgi: 0,
    h1: false,
    leastC: -20,
    mostC: 120,
    ...more,
  });
  const need: GreaseNeed = { foodContact: false, place: "closed-case", plastics: [], elastomers: [], old: null, hottestC: 70 };
  const against = (n: Partial<GreaseNeed>, l: Partial<Lubricant>): string[] =>
    (chooseGrease({ ...need, ...n }, [lube("a", l)])[0]?.reasons ?? []).filter((r) => r.against).map((r) => r.rule);
  it("keeps anything but H1 out of food, without exception", () => {
    expect(against({ foodContact: true }, {})).toEqual(["food"]);
    expect(against({ foodContact: true }, { h1: true })).toEqual([]);
    const [first] = chooseGrease({ ...need, foodContact: true }, [lube("a"), lube("z", { h1: true, nlgi: 2 })]);
    expect(first?.lubricant.id).toBe("a"); // each has one thing against it: no order makes a forbidden one right
    expect(first?.ok).toBe(false);
  });
  it("speaks against what attacks, stiffens, mixes badly or runs too hot", () => {
    expect(against({ plastics: ["ABS"] }, { baseOil: "ester" })).toEqual(["plastics"]);
    expect(against({ plastics: ["PA"] }, { baseOil: "ester" })).toEqual([]);
    expect(against({ elastomers: ["EPDM"] }, {})).toEqual(["seals"]);
    expect(against({}, { nlgi: 2 })).toEqual(["consistency"]);
    expect(against({ old: "PU" }, {})).toEqual(["old grease"]);
    expect(against({ old: "LiX" }, {})).toEqual([]);
    expect(against({ old: "Li" }, { thickener: "PTFE" })).toEqual(["old grease"]);
    expect(against({ hottestC: 110 }, {})).toEqual(["temperature"]);
  });
  it("puts the one with nothing against it first", () => {
    expect(chooseGrease(need, [lube("stiff", { nlgi: 2 }), lube("right")])[0]?.lubricant.id).toBe("right");
  });
  it("writes the soft classes as the trade does", () => {
    expect([2, 0, -1, -2].map(nlgiName)).toEqual(["2", "0", "00", "000"]);
  });
});
