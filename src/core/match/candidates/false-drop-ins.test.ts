import { describe, expect, it } from "vitest";
import { cataloguePart } from "../catalogue/catalogue-part";
import type { GearSpec, PartSpec, RingSpec, ToothedSpec } from "../catalogue/part-spec";
import { gearVerdict } from "./gear-verdict";
import { rankCandidates } from "./rank";
import { ringVerdict, type WantedRing } from "./ring-verdict";
import { ratingPrinted, sizesVerdict, type WantedSizes } from "./sizes-verdict";
import { toothMaterial } from "./tooth-material";
import { wholeVerdict } from "./verdict";
import type { WantedGear } from "./wanted-gear";

const ring = (wanted: Partial<WantedRing>, offered: Partial<RingSpec>) =>
  wholeVerdict(
    ringVerdict({ kind: "bearing", insideMm: 8, outsideMm: 22, widthMm: 7, ...wanted }, {
      kind: "bearing",
      insideMm: 8,
      outsideMm: 22,
      widthMm: 7,
      ...offered,
    } as RingSpec),
  );
const sizes = (wanted: WantedSizes, offered: PartSpec) => wholeVerdict(sizesVerdict(wanted, offered));

describe("what is of the same size and does not simply drop in", () => {
  it("an O-ring or seal of another rubber, a bush of another metal: the material is to be settled", () => {
    const oRing = (material: string) =>
      sizes(
        { kind: "o-ring", sizes: { insideMm: 20, sectionMm: 2.5 }, seen: { material: "NBR" } },
        { kind: "o-ring", insideMm: 20, sectionMm: 2.5, material },
      );
    expect(oRing("NBR")).toBe("drop-in");
    expect(oRing("EPDM")).toBe("possible");
    const seal = { kind: "seal", material: "NBR" } as const;
    expect(ring(seal, { ...seal, material: "silicone" })).toBe("possible");
    const bush = { kind: "bush", material: "sintered bronze" } as const;
    expect(ring(bush, { ...bush, material: "PA" })).toBe("possible");
    expect(ring(bush, { kind: "bush" })).toBe("possible");
    expect(ring(bush, bush)).toBe("drop-in");
  });
  it("glass-filled for plain nylon: a stronger fuse, and a file to its mate", () => {
    expect(toothMaterial("PA66", "PA66-GF30")?.verdict).toBe("settle");
    expect(toothMaterial("PA66-GF30", "PA6")?.verdict).toBe("settle");
    expect(toothMaterial("PA", "PA66")?.verdict).toBe("same");
  });
  it("a seal that touches instead of a shield: its speed is to be settled", () => {
    expect(ring({ closure: "2Z" }, { closure: "2RS" })).toBe("possible");
    expect(ring({ closure: "2Z" }, { closure: "2Z" })).toBe("drop-in");
  });
  it("a switch for less voltage or current burns; one whose old rating nobody read is asked about", () => {
    const offered = (volts: number, amps: number): PartSpec => ({ kind: "switch", volts, amps, poles: 2 });
    const was = (seen: Record<string, string>): WantedSizes => ({
      kind: "switch",
      sizes: { poles: 2 },
      seen,
    });
    const plate = was({ volts: "250 V~", amps: "16" });
    expect(sizes(plate, offered(125, 6))).toBe("no");
    expect(sizes(plate, offered(250, 6))).toBe("no");
    expect(sizes(plate, offered(250, 16))).toBe("drop-in");
    expect(sizes(plate, offered(400, 20))).toBe("drop-in");
    // of two that are printed the larger counts
    expect(sizes(was({ volts: "125/250 V", amps: "16(4)" }), offered(250, 6))).toBe("no");
    expect(sizes(was({ volts: "125/250 V", amps: "16(4)" }), offered(250, 16))).toBe("drop-in");
    expect(sizes(was({}), offered(250, 16))).toBe("possible");
  });
  it("a brush that is off by its tolerance exactly is within it", () => {
    expect(
      sizes(
        { kind: "brush", sizes: { lengthMm: 15, widthMm: 6.3, thicknessMm: 6.3 }, seen: {} },
        { kind: "brush", lengthMm: 15, widthMm: 6.4, thicknessMm: 6.3 },
      ),
    ).toBe("drop-in");
  });
});

describe("bevels", () => {
  const straight: ToothedSpec = {
    kind: "gear",
    form: "bevel",
    bevelTeeth: "straight",
    teeth: 14,
    moduleMm: 1.5,
    pressureAngleDeg: 20,
    helixAngleDeg: 0,
    mateTeeth: 28,
    mountingMm: 24,
    boreMm: 6,
    faceWidthMm: 8,
  };
  const wanted: WantedGear = { ...straight, profileShift: 0, mate: { teeth: 28 } };
  const offered = (more: Partial<GearSpec>, w: Partial<WantedGear> = {}) =>
    wholeVerdict(gearVerdict({ ...wanted, ...w }, { ...straight, ...more }, []));
  it("drop in only for the mate that they are cut for, at the old mounting distance", () => {
    expect(offered({})).toBe("drop-in");
    expect(offered({ mateTeeth: 35 })).toBe("no");
    expect(offered({ mateTeeth: undefined })).toBe("possible");
    expect(offered({}, { mate: undefined })).toBe("possible");
    expect(offered({ mountingMm: 23.4 })).toBe("with-rework");
    expect(offered({ mountingMm: 25 })).toBe("possible");
    expect(offered({ mountingMm: undefined })).toBe("possible");
  });
  it("a pair takes the mate out, and curved teeth do not run with a stranger", () => {
    expect(offered({ soldAs: "pair" })).toBe("with-companions");
    const spiral = { bevelTeeth: "spiral", hand: "left" } as const;
    expect(offered({ ...spiral, soldAs: "one" }, spiral)).toBe("possible");
    expect(offered({ ...spiral, soldAs: "pair" }, spiral)).toBe("with-companions");
  });
  it("of a pair under one number the other gear is compared too", () => {
    const pair = cataloguePart.parse({
      number: "BS-14-28",
      name: "bevel pair",
      spec: { ...straight, teeth: 28, mateTeeth: 14, soldAs: "pair" },
    });
    expect(rankCandidates({ kind: "gear", number: "BS-14-28" }, [pair])[0]?.verdict).toBe("with-companions");
    const pinion: WantedGear = {
      ...wanted,
      boreMm: undefined,
      faceWidthMm: undefined,
      mountingMm: undefined,
    };
    const [found] = rankCandidates({ kind: "gear", gear: pinion }, [pair]);
    expect(found?.criteria.find((c) => c.criterion === "teeth")?.verdict).toBe("same");
    expect(found?.criteria.find((c) => c.criterion === "cut for a mate of")?.verdict).toBe("same");
  });
});

describe("a gear whose teeth are right and whose body is another", () => {
  const spur: ToothedSpec = {
    kind: "gear",
    teeth: 30,
    moduleMm: 1,
    pressureAngleDeg: 20,
    helixAngleDeg: 0,
    profileShift: 0,
    boreMm: 8,
    boreForm: "D",
    acrossMm: 7,
    faceWidthMm: 10,
    hub: "one side",
    hubMm: 16,
    overallMm: 18,
    offsetMm: 8,
    secondTeeth: 12,
    secondModuleMm: 1,
    heat: "case-hardened",
    material: "steel",
  };
  const wanted: WantedGear = { ...spur, profileShift: 0 };
  const offered = (more: Partial<GearSpec>, w: Partial<WantedGear> = {}) =>
    wholeVerdict(gearVerdict({ ...wanted, ...w }, { ...spur, ...more }, []));
  it("drops in when all of it is the same", () => expect(offered({})).toBe("drop-in"));
  it("takes its old mate out where it is sold as a pair, whatever its form", () =>
    expect(offered({ soldAs: "pair" })).toBe("with-companions"));
  it.each<[string, Partial<GearSpec>, string]>([
    ["a D bore that is smaller is not reamed", { boreMm: 7.5 }, "no"],
    ["a flat that stands elsewhere does not drive", { acrossMm: 7.4 }, "no"],
    ["no hub where one held the pin", { hub: "none" }, "possible"],
    ["a thinner hub", { hubMm: 13 }, "possible"],
    ["a thicker hub is turned down", { hubMm: 18 }, "with-rework"],
    ["a hub that is longer", { overallMm: 20 }, "with-rework"],
    ["teeth that stand elsewhere along the shaft", { offsetMm: 5 }, "possible"],
    ["teeth that pass their mate by", { offsetMm: 19 }, "no"],
    ["another second rim", { secondTeeth: 13 }, "no"],
    ["no second rim told", { secondTeeth: undefined, secondModuleMm: undefined }, "possible"],
    ["a second rim of another size", { secondModuleMm: 0.8 }, "no"],
    ["teeth that are not hardened", { heat: "not hardened" }, "possible"],
    ["a material that is not told", { material: undefined }, "possible"],
  ])("%s", (_, more, verdict) => expect(offered(more)).toBe(verdict));
  it.each<[string, Partial<WantedGear>]>([
    ["a hub that nobody looked at", { hub: undefined }],
    ["a material that nobody said", { material: undefined }],
    ["a press fit, whose hundredths no caliper tells", { pressed: true }],
  ])("%s is asked about", (_, w) => expect(offered({}, w)).toBe("possible"));
  it("a round bore is reamed, a pressed one is not", () => {
    const round = { boreForm: "round", acrossMm: undefined } as const;
    const bore = (w: Partial<WantedGear>) =>
      gearVerdict({ ...wanted, ...round, ...w }, { ...spur, ...round, boreMm: 7.5 }, []).find(
        (c) => c.criterion === "bore",
      );
    expect(bore({})?.says).toBe("ream the bore from 7.5 to 8 mm");
    expect(bore({ pressed: true })).toMatchObject({
      verdict: "rework",
      says: expect.stringMatching(/press fit .* no reamer/),
    });
  });
});

describe("what is printed, not measured", () => {
  it("another play or cage inside a bearing is asked about", () => {
    expect(ring({ closure: "2RS", clearance: "C3" }, { closure: "2RS", clearance: "CN" })).toBe("possible");
    expect(ring({ closure: "2RS" }, { closure: "2RS", clearance: "C3" })).toBe("possible");
    expect(ring({ closure: "2RS", cage: "brass" }, { closure: "2RS", cage: "plastic" })).toBe("possible");
    expect(ring({}, { closure: "2RS" })).toBe("possible");
  });
  it("touching seals are refused at a speed that burns their lips", () => {
    expect(ring({ closure: "2Z", rpm: 28_000 }, { closure: "2RS" })).toBe("no");
    expect(ring({ closure: "2Z", rpm: 3000 }, { closure: "2RS" })).toBe("drop-in");
  });
  it.each<[string, WantedSizes, PartSpec, string]>([
    [
      "a brush of another grade",
      { kind: "brush", sizes: { lengthMm: 15, widthMm: 6, thicknessMm: 6 }, seen: { grade: "E43" } },
      { kind: "brush", lengthMm: 15, widthMm: 6, thicknessMm: 6, grade: "M9" },
      "possible",
    ],
    [
      "a fuse for more current",
      { kind: "fuse", sizes: {}, seen: { amps: "3.15 A", volts: "250 V", speed: "T" } },
      { kind: "fuse", amps: 5, volts: 250, speed: "T" },
      "no",
    ],
    [
      "a quick fuse for a slow one",
      { kind: "fuse", sizes: {}, seen: { amps: "3.15", volts: "250", speed: "T" } },
      { kind: "fuse", amps: 3.15, volts: 250, speed: "F" },
      "no",
    ],
    [
      "a cut-off that opens later",
      { kind: "thermal-cut-off", sizes: {}, seen: { celsius: "121 °C", amps: "10", volts: "250" } },
      { kind: "thermal-cut-off", celsius: 152, amps: 10, volts: 250 },
      "no",
    ],
    [
      "a cut-off that closes by itself",
      {
        kind: "thermal-cut-off",
        sizes: {},
        seen: { celsius: "121", amps: "10", volts: "250", resets: "never" },
      },
      { kind: "thermal-cut-off", celsius: 121, amps: 10, volts: 250, resets: "by itself" },
      "no",
    ],
    [
      "a capacitor of twice the capacitance",
      { kind: "capacitor", sizes: {}, seen: { microfarads: "0.1 µF", volts: "275" } },
      { kind: "capacitor", microfarads: 0.22, volts: 275 },
      "no",
    ],
    [
      "a capacitor of another class",
      { kind: "capacitor", sizes: {}, seen: { microfarads: "0.1", volts: "275", class: "X1" } },
      { kind: "capacitor", microfarads: 0.1, volts: 275, class: "X2" },
      "possible",
    ],
    [
      "a heater for half the voltage",
      { kind: "heater", sizes: {}, seen: { volts: "230 V", watts: "800 W" } },
      { kind: "heater", volts: 115, watts: 800 },
      "no",
    ],
    [
      "a board of another revision",
      { kind: "board", sizes: {}, seen: { marking: "PL-22", revision: "B" } },
      { kind: "board", marking: "PL-22", revision: "C" },
      "possible",
    ],
    [
      "a switch whose form nobody looked at",
      { kind: "switch", sizes: { poles: 2 }, seen: { volts: "250", amps: "16" } },
      { kind: "switch", volts: 250, amps: 16, poles: 2, form: "rocker" },
      "possible",
    ],
  ])("%s", (_, w, p, verdict) => expect(sizes(w, p)).toBe(verdict));
  it("a fuse and a cut-off of the figures that were printed drop in", () => {
    const fuse = {
      kind: "fuse",
      sizes: {},
      seen: { amps: "T 3.15 A", volts: "250 V~", speed: "T" },
    } as const;
    expect(sizes(fuse, { kind: "fuse", amps: 3.15, volts: 250, speed: "T" })).toBe("drop-in");
    const link = { celsius: "121 °C", amps: "10 A", volts: "250 V", resets: "never" };
    expect(
      sizes(
        { kind: "thermal-cut-off", sizes: {}, seen: link },
        { kind: "thermal-cut-off", celsius: 121, amps: 15, volts: 250, resets: "never" },
      ),
    ).toBe("drop-in");
  });
  it("a heater within a tenth is the same", () => {
    expect(
      sizes(
        { kind: "heater", sizes: {}, seen: { volts: "230", watts: "800" } },
        { kind: "heater", volts: 240, watts: 850 },
      ),
    ).toBe("drop-in");
  });
});

describe("a rating as it is printed", () => {
  it.each<[string, "A" | "V" | "W" | "µF" | "°C", number]>([
    ["T 315 mA", "A", 0.315],
    ["F500mA", "A", 0.5],
    ["3.15", "A", 3.15],
    ["16(4) A", "A", 16],
    ["1,2 kW", "W", 1200],
    ["220-240 V~", "V", 240],
    ["100 nF", "µF", 0.1],
    ["100n", "µF", 0.1],
    ["4700pF", "µF", 0.0047],
    ["0,1 µF", "µF", 0.1],
    ["0.22", "µF", 0.22],
    ["121 °C", "°C", 121],
  ])("%s in %s is %f", (says, unit, is) => expect(ratingPrinted(says, unit)).toBe(is));
  it("a fuse of 315 mA is none of 3.15 A", () => {
    const was = { kind: "fuse", sizes: {}, seen: { amps: "315 mA", volts: "250", speed: "T" } } as const;
    expect(sizes(was, { kind: "fuse", amps: 0.315, volts: 250, speed: "T" })).toBe("drop-in");
    expect(sizes(was, { kind: "fuse", amps: 3.15, volts: 250, speed: "T" })).toBe("no");
  });
  it("a board is compared by what is printed on it; one that a table calls other is found by its name", () => {
    const board = cataloguePart.parse({
      number: "B-1",
      name: "control board",
      spec: { kind: "board", marking: "PL-22" },
    });
    const old = cataloguePart.parse({ ...board, number: "B-0", spec: { kind: "other" } });
    const wanted = {
      kind: "board",
      name: "control board",
      sizes: { kind: "board", sizes: {}, seen: { marking: "PL 22" } },
    } as const;
    const found = rankCandidates(wanted, [board, old]);
    expect(found.map((c) => [c.part.number, c.verdict])).toEqual([
      ["B-1", "drop-in"],
      ["B-0", "possible"],
    ]);
  });
});

describe("one number", () => {
  const wheel = cataloguePart.parse({
    number: "W-2210",
    name: "wheel",
    spec: { kind: "gear", teeth: 30, moduleMm: 1, boreMm: 8, faceWidthMm: 10, material: "POM" },
  });
  const gear: WantedGear = {
    teeth: 30,
    moduleMm: 1,
    pressureAngleDeg: 20,
    helixAngleDeg: 0,
    profileShift: 0,
  };
  it("stands for what was not measured, and not for what was found to be otherwise", () => {
    expect(rankCandidates({ kind: "gear", gear }, [wheel])[0]?.verdict).toBe("possible");
    expect(rankCandidates({ kind: "gear", gear, number: "w 2210" }, [wheel])[0]?.verdict).toBe("drop-in");
    expect(
      rankCandidates({ kind: "gear", gear: { ...gear, boreMm: 6 }, number: "W-2210" }, [wheel])[0]?.verdict,
    ).toBe("no");
  });
  it("finds a gear whose tooth nobody measured", () => {
    const untold = cataloguePart.parse({ number: "W-9", name: "wheel", spec: { kind: "gear" } });
    const found = rankCandidates({ kind: "gear", gear, number: "W-9" }, [untold])[0];
    expect(found?.verdict).toBe("drop-in");
    expect(found?.criteria.find((c) => c.criterion === "tooth")?.offered).toBe("not told");
  });
});
