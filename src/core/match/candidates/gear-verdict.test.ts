import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { GearSpec } from "../catalogue/part-spec";
import { gearVerdict } from "./gear-verdict";
import type { CompanionGear } from "./mesh";
import { type Criterion, type CriterionVerdict, criterion, wholeVerdict } from "./verdict";
import type { WantedGear } from "./wanted-gear";

const wheel = {
  teeth: 41,
  moduleMm: 1,
  pressureAngleDeg: 20,
  helixAngleDeg: 18,
  hand: "right",
  profileShift: 0,
  boreMm: 8,
  faceWidthMm: 11,
  boreForm: "cross slot",
  material: "PA",
} as const;
const wanted: WantedGear = { ...wheel, mate: { teeth: 9 } };
const offered: GearSpec = { kind: "gear", ...wheel };
const pinion = (teeth: number, more: Partial<GearSpec> = {}): CompanionGear => ({
  number: `P-${teeth}`,
  spec: { ...offered, teeth, hand: "left", boreMm: 6, ...more },
});
const verdictOf = (w: Partial<WantedGear>, o: Partial<GearSpec>, companions: readonly CompanionGear[] = []) =>
  wholeVerdict(gearVerdict({ ...wanted, ...w }, { ...offered, ...o }, companions));
const of = (name: string, o: Partial<GearSpec>, w: Partial<WantedGear> = {}, companions: readonly CompanionGear[] = []): Criterion => {
  const found = gearVerdict({ ...wanted, ...w }, { ...offered, ...o }, companions).find((c) => c.criterion === name);
  if (!found) throw new Error(`nothing is said of ${name}`);
  return found;
};

describe("a gear against the gear that is wanted", () => {
  it("drops in when everything is the same", () => {
    expect(verdictOf({}, {})).toBe("drop-in");
  });
  it("has a verdict with wanted, offered, tolerance and why on every criterion", () => {
    const criteria = gearVerdict(wanted, offered, []);
    expect(criteria.map((c) => c.criterion)).toEqual([
      "teeth",
      "centre distance",
      "module",
      "pressure angle",
      "helix angle",
      "hand",
      "face width",
      "bore",
      "bore form",
      "material",
    ]);
    for (const c of criteria) for (const text of [c.wanted, c.offered, c.tolerance, c.says]) expect(text).not.toBe("");
  });
  it("refuses what cannot mesh", () => {
    expect(verdictOf({}, { hand: "left" })).toBe("no");
    expect(verdictOf({}, { moduleMm: 25.4 / 24 })).toBe("no");
    expect(verdictOf({}, { pressureAngleDeg: 14.5 })).toBe("no");
    expect(verdictOf({}, { helixAngleDeg: 15 })).toBe("no");
    expect(of("form", { form: "bevel" }, { form: "helical" }).verdict).toBe("no");
  });
  it("reams a small bore and refuses a wide one", () => {
    expect(of("bore", { boreMm: 7.5 })).toMatchObject({ verdict: "rework", says: "ream the bore from 7.5 to 8 mm" });
    expect(of("bore", { boreMm: 8.5 }).verdict).toBe("no");
  });
  it("says what to measure when it was not measured, or not well enough", () => {
    expect(of("bore", {}, { boreMm: undefined })).toMatchObject({ verdict: "settle", says: "measure the bore to settle it" });
    expect(of("bore", { boreMm: 8.1 }, { boreMm: { value: 8, u: 0.05 } })).toMatchObject({ verdict: "settle", wanted: "8 mm ±\u00a00.1" });
    expect(of("bore", { boreMm: 8.2 }, { boreMm: { value: 8, u: 0.05 } }).verdict).toBe("no");
    expect(of("bore", {}, { boreMm: { value: 8, u: 0.4 } }).says).toMatch(/not sure enough/);
    expect(of("helix angle", { helixAngleDeg: 16 }, { helixAngleDeg: { value: 18, u: 0.7 } })).toMatchObject({ verdict: "settle" });
    expect(of("teeth", { teeth: 42 }, { teeth: { value: 41, u: 0.5 } }).says).toMatch(/count the teeth again/);
    expect(verdictOf({ boreMm: undefined }, {})).toBe("possible");
  });
  it("warns of another material without refusing it", () => {
    expect(of("material", { material: "steel" }).says).toMatch(/fuse/);
    expect(verdictOf({}, { material: "steel" })).toBe("drop-in");
  });
});

describe("the law of meshing", () => {
  it("refuses another tooth sum on fixed centres, with how far apart the shafts would have to be", () => {
    expect(of("teeth", { teeth: 43 }).verdict).toBe("no");
    // (43 + 9)/(2 cos 18°) − (41 + 9)/(2 cos 18°) = 1.051 mm
    expect(of("centre distance", { teeth: 43 }).says).toBe("tooth sum 52 instead of 50: would need the shafts 1.05 mm further apart than they are");
  });
  it("allows it with the companion that keeps the tooth sum, and says what that does to the speed", () => {
    expect(verdictOf({}, { teeth: 42 }, [pinion(8)])).toBe("with-companions");
    expect(of("teeth", { teeth: 42 }, {}, [pinion(8)]).says).toMatch(/only together with P-8 \(8 teeth\); the old 9-tooth gear must go/);
    // (41/9)/(42/8) − 1 = −13.2 %
    expect(of("output speed", { teeth: 42 }, { outputRpm: 90 }, [pinion(8)]).says).toBe(
      "the output turns 13.2 % slower, 78.1 rpm instead of 90: tell the customer",
    );
  });
  it("asks for the mate where it is not named: the pair may sit on the old shafts or not", () => {
    expect(of("teeth", { teeth: 42 }, { mate: undefined }, [pinion(8)])).toMatchObject({
      verdict: "settle",
      says: expect.stringMatching(/go only with P-8: name the gear it runs with/),
    });
    expect(of("teeth", { teeth: 42 }, { mate: undefined }).verdict).toBe("no");
  });
  it("refuses companions that do not keep the sum, or do not mesh with it", () => {
    expect(verdictOf({}, { teeth: 42 }, [pinion(9)])).toBe("no");
    expect(of("centre distance", { teeth: 42 }, {}, [pinion(8, { hand: "right" })]).says).toMatch(/both are right-hand/);
    expect(verdictOf({}, { teeth: 42 }, [pinion(8, { moduleMm: 1.25 })])).toBe("no");
  });
  it("counts what was chosen in the mate's place", () => {
    const small: Partial<WantedGear> = { teeth: 9, hand: "left", mate: { teeth: 41, willBe: 42, drives: false }, boreMm: 8, outputRpm: 90 };
    expect(of("teeth", { teeth: 8, hand: "left" }, small)).toMatchObject({
      verdict: "fits",
      says: "8 teeth instead of 9: goes with the 42-tooth gear that was chosen",
    });
    expect(of("teeth", { teeth: 9, hand: "left" }, small)).toMatchObject({ verdict: "no", says: "it went with 41 teeth, and 42 were chosen" });
    expect(of("output speed", { teeth: 8, hand: "left" }, small).says).toMatch(/13\.2 % slower/);
  });
  it("counts profile shift where both are known: the same teeth, shifted, do not sit on the old shafts", () => {
    const shifted: Partial<WantedGear> = { profileShift: 0, mate: { teeth: 9, profileShift: 0.4 } };
    expect(of("centre distance", {}, shifted).verdict).toBe("same");
    expect(of("centre distance", { profileShift: 0.4 }, shifted).verdict).toBe("no");
    expect(of("centre distance", { profileShift: -0.1 }, shifted)).toMatchObject({ verdict: "fits" });
    expect(of("centre distance", { profileShift: 0.4 }).verdict).toBe("same");
  });
  it("an internal ring sits by the difference, a worm wheel by its own size", () => {
    const inside: Partial<WantedGear> = { form: "internal", teeth: 60, helixAngleDeg: 0, hand: undefined, mate: { teeth: 20 } };
    const ring: Partial<GearSpec> = { form: "internal", teeth: 62, helixAngleDeg: 0, hand: undefined };
    expect(of("centre distance", ring, inside, [pinion(22, { helixAngleDeg: 0, hand: undefined })]).verdict).toBe("companion");
    expect(of("centre distance", ring, inside).offered).toBe("21 mm");
    const wheel: Partial<WantedGear> = { form: "worm-wheel", teeth: 52, moduleMm: 1.25, helixAngleDeg: 5, mate: { teeth: 1 } };
    expect(of("reference radius", { form: "worm-wheel", teeth: 50, moduleMm: 1.25, helixAngleDeg: 5 }, wheel).says).toMatch(/1\.25 mm closer together/);
  });
  it("inside a ring the pinion leans as the ring does", () => {
    const inside: Partial<WantedGear> = { form: "internal", teeth: 60, mate: { teeth: 20 } };
    const ring: Partial<GearSpec> = { form: "internal", teeth: 62 };
    expect(of("centre distance", ring, inside, [pinion(22, { hand: "right" })]).verdict).toBe("companion");
    expect(of("centre distance", ring, inside, [pinion(22, { hand: "left" })]).says).toMatch(/inside they lean the same way/);
  });
  it("bevels, worms, pulleys and sprockets do not go by the tooth sum", () => {
    for (const form of ["bevel", "worm", "rack", "pulley", "sprocket"] as const) {
      const w: Partial<WantedGear> = { form, teeth: 20, helixAngleDeg: 0, hand: undefined, mate: { teeth: 20 } };
      const o: Partial<GearSpec> = { form, helixAngleDeg: 0, hand: undefined };
      expect(of("teeth", { ...o, teeth: 20 }, w).verdict).toBe("same");
      expect(of("teeth", { ...o, teeth: 18 }, w)).toMatchObject({
        verdict: "no",
        says: `18 teeth instead of 20: a ${form} runs only with what it was made for`,
      });
      // 18 and 22 add up as 20 and 20 do, and mean nothing here
      expect(of("teeth", { ...o, teeth: 18 }, w, [pinion(22, { form, helixAngleDeg: 0, hand: undefined })]).verdict).toBe("settle");
    }
  });
  it("as a law: with what stays, only the same tooth count is not refused; with a companion exactly the one that keeps the sum is not", () => {
    const teeth = fc.integer({ min: 20, max: 80 });
    fc.assert(
      fc.property(
        teeth,
        teeth,
        fc.integer({ min: 6, max: 20 }),
        fc.integer({ min: 6, max: 20 }),
        fc.integer({ min: 0, max: 25 }),
        (was, is, mate, other, beta) => {
          const w: Partial<WantedGear> = { teeth: was, helixAngleDeg: beta, hand: beta ? "right" : undefined, mate: { teeth: mate } };
          const o: Partial<GearSpec> = { teeth: is, helixAngleDeg: beta, hand: beta ? "right" : undefined };
          expect(verdictOf(w, o)).toBe(is === was ? "drop-in" : "no");
          const companion = pinion(other, { helixAngleDeg: beta, hand: beta ? "left" : undefined });
          const expected = is === was ? "drop-in" : is + other === was + mate ? "with-companions" : "no";
          expect(verdictOf(w, o, [companion])).toBe(expected);
        },
      ),
    );
  });
});

it("the whole is as good as its worst criterion", () => {
  const worst: CriterionVerdict[] = ["no", "settle", "companion", "rework"];
  fc.assert(
    fc.property(fc.array(fc.constantFrom<CriterionVerdict>("same", "fits", "companion", "rework", "settle", "no"), { minLength: 1 }), (verdicts) => {
      const answer = wholeVerdict(verdicts.map((v) => criterion("x", "", "", "", v, "")));
      const expected =
        { no: "no", companion: "with-companions", rework: "with-rework", settle: "possible" }[worst.find((w) => verdicts.includes(w)) as "no"] ?? "drop-in";
      expect(answer).toBe(expected);
    }),
  );
});
