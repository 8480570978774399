import { describe, expect, it } from "vitest";
import { practiceCaliper } from "./caliper";
import { practiceScale } from "./scale";

/** A repeatable source of numbers from 0 to 1. */
function numbers(): () => number {
  let s = 7;
  return () => {
    s = (s * 16807) % 2147483647;
    return s / 2147483647;
  };
}

describe("the instruments that ship", () => {
  it("read as a hand reads a caliper: true in the mean, with a spread of 0.015 mm", () => {
    const caliper = practiceCaliper(numbers());
    const off = Array.from({ length: 4000 }, () => caliper.read(45.11) - 45.11);
    const mean = off.reduce((a, b) => a + b) / off.length;
    const sd = Math.sqrt(off.reduce((a, b) => a + (b - mean) ** 2, 0) / off.length);
    expect(Math.abs(mean)).toBeLessThan(0.002);
    expect(sd).toBeGreaterThan(0.012);
    expect(sd).toBeLessThan(0.02);
  });
  it("weigh to a tenth of a gram and never below nothing", () => {
    const scale = practiceScale(numbers());
    for (let i = 0; i < 200; i++) {
      expect(Math.abs(scale.read(24.3) - 24.3)).toBeLessThanOrEqual(0.151);
      expect(scale.read(0)).toBeGreaterThanOrEqual(0);
    }
  });
  it("count up while something is filled in, to all of it", () => {
    const shown = practiceScale(numbers()).filling(40);
    expect(shown.length).toBeGreaterThan(5);
    shown.slice(1).forEach((g, i) => {
      expect(g).toBeGreaterThan(shown[i] as number);
    });
    expect(Math.abs((shown.at(-1) as number) - 40)).toBeLessThanOrEqual(0.151);
  });
});
