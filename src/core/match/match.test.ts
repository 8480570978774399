import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { CataloguePart, GearSpec } from "./catalogue-part";
import { gearVerdict, type WantedGear } from "./gear-verdict";
import { rankCandidates } from "./rank";
import { type CriterionVerdict, criterion, wholeVerdict } from "./verdict";

const wanted: WantedGear = {
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
  mate: { teeth: 9 },
};
const offered: GearSpec = {
  kind: "gear",
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
};
const whole = (w: Partial<WantedGear>, o: Partial<GearSpec>, companions = false) =>
  wholeVerdict(gearVerdict({ ...wanted, ...w }, { ...offered, ...o }, companions));
const of = (name: string, o: Partial<GearSpec>, companions = false): { verdict: CriterionVerdict; says: string } | undefined =>
  gearVerdict(wanted, { ...offered, ...o }, companions).find((c) => c.criterion === name);

describe("a gear against the gear that is wanted", () => {
  it("drops in when everything is the same", () => {
    expect(whole({}, {})).toBe("drop-in");
  });
  it("has a verdict with wanted, offered, tolerance and why on every criterion", () => {
    const criteria = gearVerdict(wanted, offered, false);
    expect(criteria.map((c) => c.criterion)).toEqual([
      "teeth",
      "module",
      "pressure angle",
      "helix angle",
      "hand",
      "centre distance",
      "face width",
      "bore",
      "bore form",
      "material",
    ]);
    for (const c of criteria) for (const text of [c.wanted, c.offered, c.tolerance, c.says]) expect(text).not.toBe("");
  });
  it("refuses what cannot mesh", () => {
    expect(whole({}, { hand: "left" })).toBe("no");
    expect(whole({}, { moduleMm: 25.4 / 24 })).toBe("no");
    expect(whole({}, { pressureAngleDeg: 14.5 })).toBe("no");
    expect(whole({}, { helixAngleDeg: 15 })).toBe("no");
  });
  it("refuses another tooth sum on fixed centres, unless its companions come with it", () => {
    expect(of("centre distance", { teeth: 43 })?.verdict).toBe("no");
    expect(of("centre distance", { teeth: 43 })?.says).toMatch(/1\.05\d mm apart/);
    expect(whole({}, { teeth: 43 })).toBe("no");
    expect(whole({}, { teeth: 43 }, true)).toBe("with-companions");
  });
  it("reams a small bore and refuses a wide one", () => {
    expect(of("bore", { boreMm: 7.5 })?.says).toBe("ream the bore from 7.5 to 8 mm");
    expect(of("bore", { boreMm: 8.5 })?.verdict).toBe("no");
  });
  it("says what to measure when it was not measured", () => {
    expect(whole({ boreMm: undefined }, {})).toBe("possible");
    expect(gearVerdict({ ...wanted, boreMm: undefined }, offered, false).find((c) => c.criterion === "bore")?.says).toBe("measure the bore to settle it");
  });
  it("warns of another material without refusing it", () => {
    expect(of("material", { material: "steel" })?.says).toMatch(/fuse/);
    expect(whole({}, { material: "steel" })).toBe("drop-in");
  });
});

it("the whole is as good as its worst criterion", () => {
  const worst: CriterionVerdict[] = ["no", "companion", "rework", "settle"];
  fc.assert(
    fc.property(fc.array(fc.constantFrom<CriterionVerdict>("same", "fits", "companion", "rework", "settle", "no"), { minLength: 1 }), (verdicts) => {
      const answer = wholeVerdict(verdicts.map((v) => criterion("x", "", "", "", v, "")));
      const expected =
        { no: "no", companion: "with-companions", rework: "with-rework", settle: "possible" }[worst.find((w) => verdicts.includes(w)) as "no"] ?? "drop-in";
      expect(answer).toBe(expected);
    }),
  );
});

describe("ranking the catalogue", () => {
  const part = (number: string, spec: CataloguePart["spec"], more: Partial<CataloguePart> = {}): CataloguePart => ({
    number,
    name: number,
    spec,
    price: 10,
    stock: 1,
    leadDays: 0,
    fits: [],
    needsAlso: [],
    ...more,
  });
  it("puts what drops in first, for this model, as little different as can be, in stock, cheap", () => {
    const parts = [
      part("dear", offered, { price: 20 }),
      part("wrong-hand", { ...offered, hand: "left" }, { price: 1 }),
      part("cheap", offered),
      part("steel", { ...offered, material: "steel" }, { price: 1 }),
      part("listed", offered, { fits: ["Velbrant Pressa 40"], price: 30 }),
      part("bearing", { kind: "bearing", insideMm: 8, outsideMm: 22, widthMm: 7 }),
    ];
    expect(rankCandidates({ what: "gear", gear: wanted }, parts, "Velbrant Pressa 40").map((c) => c.part.number)).toEqual([
      "listed",
      "cheap",
      "dear",
      "steel",
      "wrong-hand",
    ]);
  });
  it("knows a bearing by its size, and asks for a pulled seal where it was open", () => {
    const sealed = part("608-2RS", { kind: "bearing", insideMm: 8, outsideMm: 22, widthMm: 7, closure: "2RS" });
    const rank = (closure: string) => rankCandidates({ what: "bearing", size: { insideMm: 8, outsideMm: 22, widthMm: 7, closure } }, [sealed], "")[0]?.verdict;
    expect(rank("2RS")).toBe("drop-in");
    expect(rank("open")).toBe("with-rework");
    expect(rankCandidates({ what: "bearing", size: { insideMm: 7, outsideMm: 19, widthMm: 6 } }, [sealed], "")[0]?.verdict).toBe("no");
  });
  it("matches by name only as something to be compared", () => {
    const gasket = part("GK", { kind: "gasket" }, { name: "Gearbox gasket" });
    expect(rankCandidates({ what: "named", name: "gearbox gasket" }, [gasket], "")[0]?.verdict).toBe("possible");
    expect(rankCandidates({ what: "named", name: "hopper" }, [gasket], "")).toEqual([]);
  });
});
