import { describe, expect, it } from "vitest";
import { HAZARD_NAMES } from "../../job/hazard";
import { SUPPLIES } from "../../job/supply";
import { ROOTS } from "../../judge/roots";
import { CARE, CUSTOMER_CAUTIONS, careOf, customerCaution, forOwner, nextLookSays } from "./care";
import { inUnits } from "./in-units";

describe("care by cause", () => {
  it("every cause that can be confirmed has its care and its next look, and nothing else has", () => {
    expect(Object.keys(CARE).sort()).toEqual(ROOTS.map((r) => r.cause).sort());
    for (const { says, look } of Object.values(CARE)) {
      for (const supply of SUPPLIES) expect(forOwner(says, [supply])).toMatch(/^[A-Z][^{}]*\.$/);
      expect(look.months).toBeGreaterThan(0);
      expect(look.why.length).toBeGreaterThan(20);
    }
  });
  it("speaks of a plug only where there is one", () => {
    const care = (supply: (typeof SUPPLIES)[number]) =>
      [
        ...careOf({
          causes: { chosen: ["hair", "motor", "forced"] },
          past: {},
          foodContact: false,
          supplies: [supply],
        }).says,
        ...HAZARD_NAMES.map((h) => customerCaution(h, [supply])),
      ].join(" ");
    expect(care("mains")).toMatch(/pull the plug/i);
    expect(care("battery")).toMatch(/take the battery out/);
    for (const supply of ["petrol", "air", "water", "spring", "hand"] as const)
      expect(care(supply)).not.toMatch(/the plug(?!\w)(?! cap)/i);
    const usual = (supplies: ("hand" | "spring" | "mains")[]) =>
      careOf({ causes: {}, past: {}, foodContact: false, supplies }).says.join(" ");
    expect(usual(["spring"])).not.toMatch(/warm/);
    expect(usual(["mains"])).toMatch(/warm/);
    expect(care("petrol")).toMatch(/cap off the spark plug/);
  });
  it("the soonest look of several causes counts, twice as soon in hard use; without a cause there is the usual one", () => {
    const job = { causes: { chosen: ["jam", "crumbs"] }, past: {}, foodContact: false } as const;
    expect(careOf({ ...job, causes: { chosen: ["jam", "crumbs"] } }).look?.months).toBe(3);
    expect(careOf({ ...job, causes: { chosen: ["jam"] }, past: { load: "hard" } }).look).toMatchObject({
      months: 6,
      why: expect.stringContaining("hard use"),
    });
    const none = careOf({ causes: {}, past: {}, foodContact: true });
    expect(none.says).toHaveLength(2);
    expect(none.look && nextLookSays(none.look)).toMatch(/^in 12 months of the same use: wear is/);
    const lamp = careOf({
      causes: {},
      past: {},
      foodContact: false,
      kind: "desk lamp",
      supplies: ["battery"],
    });
    expect(lamp).toEqual({ says: [], sooner: "Sooner if it does it again." });
    expect(nextLookSays({ months: 1, why: "it seeps" })).toBe("in a month of the same use: it seeps");
  });
});

it("whatever can hurt at a unit has its caution for the customer", () => {
  expect(Object.keys(CUSTOMER_CAUTIONS).sort()).toEqual([...HAZARD_NAMES].sort());
  for (const h of HAZARD_NAMES.filter((h) => h !== "static"))
    expect(customerCaution(h, [])).toMatch(/^[A-Z][^{}]*\.$/);
  expect(customerCaution("static", [])).toBeUndefined();
  expect(customerCaution("pressure", [], "fridge")).toMatch(/refrigerant/);
  expect(customerCaution("pressure", [], "air nailer")).not.toMatch(/refrigerant/);
});

describe("the customer's units", () => {
  it.each([
    [3.4, "g", "0.12 oz"],
    [25.4, "mm", "1.000 in"],
    [60, "°C", "140 °F"],
    [1.2, "N m", "10.6 in-lb"],
    [0.12, "Ω", "0.12 Ω"],
    [98, "rpm", "98 rpm"],
  ] as const)("%d %s reads %s", (value, unit, says) => {
    expect(inUnits(value, unit, "inch")).toBe(says);
    expect(inUnits(value, unit, "metric")).toBe(`${value} ${unit}`);
  });
});
