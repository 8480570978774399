import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { meanOf, measured } from "./measured";
import { lengthFrom } from "./units";

describe("lengths as they are typed", () => {
  it.each([
    ["45.11", "mm", 45.11],
    ["45,11", "mm", 45.11],
    ["1 3/16 in", "mm", 30.1625],
    ['1/2"', "mm", 12.7],
    ["0.5", "in", 12.7],
    ["12 mm", "in", 12],
    [" 3/8 ", "in", 9.525],
    [".250", "in", 6.35],
    [".484 in", "mm", 12.2936],
    [".75", "mm", 0.75],
    ["7/16''", "mm", 11.1125],
    ["7/16″", "mm", 11.1125],
    ["1-3/16 in.", "mm", 30.1625],
  ] as const)("%s in %s is %d mm", (text, unit, mm) => {
    expect(lengthFrom(text, unit)).toBeCloseTo(mm, 9);
  });
  it.each(["", "nine", "1/0", "-3", "12 ft", "1.2.3", ".", "1.5 3/16", "1--3/16", "3/", "7/16'"])(
    "%s is none",
    (text) => {
      expect(lengthFrom(text, "mm")).toBeNull();
    },
  );
  it("reads back any millimetre it prints", () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99_999 }), (hundredths) => {
        expect(lengthFrom((hundredths / 100).toFixed(2), "mm")).toBeCloseTo(hundredths / 100, 9);
      }),
    );
  });
});

describe("spreads", () => {
  it("give a bare number the instrument's own", () => {
    expect(measured(12, 0.02)).toEqual({ value: 12, u: 0.02 });
    expect(measured({ value: 12, u: 0.1 }, 0.02)).toEqual({ value: 12, u: 0.1 });
  });
  it("average readings, and never make the instrument better than it is", () => {
    expect(meanOf([12.3, 12.34], 0.02).value).toBeCloseTo(12.32, 9);
    expect(meanOf([5, 5, 5, 5], 0.02)).toEqual({ value: 5, u: 0.02 });
    expect(meanOf([5, 5.4], 0.02).u).toBeCloseTo(Math.hypot(0.2, 0.02), 9);
    expect(() => meanOf([], 0.02)).toThrow(RangeError);
  });
});
