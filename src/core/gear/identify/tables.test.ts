import { describe, expect, it } from "vitest";
import type { Hypothesis } from "./input";
import { nextReading } from "./next-reading";
import {
  DIAMETRAL_PITCHES,
  FINE_MODULES_ROW_II,
  METRIC_FORMS,
  MODULES_ROW_I,
  MODULES_ROW_II,
  TOOTH_SIZES,
} from "./standard-sizes";

describe("standard tooth sizes", () => {
  it("rise, and stand in one row only", () => {
    for (const row of [MODULES_ROW_I, MODULES_ROW_II, DIAMETRAL_PITCHES])
      expect([...row].sort((a, b) => a - b)).toEqual(row);
    expect(MODULES_ROW_I.filter((m) => MODULES_ROW_II.includes(m))).toEqual([]);
  });
  it("from 1 mm follow ISO 54: series I is the R 10 series of preferred numbers, rounded", () => {
    // Renard's R 10: 1, 1.25, 1.6, 2, 2.5, 3.15, 4, 5, 6.3, 8, 10; ISO 54 rounds 1.6 to 1.5, 3.15 to 3, 6.3
    // to 6
    const renard = Array.from({ length: 11 }, (_, i) => 10 ** (i / 10));
    const fromOne = MODULES_ROW_I.filter((m) => m >= 1);
    expect(fromOne.length).toBe(renard.length);
    fromOne.forEach((m, i) => {
      expect(Math.abs(m / (renard[i] as number) - 1)).toBeLessThan(0.065);
    });
  });
  it("below 1 mm a second row stands in DIN 780-1 alone, and no gear is taken to be of it", () => {
    for (const m of FINE_MODULES_ROW_II) expect(TOOTH_SIZES.some((s) => s.moduleMm === m)).toBe(false);
  });
  it("come in every form, 20° full depth the most usual, as modules and as whole pitches of the inch", () => {
    for (const m of [0.5, 1, 1.375, 25.4 / 24]) {
      const forms = TOOTH_SIZES.filter((s) => s.moduleMm === m);
      expect(forms.map((f) => `${f.pressureAngleDeg} ${f.addendum}`).sort()).toEqual([
        "14.5 1",
        "15 1",
        "17.5 1",
        "20 0.8",
        "20 1",
        "25 0.8",
        "25 1",
      ]);
      expect(forms.reduce((a, b) => (b.prior > a.prior ? b : a))).toMatchObject({
        pressureAngleDeg: 20,
        addendum: 1,
      });
    }
    expect(METRIC_FORMS.reduce((sum, f) => sum + f.prior, 0)).toBeCloseTo(1, 9);
    for (const s of TOOTH_SIZES) {
      expect(s.prior).toBeGreaterThan(0);
      if (s.system === "diametral-pitch")
        expect(s.moduleMm * (s.diametralPitch as number)).toBeCloseTo(25.4, 9);
    }
  });
});

describe("the next reading", () => {
  const h = (module: number, probability: number, more: Partial<Hypothesis> = {}): Hypothesis => ({
    system: "module",
    module,
    diametralPitch: null,
    teeth: 40,
    pressureAngle: 20,
    helixAngle: 0,
    profileShift: 0,
    spread: { helix: 0, shift: 0.05 },
    addendum: 1,
    tips: "as made",
    flanks: "as made",
    probability,
    residuals: [],
    ...more,
  });
  it("tells two modules apart by a span", () => {
    expect(
      nextReading({ kind: "spur", teeth: 40, tipDiameter: 42.5 }, [h(1, 0.5), h(25.4 / 24, 0.5)])?.take,
    ).toMatch(/^span over/);
  });
  it("asks for the count where only the count is open", () => {
    const next = nextReading(
      {
        kind: "spur",
        tipDiameter: 42,
        spans: [4, 5, 6].map((teeth) => ({ teeth, value: 10 + teeth })),
        mate: { teeth: 10, centreDistance: 25 },
      },
      [h(1, 0.5), h(1, 0.5, { teeth: 41, profileShift: -0.25 })],
    );
    expect(next?.take).toBe("tooth count");
    expect(next?.why).toMatch(/now 50 %/);
  });
  it("where the pressure angle is open, it asks for a span far from the one that was taken, never for that one", () => {
    const input = {
      kind: "spur",
      teeth: 40,
      tipDiameter: 41.96,
      spans: [5, 6].map((teeth) => ({ teeth, value: 13.8 + 2.952 * (teeth - 5) })),
    } as const;
    const next = nextReading(input, [h(1, 0.6), h(1, 0.4, { pressureAngle: 17.5 })]);
    expect(next?.drawing).toBe("span");
    expect([5, 6]).not.toContain(next?.teeth);
    expect(Math.abs((next?.teeth ?? 5) - 5)).toBeGreaterThanOrEqual(2);
  });
  it("of a fragment neither tips across nor pins are asked for", () => {
    const fragment = {
      kind: "spur",
      arc: { pitches: 9, angle: 81 },
      spans: [{ teeth: 5, value: 13.8 }],
    } as const;
    for (const others of [
      [h(1, 0.5), h(1, 0.5, { teeth: 41 })],
      [h(1, 0.5), h(1.05, 0.5)],
    ])
      expect(["tip", "pins"]).not.toContain(nextReading(fragment, others)?.drawing);
  });
  it("what is doubted is taken again, before anything else", () => {
    const input = { kind: "spur", teeth: 40, tipDiameter: 39.3, spans: [{ teeth: 5, value: 13.8 }] } as const;
    const again = (reading: string) =>
      nextReading(input, [h(1, 0.99)], [{ reading, why: "it is off", probability: 0.9 }])?.take;
    expect(again("tipDiameter")).toBe("tip diameter again");
    expect(again("spans[0]")).toBe("span over 5 teeth again");
    expect(again("teeth")).toBe("tooth count again");
    expect(again("kind")).toBe("slant of the teeth");
    expect(again("units")).toBeUndefined();
  });
  it("asks for nothing when nothing would help, or nothing is open", () => {
    expect(nextReading({ kind: "spur", teeth: 40 }, [h(1, 0.5), h(1, 0.5)])).toBeNull();
    expect(nextReading({ kind: "spur", teeth: 40 }, [h(1, 0.99), h(2, 0.01)])).toBeNull();
    expect(nextReading({ kind: "spur", teeth: 40 }, [])).toBeNull();
  });
});
