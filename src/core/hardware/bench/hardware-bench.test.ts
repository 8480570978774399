import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Fault, readWith } from "../../fault";
import { bearingClosure } from "./bearing-closure";
import { bearingSleeve, tightRing } from "./bearing-sleeve";
import { BEARINGS, bearingNamed } from "./bearings";
import { hardwareInput, identifyHardware } from "./identify-hardware";
import { squeeze } from "./o-rings";
import { PINS } from "./pins";
import { PUNCHES, punchesFor } from "./punches";
import { THREADS } from "./threads";
import { GRADES, inOtherUnits, tighteningTorque } from "./tightening-torque";

const first = (input: Parameters<typeof identifyHardware>[0]) => identifyHardware(input).hypotheses[0];

describe("naming hardware", () => {
  it("every bearing is named again from its three sizes, and from readings a few hundredths off", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...BEARINGS),
        fc.integer({ min: -4, max: 4 }),
        fc.integer({ min: -4, max: 4 }),
        (b, x, y) => {
          const best = first({
            kind: "bearing",
            bore: b.boreMm + x / 100,
            outside: b.outsideMm + y / 100,
            width: b.widthMm,
          });
          expect(best?.name).toBe(`${b.designation}${b.closedWidthMm ? ", open" : ""}`);
          expect(best?.probability).toBeGreaterThan(0.9);
        },
      ),
    );
  });
  it("two sizes may leave it open, and then it says so", () => {
    const open = identifyHardware({ kind: "bearing", bore: 12 }).hypotheses;
    expect(open.length).toBeGreaterThan(3);
    expect(open[0]?.probability).toBeLessThan(0.5);
  });
  it("what is no standard size is said to be none", () => {
    expect(identifyHardware({ kind: "bearing", bore: 9.4, outside: 23.1, width: 6.4 }).none).toBeGreaterThan(
      0.95,
    );
  });
  it("a worn screw is named by its pitch: 3.87 mm at 0.7 is M4, at 0.794 it is #8-32", () => {
    expect(first({ kind: "thread", diameter: 3.87, pitchOver: { threads: 10, value: 7.02 } })?.name).toBe(
      "M4",
    );
    expect(first({ kind: "thread", diameter: 4.07, pitchOver: { threads: 10, value: 7.95 } })?.name).toBe(
      "#8-32",
    );
    expect(first({ kind: "thread", diameter: 3.42, pitch: 1.27, pointed: true })?.name).toBe("ST3.5");
    // M3.5 and ST3.5 share the diameter: the pitch decides
    expect(first({ kind: "thread", diameter: 3.41, pitch: 0.6 })?.name).toBe("M3.5");
  });
  it("every thread is named from a sound screw's diameter and ten pitches, beside its twin of another flank", () => {
    for (const t of THREADS) {
      const named = identifyHardware({
        kind: "thread",
        diameter: t.diameterMm - 0.08,
        pitchOver: { threads: 10, value: 10 * t.pitchMm },
      }).hypotheses.map((h) => h.name);
      // #5-40 and 1/8 BSW are of one size: no caliper tells their flanks apart
      const twins = THREADS.filter(
        (x) => Math.abs(x.diameterMm - t.diameterMm) < 0.12 && Math.abs(x.pitchMm - t.pitchMm) < 0.02,
      ).map((x) => x.designation);
      expect(twins).toContain(named[0]);
      expect(named.slice(0, 3)).toContain(t.designation);
    }
  });
  it("a spring pin is named from the pin or from its hole, with its punch", () => {
    const pin = first({ kind: "pin", diameter: 3.36 });
    expect(pin?.name).toBe("spring pin 3");
    expect(pin?.notes[0]).toMatch(/2\.9 mm or 3\/32 in punch/);
    expect(first({ kind: "pin", hole: 5.02 })?.name).toBe("spring pin 5");
  });
  it("punches go in, and are not much smaller", () => {
    for (const { nominalMm } of PINS) {
      const punches = punchesFor(nominalMm);
      expect(punches.length).toBeGreaterThan(0);
      for (const p of punches) expect(p.mm).toBeLessThan(nominalMm);
    }
    expect(PUNCHES.filter((p) => p.says === "1/8 in")[0]?.mm).toBeCloseTo(3.175, 9);
  });
  it("a dowel is told from a spring pin by its measure, a coiled one by its look; what holds it back is said", () => {
    expect(first({ kind: "pin", diameter: 4.01 })?.name).toBe("dowel pin 4 m6");
    expect(first({ kind: "pin", diameter: 4.3, form: "coiled" })?.name).toBe("coiled spring pin 4");
    expect(first({ kind: "pin", diameter: 4.5 })?.name).toBe("spring pin 4");
    expect(first({ kind: "pin", hole: 6.35, diameter: 6.63, form: "slotted" })?.name).toBe(
      "spring pin 1/4 in",
    );
    expect(first({ kind: "pin", diameter: 4.01 })?.notes.join(" ")).toMatch(/no spring pin in its stead/);
  });
  it("an E-ring by its groove, with the way it comes off", () => {
    const ring = first({ kind: "circlip", groove: 5.0, thickness: 0.7, outside: 11.3 });
    expect(ring?.name).toBe("E-ring 5, DIN 6799");
    expect(ring?.notes[0]).toMatch(/Eyes: it jumps\. Pushed off from behind/);
    expect(first({ kind: "circlip", shaft: 3.99, groove: 3.8 })?.name).toBe("circlip 4, DIN 471");
  });
  it("a belt by its pitch and the height of its teeth; where two profiles share a pitch the flank is what tells them", () => {
    expect(first({ kind: "belt", pitchOverTen: 50.1, toothHeight: 2.05 })?.name).toBe("toothed belt 5M");
    expect(first({ kind: "belt", pitchOverTen: 50.1, flank: "straight", toothHeight: 1.2 })?.name).toBe(
      "toothed belt T5",
    );
    const both = identifyHardware({ kind: "belt", pitchOverTen: 50 }).hypotheses;
    expect(
      both
        .slice(0, 2)
        .map((h) => h.name)
        .sort(),
    ).toEqual(["toothed belt 5M", "toothed belt T5"]);
    expect(both[0]?.probability).toBeLessThan(0.7);
    expect(first({ kind: "belt", shape: "ribbed", pitchOverTen: 23.5, width: 14.1 })?.notes[0]).toMatch(
      /About 6 ribs/,
    );
    expect(first({ kind: "belt", shape: "toothed", pitchOverTen: 30, teeth: 112 })?.notes[0]).toMatch(
      /pitch length 336 mm/,
    );
    expect(first({ kind: "belt", top: 10.1, height: 5.9 })?.name).toBe("V-belt Z");
  });
  it("a bearing that turned with its shaft is pressed on its inner ring, one in a wheel on its outer; a needle cup has no sleeve", () => {
    expect([tightRing("shaft"), tightRing("wheel")]).toEqual(["inner", "outer"]);
    const of = (turns: "shaft" | "wheel") =>
      first({ kind: "bearing", bore: 8, outside: 22, width: 7, turns });
    expect([of("shaft")?.sleeves?.map((s) => s.ring), of("wheel")?.sleeves?.map((s) => s.ring)]).toEqual([
      ["inner"],
      ["outer"],
    ]);
    expect(of("wheel")?.notes.join(" ")).toMatch(/turns on a fixed axle/);
    const cup = first({ kind: "bearing", bore: 10, outside: 14, width: 12 });
    expect([cup?.name, cup?.sleeves]).toEqual(["HK1012", undefined]);
  });
  it("a thin one has two widths, and says which", () => {
    expect(first({ kind: "bearing", bore: 5, outside: 11, width: 5 })?.name).toBe("685, closed");
    expect(first({ kind: "bearing", bore: 5, outside: 11, width: 3 })?.name).toBe("685, open");
    expect([bearingNamed("685ZZ")?.widthMm, bearingNamed("685 open")?.widthMm]).toEqual([5, 3]);
  });
  it("suffixes of every maker are read as what they are; a clearance says nothing of the closure", () => {
    const rubs = (s: string) => [bearingClosure(s)?.as, bearingClosure(s)?.rubs];
    expect(["2RS1", "DDU", "LLU", "2RSR", "2NSE", "RS"].map(rubs)).toEqual([["2RS", "yes"], ["2RS", "yes"], ["2RS", "yes"], ["2RS", "yes"], ["2RS", "yes"], ["RS", "yes"]]); // biome-ignore format: a row
    expect(["VV", "LLB", "2RZ", "2RU"].map(rubs)).toEqual(Array(4).fill(["2RZ", "no"]));
    expect(["ZZ", "2Z", "Z", "2ZR"].map((s) => bearingClosure(s)?.as)).toEqual(["2Z", "2Z", "Z", "2Z"]);
    expect(bearingClosure("2RSL")?.rubs).toBe("lightly");
    expect(["C3", "TN9", "P5", "MT"].map((s) => bearingClosure(s))).toEqual([null, null, null, null]);
    expect(bearingNamed("6201DDU C3")).toMatchObject({ designation: "6201", closure: "2RS" });
    expect(bearingNamed("6201 C3")?.closure).toBeUndefined();
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
  it("608 on its inner ring: at most 12 mm outside, and less where a seal is in the way", () => {
    expect(
      bearingSleeve(BEARINGS.find((b) => b.designation === "608") ?? expect.fail(), "inner").outsideMm[1],
    ).toBe(12.05);
  });
  it("clears the seal of a closed one: what a 608's and a 6001's seal leave free is less than what the open ones show", () => {
    // faces left free as data sheets print them, mm: 608 10.5 to 19.2, 6001 16 to 24.7, 6203 22.4 to 35
    const free = [["608", 10.55, 19.2], ["6001", 16, 24.65], ["6203", 22.4, 35]] as const; // biome-ignore format: a table
    for (const [name, inner, outer] of free) {
      const b = BEARINGS.find((x) => x.designation === name) ?? expect.fail(name);
      expect(bearingSleeve(b, "inner", true).outsideMm[1]).toBeLessThanOrEqual(inner);
      expect(bearingSleeve(b, "outer", true).boreMm[0]).toBeGreaterThanOrEqual(outer);
    }
  });
  it.each([false, true])("bears on one ring alone, for every bearing (closed: %s)", (closed) => {
    for (const b of BEARINGS.filter((x) => x.type === "deep-groove ball")) {
      const mean = (b.boreMm + b.outsideMm) / 2;
      const inner = bearingSleeve(b, "inner", closed);
      expect(inner.boreMm[0]).toBeGreaterThan(b.boreMm);
      expect(inner.boreMm[1]).toBeLessThan(inner.outsideMm[0]);
      expect(inner.outsideMm[0]).toBeLessThan(inner.outsideMm[1]);
      expect(inner.outsideMm[1]).toBeLessThan(mean);
      const outer = bearingSleeve(b, "outer", closed);
      expect(outer.outsideMm[1]).toBeLessThan(b.outsideMm);
      expect(outer.boreMm[0]).toBeGreaterThan(mean);
      expect(outer.boreMm[1]).toBeLessThan(outer.outsideMm[0]);
    }
  });
});

describe("tightening", () => {
  it("M6 8.8 into steel, dry: 10.5 N m, which is what tables print", () => {
    expect(tighteningTorque({ thread: "M6", grade: "8.8", into: "steel" }).torqueNm).toBeCloseTo(10.5, 1);
    expect(tighteningTorque({ thread: "M6", grade: "8.8", into: "steel", oiled: true }).torqueNm).toBeCloseTo(
      10.5 * 0.8,
      1,
    );
  });
  it("into plastic or an insert the boss decides", () => {
    expect(tighteningTorque({ thread: "M4", grade: "8.8", into: "brass-insert" })).toMatchObject({
      torqueNm: 1.2,
      school: "capped",
    });
    expect(tighteningTorque({ thread: "ST3.5", into: "plastic" })).toMatchObject({
      torqueNm: 1,
      school: "capped",
    });
  });
  it("a machine thread cut straight into plastic stands less than an insert; a soft metal less than steel, magnesium least", () => {
    const nm = (into: Parameters<typeof tighteningTorque>[0]["into"]) =>
      tighteningTorque({ thread: "M4", grade: "8.8", into }).torqueNm ?? 0;
    expect(nm("plastic")).toBe(0.6);
    expect(nm("plastic")).toBeLessThan(nm("brass-insert"));
    expect(nm("magnesium")).toBeLessThan(nm("zinc"));
    expect(nm("zinc")).toBe(nm("aluminium"));
    expect(nm("aluminium")).toBeLessThan(nm("steel"));
  });
  it("grades stand in the order of their proof stress", () => {
    const nm = (grade: (typeof GRADES)[number]) =>
      tighteningTorque({ thread: "M6", grade, into: "steel" }).torqueNm ?? 0;
    expect([...GRADES].sort((a, b) => nm(a) - nm(b))).toEqual([
      "4.8",
      "SAE 2",
      "A2-70",
      "8.8",
      "SAE 5",
      "A4-80",
      "SAE 8",
      "10.9",
      "12.9",
    ]);
    // printed for M6 10.9 and 12.9 at a friction like ours: about 15 and 18 N m
    expect([nm("10.9"), nm("12.9")].map(Math.round)).toEqual([15, 18]);
  });
  it("a maker's figure far from what the thread stands is asked about, with the unit it may have been meant in", () => {
    const doubt = (makersNm: number, thread = "M4", into: "steel" | "plastic" = "steel") =>
      tighteningTorque({ thread, into, makersNm }).doubt;
    expect(doubt(1.5)).toBeUndefined();
    expect(doubt(15)).toMatch(/times what M4 stands.*15 in-lb, which is 1\.69 N m/);
    expect(doubt(150)).toMatch(/150 N cm, which is 1\.50 N m/);
    expect(doubt(0.1)).toMatch(/only 6 % of/);
    expect(tighteningTorque({ thread: "M4", into: "steel", makersNm: 15 }).torqueNm).toBe(15);
  });
  it("by angle: to snug or to the maker's figure, then so far", () => {
    expect(
      tighteningTorque({ thread: "M8", grade: "10.9", into: "steel", makersNm: 10, makersAngleDeg: 90 }),
    ).toMatchObject({ torqueNm: 10, school: "angle" });
    const snug = tighteningTorque({ thread: "M8", grade: "10.9", into: "steel", makersAngleDeg: 60 });
    expect([snug.torqueNm, snug.reasons[0]?.says]).toEqual([
      null,
      expect.stringMatching(/bring it to snug \(about .*turn 60° more \(1\/6 turn\)/),
    ]);
    expect(inOtherUnits(1.2)).toBe("120 N cm · 10.6 in-lb");
  });
  it("where no figure is known it says feel, not a number", () => {
    expect(tighteningTorque({ thread: "ST2.2", into: "plastic" })).toMatchObject({
      torqueNm: null,
      school: "feel",
    });
    expect(tighteningTorque({ thread: "M8", grade: "8.8", into: "plastic" })).toMatchObject({
      torqueNm: null,
      school: "feel",
    });
  });
  it("the maker's figure stands above the formula; an unknown grade is taken as the weakest", () => {
    expect(tighteningTorque({ thread: "M5", into: "steel", makersNm: 4 })).toMatchObject({
      torqueNm: 4,
      school: "maker",
    });
    expect(tighteningTorque({ thread: "M5", into: "steel" }).torqueNm).toBe(
      tighteningTorque({ thread: "M5", grade: "4.8", into: "steel" }).torqueNm,
    );
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
        const at = (k: number, grade: "4.8" | "8.8") =>
          tighteningTorque({ thread: metric[k]?.designation ?? "", grade, into: "steel" }).torqueNm ?? 0;
        return at(i + 1, "8.8") > at(i, "8.8") && at(i, "8.8") >= at(i, "4.8");
      }),
    );
  });
});
