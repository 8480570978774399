import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { GearSpec, ToothedSpec } from "../catalogue/part-spec";
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
const offered: ToothedSpec = { kind: "gear", ...wheel };
const pinion = (teeth: number, more: Partial<ToothedSpec> = {}): CompanionGear => ({
  number: `P-${teeth}`,
  spec: { ...offered, teeth, hand: "left", boreMm: 6, ...more },
});
const verdictOf = (w: Partial<WantedGear>, o: Partial<GearSpec>, companions: readonly CompanionGear[] = []) =>
  wholeVerdict(gearVerdict({ ...wanted, ...w }, { ...offered, ...o }, companions));
const of = (
  name: string,
  o: Partial<GearSpec>,
  w: Partial<WantedGear> = {},
  companions: readonly CompanionGear[] = [],
): Criterion => {
  const found = gearVerdict({ ...wanted, ...w }, { ...offered, ...o }, companions).find(
    (c) => c.criterion === name,
  );
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
      "profile shift",
      "face width",
      "bore",
      "bore form",
      "material",
    ]);
    for (const c of criteria)
      for (const text of [c.wanted, c.offered, c.tolerance, c.says]) expect(text).not.toBe("");
  });
  it("refuses what cannot mesh", () => {
    expect(verdictOf({}, { hand: "left" })).toBe("no");
    expect(verdictOf({}, { moduleMm: 25.4 / 24 })).toBe("no");
    expect(verdictOf({}, { pressureAngleDeg: 14.5 })).toBe("no");
    expect(verdictOf({}, { helixAngleDeg: 15 })).toBe("no");
    expect(of("form", { form: "bevel" }, { form: "helical" }).verdict).toBe("no");
  });
  it("reams a small bore and refuses a wide one", () => {
    expect(of("bore", { boreMm: 7.5 })).toMatchObject({
      verdict: "rework",
      says: "ream the bore from 7.5 to 8 mm",
    });
    expect(of("bore", { boreMm: 8.5 }).verdict).toBe("no");
  });
  it("says what to measure when it was not measured, or not well enough", () => {
    expect(of("bore", {}, { boreMm: undefined })).toMatchObject({
      verdict: "settle",
      says: "measure the bore to settle it",
    });
    expect(of("bore", { boreMm: 8.1 }, { boreMm: { value: 8, u: 0.05 } })).toMatchObject({
      verdict: "settle",
      wanted: "8 mm ±\u00a00.1",
    });
    expect(of("bore", { boreMm: 8.2 }, { boreMm: { value: 8, u: 0.05 } }).verdict).toBe("no");
    expect(of("bore", {}, { boreMm: { value: 8, u: 0.4 } }).says).toMatch(/not sure enough/);
    expect(of("helix angle", { helixAngleDeg: 17 }, { helixAngleDeg: { value: 18, u: 0.7 } })).toMatchObject({
      verdict: "settle",
    });
    expect(of("teeth", { teeth: 42 }, { teeth: { value: 41, u: 0.5 } }).says).toMatch(
      /count the teeth again/,
    );
    expect(verdictOf({ boreMm: undefined }, {})).toBe("possible");
  });
  it("asks about another material, with the reason: harder moves the break and wears the mate, softer gives way", () => {
    expect(of("material", { material: "steel" })).toMatchObject({
      verdict: "settle",
      says: expect.stringMatching(/harder.*fuse/),
    });
    expect(verdictOf({}, { material: "steel" })).toBe("possible");
    expect(of("material", { material: "POM" }, { material: "steel" }).says).toMatch(
      /softer.*gives way first/,
    );
    expect(of("material", { material: "hardened steel" }, { material: "steel" }).says).toMatch(
      /harder. It wears its mate/,
    );
    expect(of("material", { material: "PA66" }, { material: "nylon" }).verdict).toBe("same");
    expect(of("material", { material: "POM" }, { material: "PA" }).verdict).toBe("settle");
  });
  it("asks where the seller does not tell the shift, and refuses another: the pair binds or knocks", () => {
    expect(of("profile shift", { profileShift: undefined })).toMatchObject({
      verdict: "settle",
      says: expect.stringMatching(/ask the seller/),
    });
    expect(of("profile shift", { profileShift: 0.3 })).toMatchObject({
      verdict: "no",
      says: expect.stringMatching(/binds/),
    });
    expect(of("profile shift", { profileShift: 0 }, { profileShift: { value: 0.1, u: 0.06 } }).verdict).toBe(
      "settle",
    );
  });
  it("lets the helix differ by what the face allows: less the wider it is", () => {
    const two = (faceWidthMm: number): string =>
      of("helix angle", { helixAngleDeg: 18.4, faceWidthMm }, { faceWidthMm }).verdict;
    // 5 mm tan 0.4° is 0.035 mm, 20 mm tan 0.4° 0.14
    expect(two(5)).toBe("same");
    expect(two(20)).toBe("no");
    expect(of("helix angle", { helixAngleDeg: 20, faceWidthMm: 20 }, { faceWidthMm: 20 }).says).toMatch(
      /0\.698 mm off at the end/,
    );
  });
  it("a narrower face is a question of load, with how much less it carries", () => {
    expect(of("face width", { faceWidthMm: 8 })).toMatchObject({
      verdict: "settle",
      says: expect.stringMatching(/27 % less.*overload/),
    });
    expect(of("face width", { faceWidthMm: 10.5 })).toMatchObject({ verdict: "fits" });
  });
});

describe("worms and their wheels", () => {
  const worm: ToothedSpec = {
    ...offered,
    form: "worm",
    teeth: 1,
    helixAngleDeg: 0,
    hand: "right",
    wormDiameterMm: 14,
    boreForm: "D",
    boreMm: 6,
    faceWidthMm: 30,
    material: "steel",
  };
  const wheelSpec: ToothedSpec = {
    ...offered,
    form: "worm-wheel",
    teeth: 40,
    // of one start on 14 mm
    helixAngleDeg: 4.09,
    hand: "right",
    wormDiameterMm: 14,
  };
  const wantedWorm: WantedGear = { ...worm, profileShift: 0, wormDiameterMm: { value: 14.02, u: 0.02 } };
  const wantedWheel: WantedGear = { ...wheelSpec, profileShift: 0, mate: { teeth: 1, hand: "right" } };
  const whole = (w: WantedGear, o: GearSpec, companions: readonly CompanionGear[] = []) =>
    wholeVerdict(gearVerdict(w, o, companions));
  it("drop in where starts, module, hand and diameter are the same, and not otherwise", () => {
    expect(whole(wantedWorm, worm)).toBe("drop-in");
    expect(whole(wantedWorm, { ...worm, teeth: 2 })).toBe("no");
    expect(whole(wantedWorm, { ...worm, hand: "left" })).toBe("no");
    expect(whole(wantedWorm, { ...worm, moduleMm: 1.25 })).toBe("no");
    expect(whole(wantedWorm, { ...worm, wormDiameterMm: 16 })).toBe("no");
    expect(whole(wantedWorm, { ...worm, wormDiameterMm: undefined })).toBe("possible");
  });
  it("a wheel never sits with a worm of other starts, module, hand or diameter", () => {
    expect(whole({ ...wantedWheel, wormDiameterMm: undefined }, wheelSpec)).toBe("possible");
    expect(whole(wantedWheel, wheelSpec)).toBe("drop-in");
    // a wheel for two starts has the same teeth, and is cut for twice the lead
    expect(whole(wantedWheel, { ...wheelSpec, helixAngleDeg: 8.13 })).toBe("no");
    expect(whole({ ...wantedWheel, helixAngleDeg: 0 }, { ...wheelSpec, helixAngleDeg: 8.13 })).toBe("no");
    expect(whole(wantedWheel, { ...wheelSpec, helixAngleDeg: 0 })).toBe("possible");
    expect(gearVerdict({ ...wantedWheel, mate: { teeth: 1, willBe: 2 } }, wheelSpec, [])[0]).toMatchObject({
      verdict: "no",
      says: expect.stringMatching(/another lead/),
    });
    const sold = (more: Partial<ToothedSpec>): CompanionGear => ({
      number: "W-1",
      spec: { ...worm, ...more },
    });
    const forty1: GearSpec = { ...wheelSpec, teeth: 41 };
    for (const more of [{ moduleMm: 1.25 }, { hand: "left" as const }, { wormDiameterMm: 16 }])
      expect(whole(wantedWheel, forty1, [sold(more)])).toBe("no");
  });
});

describe("bevels", () => {
  it("run only with teeth that run alike, and spiral ones of their hand", () => {
    const bevel: ToothedSpec = {
      ...offered,
      form: "bevel",
      teeth: 16,
      helixAngleDeg: 0,
      bevelTeeth: "spiral",
      hand: "left",
      mateTeeth: 32,
      mountingMm: 28,
      soldAs: "pair",
    };
    const w: WantedGear = { ...bevel, profileShift: 0, mate: { teeth: 32 } };
    const whole = (o: Partial<GearSpec>) => wholeVerdict(gearVerdict(w, { ...bevel, ...o }, []));
    expect(whole({})).toBe("with-companions");
    // curved teeth are lapped with their mate
    expect(whole({ soldAs: "one" })).toBe("possible");
    expect(whole({ bevelTeeth: "straight" })).toBe("no");
    expect(whole({ hand: "right" })).toBe("no");
    expect(whole({ bevelTeeth: undefined })).toBe("possible");
  });
});

describe("pulleys", () => {
  it("are told apart by the belt they are made for, also at one pitch", () => {
    const pulley: ToothedSpec = {
      ...offered,
      form: "pulley",
      teeth: 20,
      moduleMm: 5 / Math.PI,
      helixAngleDeg: 0,
      hand: undefined,
      profile: "T5",
    };
    const w: WantedGear = { ...pulley, profileShift: 0, mate: undefined };
    const profile = (o: Partial<GearSpec>) =>
      gearVerdict(w, { ...pulley, ...o }, []).find((c) => c.criterion === "belt profile")?.verdict;
    expect(profile({})).toBe("same");
    expect(profile({ profile: "t 5" })).toBe("same");
    expect(profile({ profile: "HTD 5M" })).toBe("no");
    expect(profile({ profile: undefined })).toBe("settle");
    expect(gearVerdict(w, pulley, []).some((c) => c.criterion === "pressure angle")).toBe(false);
  });
});

describe("the law of meshing", () => {
  it("never refuses the same gear for what the caliper made of the distance, and leaves open what it cannot tell", () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.3, max: 0.3, noNaN: true }),
        fc.double({ min: 0.02, max: 0.2, noNaN: true }),
        (off, u) => {
          const w = {
            mate: { teeth: 9, profileShift: 0 },
            centreMm: { value: 50 / 2 / Math.cos(Math.PI / 10) + off, u },
          };
          expect(of("centre distance", {}, w).verdict).toBe("same");
        },
      ),
    );
    const w = { mate: { teeth: 9, profileShift: 0 }, centreMm: { value: 26.25, u: 0.05 } };
    expect(of("centre distance", { profileShift: 0.08 }, w)).toMatchObject({
      verdict: "settle",
      says: expect.stringMatching(/measure the centre distance again/),
    });
  });
  it("refuses another tooth sum on fixed centres, with how far apart the shafts would have to be", () => {
    expect(of("teeth", { teeth: 43 }).verdict).toBe("no");
    // (43 + 9)/(2 cos 18°) − (41 + 9)/(2 cos 18°) = 1.051 mm
    expect(of("centre distance", { teeth: 43 }).says).toBe(
      "tooth sum 52 instead of 50: would need the shafts 1.05 mm further apart than they are",
    );
  });
  it("allows it with the companion that keeps the tooth sum, and says what that does to the speed", () => {
    expect(verdictOf({}, { teeth: 42 }, [pinion(8)])).toBe("with-companions");
    expect(of("teeth", { teeth: 42 }, {}, [pinion(8)]).says).toMatch(
      /only together with P-8 \(8 teeth\); the old 9-tooth gear must go/,
    );
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
    expect(of("centre distance", { teeth: 42 }, {}, [pinion(8, { hand: "right" })]).says).toMatch(
      /both are right-hand/,
    );
    expect(verdictOf({}, { teeth: 42 }, [pinion(8, { moduleMm: 1.25 })])).toBe("no");
  });
  it("counts what was chosen in the mate's place", () => {
    const small: Partial<WantedGear> = {
      teeth: 9,
      hand: "left",
      mate: { teeth: 41, willBe: 42, drives: false },
      boreMm: 8,
      outputRpm: 90,
    };
    expect(of("teeth", { teeth: 8, hand: "left" }, small)).toMatchObject({
      verdict: "fits",
      says: "8 teeth instead of 9: goes with the 42-tooth gear that was chosen",
    });
    expect(of("teeth", { teeth: 9, hand: "left" }, small)).toMatchObject({
      verdict: "no",
      says: "it went with 41 teeth, and 42 were chosen",
    });
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
    const inside: Partial<WantedGear> = {
      form: "internal",
      teeth: 60,
      helixAngleDeg: 0,
      hand: undefined,
      mate: { teeth: 20 },
    };
    const ring: Partial<GearSpec> = { form: "internal", teeth: 62, helixAngleDeg: 0, hand: undefined };
    expect(
      of("centre distance", ring, inside, [pinion(22, { helixAngleDeg: 0, hand: undefined })]).verdict,
    ).toBe("companion");
    expect(of("centre distance", ring, inside).offered).toBe("21 mm");
    const wheel: Partial<WantedGear> = {
      form: "worm-wheel",
      teeth: 52,
      moduleMm: 1.25,
      helixAngleDeg: 5,
      mate: { teeth: 1 },
    };
    expect(
      of("reference radius", { form: "worm-wheel", teeth: 50, moduleMm: 1.25, helixAngleDeg: 5 }, wheel).says,
    ).toMatch(/1\.25 mm closer together/);
  });
  it("inside a ring the pinion leans as the ring does", () => {
    const inside: Partial<WantedGear> = { form: "internal", teeth: 60, mate: { teeth: 20 } };
    const ring: Partial<GearSpec> = { form: "internal", teeth: 62 };
    expect(of("centre distance", ring, inside, [pinion(22, { hand: "right" })]).verdict).toBe("companion");
    expect(of("centre distance", ring, inside, [pinion(22, { hand: "left" })]).says).toMatch(
      /inside they lean the same way/,
    );
  });
  it("bevels, worms, pulleys and sprockets do not go by the tooth sum", () => {
    for (const form of ["bevel", "worm", "rack", "pulley", "sprocket"] as const) {
      const w: Partial<WantedGear> = {
        form,
        teeth: 20,
        helixAngleDeg: 0,
        hand: undefined,
        mate: { teeth: 20 },
      };
      const o: Partial<GearSpec> = { form, helixAngleDeg: 0, hand: undefined };
      expect(of("teeth", { ...o, teeth: 20 }, w).verdict).toBe("same");
      expect(of("teeth", { ...o, teeth: 18 }, w)).toMatchObject({
        verdict: "no",
        says: `18 teeth instead of 20: a ${form} runs only with what it was made for`,
      });
      // 18 and 22 add up as 20 and 20 do, and mean nothing here
      expect(
        of("teeth", { ...o, teeth: 18 }, w, [pinion(22, { form, helixAngleDeg: 0, hand: undefined })])
          .verdict,
      ).toBe("settle");
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
          const w: Partial<WantedGear> = {
            teeth: was,
            helixAngleDeg: beta,
            hand: beta ? "right" : undefined,
            mate: { teeth: mate },
          };
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
    fc.property(
      fc.array(fc.constantFrom<CriterionVerdict>("same", "fits", "companion", "rework", "settle", "no"), {
        minLength: 1,
      }),
      (verdicts) => {
        const answer = wholeVerdict(verdicts.map((v) => criterion("x", "", "", "", v, "")));
        const expected =
          { no: "no", companion: "with-companions", rework: "with-rework", settle: "possible" }[
            worst.find((w) => verdicts.includes(w)) as "no"
          ] ?? "drop-in";
        expect(answer).toBe(expected);
      },
    ),
  );
});
