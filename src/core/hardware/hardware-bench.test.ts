import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Fault, readWith } from "../fault";
import { bearingSleeve } from "./bearing-sleeve";
import { BEARINGS } from "./bearings";
import { hardwareInput, identifyHardware } from "./identify-hardware";
import { O_RINGS, squeeze } from "./o-rings";
import { CIRCLIPS, PUNCHES, punchesFor, SPRING_PINS } from "./pins-and-clips";
import { stressArea, THREADS, threadNamed } from "./threads";
import { tighteningTorque } from "./tightening-torque";

const first = (input: Parameters<typeof identifyHardware>[0]) => identifyHardware(input).hypotheses[0];

describe("tables against their standards", () => {
  it("metric stress areas are those printed in ISO 898-1", () => {
    const printed = {
      M3: 5.03,
      "M3.5": 6.78,
      M4: 8.78,
      M5: 14.2,
      M6: 20.1,
      M8: 36.6,
      M10: 58,
      M12: 84.3,
      "M8×1": 39.2,
      "M10×1": 64.5,
      "M10×1.25": 61.2,
      "M12×1.25": 92.1,
      "M12×1.5": 88.1,
    };
    for (const [name, area] of Object.entries(printed)) expect(Math.abs(stressArea(threadNamed(name) ?? expect.fail(name)) / area - 1)).toBeLessThan(0.006);
  });
  it("unified: a numbered screw is 0.060 + 0.013 n inch; #10 is 4.826 mm", () => {
    expect(threadNamed("#10-24")?.diameterMm).toBeCloseTo(4.826, 3);
    expect(threadNamed("#4-40")?.diameterMm).toBeCloseTo(2.845, 3);
    for (const t of THREADS) if (t.perInch) expect(t.pitchMm * t.perInch).toBeCloseTo(25.4, 9);
  });
  it("unified: the spindles and chucks of power tools, and their fine neighbours, with the stress areas of ASME B1.1, in²", () => {
    const printed = {
      "5/16-24": 0.058,
      "3/8-24": 0.0878,
      "1/2-13": 0.1419,
      "1/2-20": 0.1599,
      "5/8-11": 0.226,
      "#12-24": 0.0242,
      "#5-40": 0.00796,
      "#2-56": 0.0037,
    };
    for (const [name, area] of Object.entries(printed))
      expect(Math.abs(stressArea(threadNamed(name) ?? expect.fail(name)) / 25.4 ** 2 / area - 1)).toBeLessThan(0.006);
    expect(stressArea(threadNamed("M14") ?? expect.fail("M14"))).toBeCloseTo(115.4, 0);
  });
  it("tapping: the pitches of ISO 1478, rounded as it prints them", () => {
    expect(THREADS.filter((t) => t.system === "tapping").map((t) => [t.designation, Math.round(t.pitchMm * 10) / 10])).toEqual([
      ["ST2.2", 0.8],
      ["ST2.9", 1.1],
      ["ST3.5", 1.3],
      ["ST3.9", 1.3],
      ["ST4.2", 1.4],
      ["ST4.8", 1.6],
      ["ST5.5", 1.8],
      ["ST6.3", 1.8],
    ]);
  });
  it("coarse pitches are those of the tap drills in every workshop's table: drill = d − P, to its tenth", () => {
    const drills = {
      "M1.4": 1.1,
      "M1.6": 1.25,
      M2: 1.6,
      "M2.5": 2.05,
      "M2.6": 2.15,
      M3: 2.5,
      "M3.5": 2.9,
      M4: 3.3,
      M5: 4.2,
      M6: 5,
      M8: 6.8,
      M10: 8.5,
      M12: 10.2,
      M14: 12,
    };
    const coarse = THREADS.filter((t) => t.system === "metric");
    expect(coarse.map((t) => t.designation)).toEqual(Object.keys(drills));
    for (const t of coarse) expect(Math.abs(t.diameterMm - t.pitchMm - drills[t.designation as keyof typeof drills])).toBeLessThan(0.051);
  });
  it("spring pins stand over their hole, and no two free sizes overlap", () => {
    SPRING_PINS.forEach((p, i) => {
      expect(p.freeLeastMm).toBeGreaterThan(p.nominalMm);
      if (i) expect(p.freeLeastMm).toBeGreaterThan(SPRING_PINS[i - 1]?.freeMostMm ?? 0);
    });
  });
  it("circlips: a shaft's groove lies in, a bore's out, deeper as they grow", () => {
    for (const c of CIRCLIPS) {
      const depth = Math.abs(c.nominalMm - c.grooveMm);
      expect(c.standard === "DIN 471" ? c.grooveMm < c.nominalMm : c.grooveMm > c.nominalMm).toBe(true);
      expect(depth).toBeGreaterThan(0.02 * c.nominalMm);
      expect(depth).toBeLessThan(0.08 * c.nominalMm);
    }
  });
  it("O-rings: the numbers of ISO 3601 whose inside diameters every list prints", () => {
    const inside = (n: string) => O_RINGS.find((o) => o.designation === n)?.insideMm;
    expect(inside("011")).toBeCloseTo(7.65, 1);
    expect(inside("016")).toBeCloseTo(15.6, 1);
    expect(inside("028")).toBeCloseTo(34.65, 1);
    expect(inside("112")).toBeCloseTo(12.37, 1);
    expect(inside("130")).toBeCloseTo(40.94, 1);
    expect(inside("214")).toBeCloseTo(24.99, 1);
    expect(inside("222")).toBeCloseTo(37.69, 1);
    expect([...new Set(O_RINGS.filter((o) => o.series === "ISO 3601").map((o) => Math.round(o.sectionMm * 100) / 100))]).toEqual([1.78, 2.62, 3.53]);
  });
  it("a thread is found by the ways it is written", () => {
    expect(threadNamed("m4x0.7")?.designation).toBe("M4");
    expect(threadNamed("M8×1")?.pitchMm).toBe(1);
    expect(threadNamed("1/4-20")?.designation).toBe("¼-20");
    expect(threadNamed("st3,5")?.designation).toBe("ST3.5");
    expect(threadNamed("M7")).toBeUndefined();
  });
});

describe("naming hardware", () => {
  it("every bearing is named again from its three sizes, and from readings a few hundredths off", () => {
    fc.assert(
      fc.property(fc.constantFrom(...BEARINGS), fc.integer({ min: -4, max: 4 }), fc.integer({ min: -4, max: 4 }), (b, x, y) => {
        const best = first({ kind: "bearing", bore: b.boreMm + x / 100, outside: b.outsideMm + y / 100, width: b.widthMm });
        expect(best?.name).toBe(b.designation);
        expect(best?.probability).toBeGreaterThan(0.95);
      }),
    );
  });
  it("two sizes may leave it open, and then it says so", () => {
    const open = identifyHardware({ kind: "bearing", bore: 12 }).hypotheses;
    expect(open.length).toBeGreaterThan(3);
    expect(open[0]?.probability).toBeLessThan(0.5);
  });
  it("what is no standard size is said to be none", () => {
    expect(identifyHardware({ kind: "bearing", bore: 9.4, outside: 23.1, width: 6.4 }).none).toBeGreaterThan(0.95);
  });
  it("a worn screw is named by its pitch: 3.87 mm at 0.7 is M4, at 0.794 it is #8-32", () => {
    expect(first({ kind: "thread", diameter: 3.87, pitchOver: { threads: 10, value: 7.02 } })?.name).toBe("M4");
    expect(first({ kind: "thread", diameter: 4.07, pitchOver: { threads: 10, value: 7.95 } })?.name).toBe("#8-32");
    expect(first({ kind: "thread", diameter: 3.42, pitch: 1.27, pointed: true })?.name).toBe("ST3.5");
    // M3.5 and ST3.5 share the diameter: the pitch decides
    expect(first({ kind: "thread", diameter: 3.41, pitch: 0.6 })?.name).toBe("M3.5");
  });
  it("every thread is named from a sound screw's diameter and ten pitches", () => {
    for (const t of THREADS)
      expect([t.designation, first({ kind: "thread", diameter: t.diameterMm - 0.08, pitchOver: { threads: 10, value: 10 * t.pitchMm } })?.name]).toEqual([
        t.designation,
        t.designation,
      ]);
  });
  it("a spring pin is named from the pin or from its hole, with its punch", () => {
    const pin = first({ kind: "pin", diameter: 3.36 });
    expect(pin?.name).toBe("spring pin 3");
    expect(pin?.notes[0]).toMatch(/2\.9 mm or 3\/32 in punch/);
    expect(first({ kind: "pin", hole: 5.02 })?.name).toBe("spring pin 5");
  });
  it("punches go in, and are not much smaller", () => {
    for (const { nominalMm } of SPRING_PINS) {
      const punches = punchesFor(nominalMm);
      expect(punches.length).toBeGreaterThan(0);
      for (const p of punches) expect(p.mm).toBeLessThan(nominalMm);
    }
    expect(PUNCHES.filter((p) => p.says === "1/8 in")[0]?.mm).toBeCloseTo(3.175, 9);
  });
  it("a circlip by its shaft, its bore or its groove; by thickness alone it asks for more", () => {
    expect(first({ kind: "circlip", shaft: 14.98 })?.name).toBe("circlip 15, DIN 471");
    expect(first({ kind: "circlip", bore: 22.02 })?.name).toBe("circlip 22, DIN 472");
    expect(first({ kind: "circlip", groove: 28.62, thickness: 1.5 })?.name).toBe("circlip 30, DIN 471");
    expect(() => identifyHardware({ kind: "circlip", thickness: 1 })).toThrow(/share one thickness/);
  });
  it("an O-ring, with the squeeze its groove gives", () => {
    const ring = first({ kind: "o-ring", inside: 12.4, section: 2.6, grooveDepth: 2.05 });
    expect(ring?.name).toBe("O-ring ISO 3601 112 (12.37 × 2.62)");
    expect(ring?.notes[0]).toMatch(/22 % squeeze: right/);
    expect(first({ kind: "o-ring", inside: 20.1, section: 2.02 })?.name).toBe("O-ring 20 × 2");
    expect(squeeze(2, 1.9).says).toMatch(/too little/);
    expect(squeeze(2, 1.2).says).toMatch(/too much/);
    expect(squeeze(2, 2).says).toMatch(/does not seal/);
  });
  it("asks for what it needs, and refuses what it cannot read", () => {
    expect(() => identifyHardware({ kind: "bearing" })).toThrow(/best all three/);
    expect(() => readWith(hardwareInput, { kind: "cheese" })).toThrow(Fault);
    expect(() => readWith(hardwareInput, { kind: "pin", diameter: -1 })).toThrow(/above 0 mm/);
  });
});

describe("a sleeve for a bearing", () => {
  it("608 on its inner ring: at most 12.1 mm outside", () => {
    expect(bearingSleeve(BEARINGS.find((b) => b.designation === "608") ?? expect.fail(), "inner").outsideMm[1]).toBe(12.1);
  });
  it("bears on one ring alone, for every bearing", () => {
    for (const b of BEARINGS) {
      const mean = (b.boreMm + b.outsideMm) / 2;
      const inner = bearingSleeve(b, "inner");
      expect(inner.boreMm[0]).toBeGreaterThan(b.boreMm);
      expect(inner.boreMm[1]).toBeLessThan(inner.outsideMm[0]);
      expect(inner.outsideMm[0]).toBeLessThan(inner.outsideMm[1]);
      expect(inner.outsideMm[1]).toBeLessThan(mean);
      const outer = bearingSleeve(b, "outer");
      expect(outer.outsideMm[1]).toBeLessThan(b.outsideMm);
      expect(outer.boreMm[0]).toBeGreaterThan(mean);
      expect(outer.boreMm[1]).toBeLessThan(outer.outsideMm[0]);
    }
  });
});

describe("tightening", () => {
  it("M6 8.8 into steel, dry: 10.5 N m, which is what tables print", () => {
    expect(tighteningTorque({ thread: "M6", grade: "8.8", into: "steel" }).torqueNm).toBeCloseTo(10.5, 1);
    expect(tighteningTorque({ thread: "M6", grade: "8.8", into: "steel", oiled: true }).torqueNm).toBeCloseTo(10.5 * 0.8, 1);
  });
  it("into plastic or an insert the boss decides", () => {
    expect(tighteningTorque({ thread: "M4", grade: "8.8", into: "brass-insert" })).toMatchObject({ torqueNm: 1.2, school: "capped" });
    expect(tighteningTorque({ thread: "ST3.5", into: "plastic" })).toMatchObject({ torqueNm: 1, school: "capped" });
  });
  it("where no figure is known it says feel, not a number", () => {
    expect(tighteningTorque({ thread: "ST2.2", into: "plastic" })).toMatchObject({ torqueNm: null, school: "feel" });
    expect(tighteningTorque({ thread: "M8", grade: "8.8", into: "plastic" })).toMatchObject({ torqueNm: null, school: "feel" });
  });
  it("the maker's figure stands above the formula; an unknown grade is taken as the weakest", () => {
    expect(tighteningTorque({ thread: "M5", into: "steel", makersNm: 4 })).toMatchObject({ torqueNm: 4, school: "maker" });
    expect(tighteningTorque({ thread: "M5", into: "steel" }).torqueNm).toBe(tighteningTorque({ thread: "M5", grade: "4.8", into: "steel" }).torqueNm);
    expect(tighteningTorque({ thread: "M5", into: "aluminium", grade: "8.8" }).torqueNm ?? 0).toBeLessThan(
      tighteningTorque({ thread: "M5", into: "steel", grade: "8.8" }).torqueNm ?? 0,
    );
  });
  it("refuses a thread nobody knows, with how to write one", () => {
    expect(() => tighteningTorque({ thread: "M7.3", into: "steel" })).toThrow(/write it like M4/);
  });
  it("grows with grade and size", () => {
    const metric = THREADS.filter((t) => t.system === "metric");
    fc.assert(
      fc.property(fc.integer({ min: 0, max: metric.length - 2 }), (i) => {
        const at = (k: number, grade: "4.8" | "8.8") => tighteningTorque({ thread: metric[k]?.designation ?? "", grade, into: "steel" }).torqueNm ?? 0;
        return at(i + 1, "8.8") > at(i, "8.8") && at(i, "8.8") >= at(i, "4.8");
      }),
    );
  });
});
