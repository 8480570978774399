import { describe, expect, it } from "vitest";
import { BEARINGS } from "./bearings";
import { BELTS } from "./belts";
import { CIRCLIPS, pliersFor } from "./clips";
import { O_RINGS } from "./o-rings";
import { PINS } from "./pins";
import { stressArea, THREADS, threadNamed } from "./threads";

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
    for (const [name, area] of Object.entries(printed))
      expect(Math.abs(stressArea(threadNamed(name) ?? expect.fail(name)) / area - 1)).toBeLessThan(0.006);
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
      expect(
        Math.abs(stressArea(threadNamed(name) ?? expect.fail(name)) / 25.4 ** 2 / area - 1),
      ).toBeLessThan(0.006);
    expect(stressArea(threadNamed("M14") ?? expect.fail("M14"))).toBeCloseTo(115.4, 0);
  });
  it("BA: number, diameter and pitch as BS 93 prints them, mm", () => {
    const printed = "0 6 1;1 5.3 0.9;2 4.7 0.81;3 4.1 0.73;4 3.6 0.66;5 3.2 0.59;6 2.8 0.53;7 2.5 0.48;8 2.2 0.43;9 1.9 0.39;10 1.7 0.35"; // biome-ignore format: a table
    for (const row of printed.split(";")) {
      const [n, d, p] = row.split(" ").map(Number);
      expect(threadNamed(`${n}ba`)).toMatchObject({ diameterMm: d, pitchMm: p });
    }
  });
  it("Whitworth: threads an inch of BS 84, and the area of 1/4 BSW and 3/8 BSF, in²", () => {
    expect(threadNamed("1/4 Whitworth")?.designation).toBe("1/4 BSW");
    expect(threadNamed("1/2 BSW")?.perInch).toBe(12);
    expect(threadNamed("1/2-13")?.perInch).toBe(13);
    for (const [name, core, pitch] of [
      ["1/4 BSW", 0.186, 0.218],
      ["3/8 BSF", 0.311, 0.343],
    ] as const) {
      const area = (Math.PI / 4) * ((core + pitch) / 2) ** 2;
      expect(
        Math.abs(stressArea(threadNamed(name) ?? expect.fail(name)) / 25.4 ** 2 / area - 1),
      ).toBeLessThan(0.006);
    }
  });
  it("tapping: the pitches of ISO 1478, rounded as it prints them", () => {
    expect(
      THREADS.filter((t) => t.system === "tapping").map((t) => [
        t.designation,
        Math.round(t.pitchMm * 10) / 10,
      ]),
    ).toEqual([
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
    for (const t of coarse)
      expect(Math.abs(t.diameterMm - t.pitchMm - drills[t.designation as keyof typeof drills])).toBeLessThan(
        0.051,
      );
  });
  it("spring pins stand over their hole, and no two free sizes of one form overlap; a coiled one stands less proud than a slotted one", () => {
    for (const standard of ["ISO 8752", "ISO 8750", "ASME B18.8.2"]) {
      const pins = PINS.filter((p) => p.standard === standard);
      expect(pins.length).toBeGreaterThan(9);
      pins.forEach((p, i) => {
        expect(p.freeLeastMm).toBeGreaterThan(p.nominalMm);
        expect(p.freeMostMm).toBeLessThan(p.nominalMm + 0.45 + 0.05 * p.nominalMm);
        if (i) expect(p.freeLeastMm).toBeGreaterThan(pins[i - 1]?.freeMostMm ?? 0);
      });
    }
    for (const c of PINS.filter((p) => p.form === "coiled")) {
      const slotted = PINS.find((p) => p.standard === "ISO 8752" && p.nominalMm === c.nominalMm);
      if (slotted) expect(c.freeMostMm).toBeLessThanOrEqual(slotted.freeMostMm);
    }
  });
  it("inch spring pins are told by their fraction; dowels are a few thousandths over their size (m6)", () => {
    for (const p of PINS.filter((x) => x.inch)) {
      const [over, under] = (/(\d+)\/(\d+)/.exec(p.name) ?? []).slice(1).map(Number) as [number, number];
      expect(Math.abs(p.nominalMm / 25.4 - over / under)).toBeLessThan(0.001);
    }
    expect(
      PINS.filter((p) => p.form === "solid" && [3, 6, 10].includes(p.nominalMm)).map((p) => [
        p.freeLeastMm,
        p.freeMostMm,
      ]),
    ).toEqual([
      [3.002, 3.008],
      [6.004, 6.012],
      [10.006, 10.015],
    ]);
  });
  it("a ball bearing's number tells its bore: the last figure of three, or of four by the code 00 10, 01 12, 02 15, 03 17, then fives", () => {
    const coded = [10, 12, 15, 17];
    for (const b of BEARINGS.filter((x) => x.type === "deep-groove ball")) {
      const last = Number(b.designation.slice(-2));
      expect([b.designation, b.boreMm]).toEqual([
        b.designation,
        b.designation.length === 3 ? last % 10 : (coded[last] ?? 5 * last),
      ]);
      expect((b.outsideMm - b.boreMm) / 2).toBeGreaterThan(b.widthMm / 2);
    }
    for (const b of BEARINGS.filter((x) => /^51\d/.test(x.designation)))
      expect(b.boreMm).toBe(coded[Number(b.designation.slice(-2))] ?? 5 * Number(b.designation.slice(-2)));
    for (const b of BEARINGS.filter((x) => /^(HK|AXK)/.test(x.designation))) {
      const [bore, other] = [b.designation.slice(-4, -2), b.designation.slice(-2)].map(Number);
      expect([b.boreMm, b.type === "thrust needle" ? b.outsideMm : b.widthMm]).toEqual([bore, other]);
    }
  });
  it("within a dimension series a larger bore has a larger outside, and never a smaller width", () => {
    for (const series of ["68", "69", "60", "62", "63"]) {
      const own = BEARINGS.filter(
        (b) =>
          b.type === "deep-groove ball" &&
          (b.designation.length === 4 ? b.designation.slice(0, 2) === series : false),
      );
      expect(own.length).toBeGreaterThan(4);
      own.slice(1).forEach((b, i) => {
        expect(b.outsideMm).toBeGreaterThan(own[i]?.outsideMm ?? 99);
        expect(b.widthMm).toBeGreaterThanOrEqual(own[i]?.widthMm ?? 99);
      });
    }
    expect(new Set(BEARINGS.map((b) => b.designation)).size).toBe(BEARINGS.length);
  });
  it("E-rings go on shafts larger than their groove, and each size's shafts begin below where the last one's end", () => {
    const rings = CIRCLIPS.filter((c) => c.standard === "DIN 6799");
    rings.forEach((c, i) => {
      const [least, most] = c.shaftMm ?? expect.fail(`${c.nominalMm}`);
      expect(least).toBeGreaterThan(c.grooveMm);
      expect(c.outsideMm).toBeGreaterThan(most);
      if (i) expect(least).toBeLessThanOrEqual(rings[i - 1]?.shaftMm?.[1] ?? 0);
    });
    expect(pliersFor({ standard: "DIN 471", nominalMm: 15 })).toMatch(/shafts 10 to 25 mm, tips 1.3 mm/);
    expect(pliersFor({ standard: "DIN 472", nominalMm: 9 })).toMatch(/bores 8 to 13 mm, tips 0.9 mm/);
  });
  it("toothed belts: inch pitches are 0.080, 1/5, 3/8 and 1/2 inch; teeth are higher as the pitch grows, and round ones higher than straight ones", () => {
    const pitch = (name: string) => BELTS.find((b) => b.name === name)?.pitchMm;
    expect(["MXL", "XL", "L", "H"].map((n) => Math.round(((pitch(n) ?? 0) / 25.4) * 1000) / 1000)).toEqual([
      0.08, 0.2, 0.375, 0.5,
    ]);
    const height = (name: string) => BELTS.find((b) => b.name === name)?.toothHeightMm ?? 0;
    expect(height("5M")).toBeGreaterThan(1.5 * height("T5"));
  });
  it("circlips: a shaft's groove lies in, a bore's out, deeper as they grow", () => {
    for (const c of CIRCLIPS) {
      if (c.standard === "DIN 6799") continue;
      const depth = Math.abs(c.nominalMm - c.grooveMm);
      expect(c.standard === "DIN 471" ? c.grooveMm < c.nominalMm : c.grooveMm > c.nominalMm).toBe(true);
      expect(depth).toBeGreaterThan(0.02 * c.nominalMm);
      expect(depth).toBeLessThan(0.08 * c.nominalMm);
    }
  });
  it("O-rings: the numbers of ISO 3601 whose inside diameters every list prints", () => {
    const inside = (n: string) => O_RINGS.find((o) => o.designation === n)?.insideMm;
    const printed = { "005": 2.57, "010": 6.07, "040": 72.75, "041": 75.92, "042": 82.27, "206": 12.29, "230": 63.09, "312": 15.24, "325": 37.47, "P10": 9.8, "011": 7.65, "016": 15.6, "028": 34.65, "112": 12.37, "130": 40.94, "214": 24.99, "222": 37.69 }; // biome-ignore format: a table
    for (const [number, mm] of Object.entries(printed))
      expect([number, Math.abs((inside(number) ?? 0) - mm) < 0.05]).toEqual([number, true]);
    expect([
      ...new Set(
        O_RINGS.filter((o) => o.series === "ISO 3601").map((o) => Math.round(o.sectionMm * 100) / 100),
      ),
    ]).toEqual([1.02, 1.27, 1.52, 1.78, 2.62, 3.53, 5.33]);
  });
  it("a thread is found by the ways it is written", () => {
    expect(threadNamed("m4x0.7")?.designation).toBe("M4");
    expect(threadNamed("M8×1")?.pitchMm).toBe(1);
    expect(threadNamed("1/4-20")?.designation).toBe("¼-20");
    expect(threadNamed("st3,5")?.designation).toBe("ST3.5");
    expect(threadNamed("M7")).toBeUndefined();
  });
});
