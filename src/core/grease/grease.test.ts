import { describe, expect, it } from "vitest";
import { bearingRefillGrams, fillShare, pitchLineSpeed } from "./charge";
import { nlgiName } from "./lubricant";
import { mixing, mixingOfAny, OLD_THICKENERS, oldThickenerName, THICKENERS } from "./thickeners";

describe("the charge", () => {
  it("fills by school and speed, and knows what a bearing holds", () => {
    expect(fillShare("measured", 1)).toEqual([0.3, 0.5]);
    expect(fillShare("measured", 6)).toEqual([0.25, 0.35]);
    expect(fillShare("packed", 6)).toEqual([0.6, 0.8]);
    expect(bearingRefillGrams(22, 7)).toBeCloseTo(0.77, 9);
    expect(pitchLineSpeed(100, 1200)).toBeCloseTo(2 * Math.PI, 9);
  });
});

describe("thickeners", () => {
  it("mix the same both ways, and with themselves", () => {
    for (const a of OLD_THICKENERS) {
      expect(mixingOfAny(a, a)).toBe("same");
      expect(oldThickenerName(a)).not.toBe("");
      for (const b of OLD_THICKENERS) expect(mixingOfAny(a, b)).toBe(mixingOfAny(b, a));
    }
    for (const a of THICKENERS) for (const b of THICKENERS) expect(mixing(a, b)).toBe(mixing(b, a));
  });
  it("has the guide's answers, and sodium goes together with itself alone", () => {
    expect(mixing("Li12", "PU")).toBe("incompatible");
    expect(mixing("Li12", "LiX")).toBe("compatible");
    expect(mixing("CaS", "Li")).toBe("borderline");
    for (const t of THICKENERS) expect(mixingOfAny("Na", t)).toBe("incompatible");
  });
  it("writes the soft classes as the trade does", () => {
    expect([2, 0, -1, -2].map(nlgiName)).toEqual(["2", "0", "00", "000"]);
  });
});
