import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cents } from "../basket/basket-input";
import { mustAskAgain, type QuoteInput, quoteOf } from "./quote";

const rates = { perHour: 60, markupPercent: 25, taxPercent: 20, ifDeclined: 25, minMinutes: 15 };
const input = (more: Partial<QuoteInput> = {}): QuoteInput => ({
  parts: [],
  shipping: [],
  consumables: [],
  work: [{ says: "Repair", minutes: 45 }],
  rates,
  ...more,
});

describe("a quote", () => {
  it("adds parts with mark-up, the shop's own at its price, shipping, grease, work and tax", () => {
    const q = quoteOf(
      input({
        parts: [
          { says: "Kit", qty: 1, cost: 41.5 },
          { says: "Bearing from the drawer", qty: 2, price: 4.8 },
        ],
        shipping: [{ supplier: "North", cost: 6.9 }],
        consumables: [{ says: "Grease", qty: "12 g", cost: 0.8 }],
      }),
    );
    // 41.50 × 1.25 = 51.88; 4.80; 6.90; 0.80 × 1.25 = 1.00; 45 min = 45.00
    expect(q.lines.map((l) => l.amount)).toEqual([51.88, 4.8, 6.9, 1, 45]);
    expect([q.net, q.tax, q.total, q.ifDeclined]).toEqual([109.58, 21.92, 131.5, 30]);
  });
  it("charges the least time", () => {
    expect(
      quoteOf(input({ work: [{ says: "Brush", minutes: 5 }] })).lines.map((l) => [l.qty, l.amount]),
    ).toEqual([
      ["5 min", 5],
      ["10 min", 10],
    ]);
  });
  it("stands against the limit and the price of a new unit, with the reason", () => {
    const says = (limit?: number, newUnit?: number) =>
      quoteOf(input({ limit, newUnit })).reasons.map((r) => `${r.tone}: ${r.says}`);
    expect(says(60)).toEqual(["good: Within the customer’s limit of 60.00, by 6.00."]);
    expect(says(50)).toEqual([
      "danger: 4.00 above the customer’s limit of 50.00: ask before anything is ordered.",
    ]);
    expect(says(undefined, 90)[1]).toBe(
      "danger: 60 % of what a new one costs (90.00): more than half, say so when you ask.",
    );
    expect(says(undefined, 40)[1]).toMatch(/135 %.*worth more to the customer/);
    expect(says(60, 200)[1]).toBe("plain: 27 % of what a new one costs (200.00).");
  });
  it("a part without a price is no part for nothing", () => {
    const parts = [{ says: "Wheel W-7", qty: 1, price: 0 }];
    expect(quoteOf(input({ parts, limit: 100 })).reasons[0]).toMatchObject({
      tone: "danger",
      says: "No price is told of Wheel W-7: the sum is without it.",
    });
    expect(quoteOf(input({ parts, limit: 100, free: true })).reasons[0]?.tone).toBe("good");
  });
  it("as a law: the lines make the net, net and tax the total, to the cent; more of anything never makes it cheaper", () => {
    const amount = fc.integer({ min: 0, max: 100_000 }).map((c) => c / 100);
    const parts = fc.array(fc.record({ says: fc.constant("p"), qty: fc.constant(1), cost: amount }), {
      maxLength: 6,
    });
    fc.assert(
      fc.property(
        parts,
        amount,
        fc.integer({ min: 0, max: 500 }),
        fc.integer({ min: 0, max: 27 }),
        (ps, more, minutes, taxPercent) => {
          const q = (extra: number): ReturnType<typeof quoteOf> =>
            quoteOf(
              input({
                parts: [...ps, { says: "one more", qty: 1, cost: extra }],
                work: [{ says: "w", minutes }],
                rates: { ...rates, taxPercent },
              }),
            );
          const a = q(0);
          expect(a.lines.reduce((t, l) => t + cents(l.amount), 0)).toBe(cents(a.net));
          expect(cents(a.net) + cents(a.tax)).toBe(cents(a.total));
          expect(q(more).total).toBeGreaterThanOrEqual(a.total);
        },
      ),
    );
  });
});

describe("asking again", () => {
  const accepted = (total: number) => ({ total, answer: "accepted" as const });
  it("is not needed within the limit, or within what was accepted", () => {
    expect(mustAskAgain(100, [], 120)).toBeNull();
    expect(mustAskAgain(130, [accepted(131.5)], 120)).toBeNull();
    expect(mustAskAgain(110, [accepted(100)], 120)).toBeNull();
  });
  it("is needed above both, without a limit, and after a refusal", () => {
    expect(mustAskAgain(121, [], 120)).toBe("Above the limit: ask the customer first.");
    expect(mustAskAgain(10, [], undefined)).toMatch(/No limit was agreed/);
    expect(mustAskAgain(140, [accepted(131.5)], 120, "€")).toBe(
      "It now comes to 140.00 €; 131.50 € was agreed: ask again.",
    );
    expect(mustAskAgain(10, [accepted(100), { total: 150, answer: "declined" }], 120)).toMatch(/declined/);
    expect(
      mustAskAgain(125, [{ total: 150, answer: "declined" }, accepted(130), { total: 200 }], 120),
    ).toBeNull();
  });
});
