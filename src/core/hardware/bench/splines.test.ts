import { describe, expect, it } from "vitest";
import { namedSplines } from "./splines";

const names = (r: Parameters<typeof namedSplines>[0]): string[] =>
  namedSplines(r).map((s) => `${s.standard} ${s.name}`);

describe("splines by count and diameters", () => {
  it("straight sides after ISO 14: light and medium series are told apart by the outer diameter", () => {
    expect(names({ teeth: 6, outsideMm: 13.95, insideMm: 11.02 })[0]).toBe("ISO 14 6 × 11 × 14");
    expect(names({ teeth: 6, outsideMm: 25.95, insideMm: 23 })[0]).toBe("ISO 14 6 × 23 × 26");
    expect(names({ teeth: 6, outsideMm: 27.95, insideMm: 23 })[0]).toBe("ISO 14 6 × 23 × 28");
  });
  it("serrations after DIN 5481", () => {
    expect(names({ teeth: 28, outsideMm: 9.95, insideMm: 8.1 })).toContain("DIN 5481 8 × 10");
    expect(names({ teeth: 29, outsideMm: 9.95, insideMm: 8.1 }).some((n) => n.startsWith("DIN 5481"))).toBe(
      false,
    );
  });
  it("involute after DIN 5480: the shaft W 20 × 1 × 18 is 19.8 over its tips and 17.8 at its bottom", () => {
    expect(names({ teeth: 18, outsideMm: 19.78, insideMm: 17.82 })[0]).toBe("DIN 5480 20 × 1 × 18");
    // the standard's own example: 120 × 3 × 38 is beyond these sizes; 30 × 2 × 14: x = (15 − 14 − 1.1)/2 =
    // −0.05
    expect(names({ teeth: 14, outsideMm: 29.6, insideMm: 25.6 })[0]).toBe("DIN 5480 30 × 2 × 14");
  });
  it("a maker's own is not named, and nothing without a diameter", () => {
    expect(names({ teeth: 7, outsideMm: 13.3, insideMm: 11.2 })).toEqual([]);
    expect(names({ teeth: 6 })).toEqual([]);
  });
});
