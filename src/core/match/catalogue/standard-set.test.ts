import { describe, expect, it } from "vitest";
import { partsTable } from "./catalogue-row";
import { standardSet } from "./standard-set";

describe("the standard set", () => {
  const set = standardSet();
  it("names each part once, by its designation", () => {
    expect(new Set(set.map((p) => p.number)).size).toBe(set.length);
    const named = (number: string) => set.find((p) => p.number === number)?.spec;
    expect(named("608-2RS")).toEqual({
      kind: "bearing",
      insideMm: 8,
      outsideMm: 22,
      widthMm: 7,
      closure: "2RS",
    });
    expect(named("DIN 471-15")).toEqual({ kind: "circlip", seat: "shaft", diameterMm: 15, thicknessMm: 1 });
    expect(named("ISO 8752-3×18")).toEqual({ kind: "pin", form: "spring", diameterMm: 3, lengthMm: 18 });
    // ISO 3601-012: 9.25 × 1.78
    expect(named("ISO 3601-012")).toEqual({ kind: "o-ring", insideMm: 9.23, sectionMm: 1.78 });
  });
  it("goes through the table that a shop takes in, as it is", () => {
    for (const p of set) expect(partsTable.read(partsTable.write(p))).toEqual(p);
  });
  it("asks no price and fits no unit: nobody sells it yet", () => {
    expect(set.every((p) => p.price === 0 && p.stock === 0 && p.fits.length === 0)).toBe(true);
  });
});
