import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { HAZARD_NAMES } from "../../job/hazard";
import { SUPPLIES } from "../../job/supply";
import { CAUSE_RULES } from "../../judge/cause-rules";
import { billOf } from "./bill";
import { CARE, CUSTOMER_CAUTIONS, careOf, customerCaution, forOwner, nextLookSays } from "./care";
import { inUnits } from "./in-units";

const RATES = { perHour: 60, markupPercent: 25, taxPercent: 20, ifDeclined: 25, minMinutes: 15 };

describe("care by cause", () => {
  it("every cause that can be confirmed has its care and its next look, and nothing else has", () => {
    expect(Object.keys(CARE).sort()).toEqual(CAUSE_RULES.map((r) => r.cause).sort());
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
    expect(careOf({ ...job, causes: { chosen: ["jam", "crumbs"] } }).months).toBe(3);
    expect(careOf({ ...job, causes: { chosen: ["jam"] }, past: { load: "hard" } })).toMatchObject({
      months: 6,
      why: expect.stringContaining("hard use"),
    });
    const none = careOf({ causes: {}, past: {}, foodContact: true });
    expect(none.says).toHaveLength(2);
    expect(nextLookSays(none)).toMatch(/^in 12 months of the same use: /);
    expect(nextLookSays({ months: 1, why: "it seeps" })).toBe("in a month of the same use: it seeps");
  });
});

it("whatever can hurt at a unit has its caution for the customer", () => {
  expect(Object.keys(CUSTOMER_CAUTIONS).sort()).toEqual([...HAZARD_NAMES].sort());
  for (const h of HAZARD_NAMES) expect(customerCaution(h, [])).toMatch(/^[A-Z][^{}]*\.$/);
});

describe("the bill", () => {
  const part = (amount: number) => ({ says: "wheel", amount });
  it("adds up to the cent: net and tax are the total, whatever the parts (law)", () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 500_000 }), { maxLength: 12 }),
        fc.integer({ min: 0, max: 900 }),
        fc.integer({ min: 0, max: 30 }),
        (cents, minutes, taxPercent) => {
          const bill = billOf({
            parts: cents.map((c) => part(c / 100)),
            agreed: undefined,
            minutes,
            rates: { ...RATES, taxPercent },
            free: false,
          });
          const sum = bill.lines.reduce((s, l) => s + Math.round(l.amount * 100), 0);
          expect(Math.round(bill.net * 100)).toBe(sum);
          expect(Math.round(bill.total * 100)).toBe(sum + Math.round(bill.tax * 100));
          expect(bill.total).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });
  it("charges the minutes, and never less than the shop's least", () => {
    expect(billOf({ parts: [], agreed: undefined, minutes: 30, rates: RATES, free: false })).toMatchObject({
      net: 30,
      tax: 6,
      total: 36,
    });
    expect(billOf({ parts: [], agreed: undefined, minutes: 2, rates: RATES, free: false })).toMatchObject({
      net: 15,
      total: 18,
    });
  });
  it("takes work as it was agreed, and parts as they went in; what was agreed stands beside it", () => {
    const quote = {
      lines: [
        { what: "part" as const, says: "wheel", qty: "1", amount: 20 },
        { what: "shipping" as const, says: "Shipping", qty: "1", amount: 5 },
        { what: "work" as const, says: "Strip", qty: "40 min", amount: 40 },
      ],
      net: 65,
      tax: 13,
      total: 78,
      ifDeclined: 30,
      reasons: [],
    };
    const bill = billOf({
      parts: [part(22)],
      agreed: { id: 1, madeAt: "2026-11-02", quote, total: 78, answer: "accepted" },
      minutes: 400,
      rates: RATES,
      free: false,
    });
    expect(bill).toMatchObject({ net: 67, tax: 13.4, total: 80.4, quoted: 78 });
  });
  it("nothing is charged for what came back within its warranty", () => {
    expect(
      billOf({ parts: [part(22)], agreed: undefined, minutes: 90, rates: RATES, free: true }),
    ).toMatchObject({ net: 0, tax: 0, total: 0 });
  });
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
