import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { Fault } from "../fault";
import { greasesTable } from "./grease-row";
import {
  BASE_OILS,
  GREASE_THICKENERS,
  type GreaseOnShelf,
  greaseOnShelf,
  NLGI_NAMES,
  nlgiFrom,
  nlgiName,
  thickenerName,
} from "./lubricant";

const hundredth = (min: number, max: number) =>
  fc.integer({ min: min * 100, max: max * 100 }).map((n) => n / 100);
const grease: fc.Arbitrary<GreaseOnShelf> = fc
  .record(
    {
      name: fc.stringMatching(/^[A-Z][a-z]{1,9} [A-Z0-9-]{1,6}$/),
      thickener: fc.constantFrom(...GREASE_THICKENERS),
      baseOil: fc.constantFrom(...BASE_OILS),
      nlgi: fc.integer({ min: -2, max: 3 }),
      h1: fc.boolean(),
      leastC: fc.integer({ min: -60, max: 0 }),
      mostC: fc.integer({ min: 1, max: 300 }),
      densityGPerMl: hundredth(1, 2),
      lot: fc.stringMatching(/^[A-Z0-9-]{1,8}$/),
      openedOn: fc.constant("2026-05-04"),
      stockG: hundredth(0, 900),
      pricePer100G: hundredth(0, 90),
      retired: fc.constant(true),
    },
    { requiredKeys: ["name", "thickener", "baseOil", "nlgi", "h1", "leastC", "mostC"] },
  )
  .map((g) => greaseOnShelf.parse(g));
const cells = (more: Record<string, string>) => ({
  name: "Skarn X",
  thickener: "lithium complex",
  base_oil: "PAO",
  nlgi: "00",
  from_c: "-30",
  to_c: "140",
  ...more,
});
const fault = (more: Record<string, string>): string => {
  try {
    greasesTable.read(cells(more));
    return "read";
  } catch (e) {
    if (e instanceof Fault) return `${e.path}: ${e.says}`;
    throw e;
  }
};

describe("a grease as a row", () => {
  it("is read as it was written", () => {
    fc.assert(
      fc.property(grease, (g) => {
        expect(greasesTable.read(greasesTable.write(g))).toEqual(g);
      }),
    );
  });
  it("is written by its headings and no other", () => {
    fc.assert(
      fc.property(grease, (g) => {
        expect(Object.keys(greasesTable.write(g)).sort()).toEqual([...greasesTable.columns].sort());
      }),
    );
  });
  it("takes a thickener by its short name or in words, and a figure with a comma", () => {
    for (const thickener of ["LiX", "lix", "Lithium complex"])
      expect(greasesTable.read(cells({ thickener, density_g_per_ml: "0,9" }))).toMatchObject({
        thickener: "LiX",
        nlgi: -1,
        densityGPerMl: 0.9,
      });
    for (const t of GREASE_THICKENERS)
      expect(greasesTable.read(cells({ thickener: thickenerName(t) })).thickener).toBe(t);
  });
  it.each([
    [{ name: " " }, "name: a grease needs its name"],
    [{ thickener: "" }, "thickener: is missing"],
    [{ thickener: "soap" }, /^thickener: "soap" is none of: aluminium complex, /],
    [{ base_oil: "olive" }, 'base_oil: "olive" is none of: mineral, PAO, ester, silicone, PFPE'],
    [{ nlgi: "" }, "nlgi: is missing"],
    [{ nlgi: "4.5" }, 'nlgi: "4.5" is none of: 000, 00, 0, 1, 2, 3'],
    [{ from_c: "cold" }, "from_c: “cold” is not a temperature"],
    [{ to_c: "-40" }, "to_c: must be above the lowest temperature"],
    [{ to_c: "4000" }, "to_c: is above 400 °C"],
    [{ density_g_per_ml: "9" }, "density_g_per_ml: no grease is heavier than 2.5 g/ml"],
    [{ stock_g: "-3" }, "stock_g: is below 0 g"],
    [{ opened_on: "May" }, "opened_on: is no day like 2026-11-02"],
    [{ h1: "maybe" }, 'h1: "maybe" is neither yes nor no'],
  ])("with %o is refused where it is wrong", (more, says) => {
    expect(fault(more)).toMatch(says);
  });
  it("asks for the temperatures it stands: they are never assumed", () => {
    expect(fault({ from_c: "" })).toMatch(/^from_c: /);
    expect(fault({ to_c: " " })).toMatch(/^to_c: /);
  });
});

describe("an NLGI class", () => {
  it("goes by its name", () => {
    for (const name of NLGI_NAMES) expect(nlgiName(nlgiFrom(name) as number)).toBe(name);
    expect(nlgiFrom("0000")).toBeUndefined();
  });
});
