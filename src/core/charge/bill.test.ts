import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Job } from "../job/job";
import { quoteOf } from "../match/quote/quote";
import { billOf, shippingOf } from "./bill";
import { fittedParts } from "./fitted";

const RATES = { perHour: 60, markupPercent: 25, taxPercent: 20, ifDeclined: 25, minMinutes: 15 };
const work = (minutes: number) => ({ consumables: [], work: [{ says: "Work", minutes }] });
const base = { charges: [], shipping: [], agreed: undefined, rates: RATES, free: false };

describe("the bill", () => {
  it("charges the minutes, and never less than the shop's least", () => {
    expect(billOf({ ...base, beside: work(30) })).toMatchObject({ net: 30, tax: 6, total: 36 });
    expect(billOf({ ...base, beside: work(2) })).toMatchObject({ net: 15, total: 18 });
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
      ...base,
      charges: [{ says: "wheel", qty: 1, price: 22 }],
      agreed: { id: 1, madeAt: "2026-11-02", quote, total: 78, answer: "accepted" },
      beside: work(400),
    });
    expect(bill).toMatchObject({ net: 67, tax: 13.4, total: 80.4, quoted: 78, parts: [22] });
  });
  it("nothing is charged for what came back within its warranty", () => {
    const bill = billOf({
      ...base,
      charges: [{ says: "wheel", qty: 1, cost: 22 }],
      beside: work(90),
      free: true,
    });
    expect(bill).toMatchObject({ net: 0, tax: 0, total: 0, lines: [] });
  });
});

describe("the bill and the quote (law)", () => {
  const price = fc.integer({ min: 1, max: 40_000 }).map((c) => c / 100);
  const number = fc.constantFrom("P-1", "P-2", "P-3", "P-4", "P-5");
  const line = fc.record({
    number,
    packs: fc.integer({ min: 1, max: 4 }),
    price,
    pieces: fc.integer({ min: 1, max: 6 }),
  });
  const orders = fc.uniqueArray(
    fc.record({
      supplier: fc.constantFrom("Harrow", "Brack"),
      shipping: fc.integer({ min: 0, max: 1500 }).map((c) => c / 100),
      lines: fc.uniqueArray(line, { selector: (l) => l.number, minLength: 1, maxLength: 3 }),
    }),
    { selector: (o) => o.supplier, maxLength: 2 },
  );
  const drawer = fc.array(fc.record({ price, qty: fc.integer({ min: 1, max: 3 }) }), { maxLength: 2 });
  const beside = fc.record({
    // what was got elsewhere is a charge of its own, and not counted twice
    parts: fc.constant([{ says: "elsewhere", qty: 1, price: 99 }]),
    consumables: fc.array(fc.record({ says: fc.constant("grease"), qty: fc.constant("3 g"), cost: price }), {
      maxLength: 2,
    }),
    work: fc.array(
      fc.record({ says: fc.constant("Strip"), minutes: fc.double({ min: 0, max: 90, noNaN: true }) }),
      { maxLength: 3 },
    ),
  });
  const rates = fc.record({
    perHour: fc.integer({ min: 0, max: 120 }),
    markupPercent: fc.integer({ min: 0, max: 60 }),
    taxPercent: fc.integer({ min: 0, max: 27 }),
    ifDeclined: fc.constant(25),
    minMinutes: fc.integer({ min: 0, max: 40 }),
  });
  const bought = fc.record({ orders, drawer, beside, rates, free: fc.boolean() });

  it("agree to the cent where what was quoted is what went in, agreed to or not", () => {
    fc.assert(
      fc.property(bought, ({ orders, drawer, beside, rates, free }) => {
        const quote = quoteOf({
          consumables: beside.consumables,
          work: beside.work,
          parts: [
            ...orders.flatMap((o) =>
              o.lines.map((l) => ({
                says: l.number,
                number: l.number,
                qty: l.packs,
                cost: l.price * l.packs,
              })),
            ),
            ...drawer.map((d) => ({ says: "drawer", qty: d.qty, price: d.price * d.qty })),
          ],
          shipping: orders.map((o) => ({ supplier: o.supplier, cost: o.shipping })),
          rates,
          free,
        });
        const accepted = { decision: "accepted", day: "2026-11-02", found: {}, rework: [] } as const;
        let id = 0;
        const job = {
          parts: [],
          findings: [],
          orders: orders.map((o, i) => ({
            ...o,
            id: i,
            reference: "r",
            placedOn: "2026-11-01",
            replacement: false,
            news: [],
            lines: o.lines.map((l) => ({ ...l, pack: 1, leadDays: 1 })),
          })),
          arrivals: [
            // a pack comes in pieces, each of its own
            ...orders.flatMap((o, i) =>
              o.lines.flatMap((l) =>
                Array.from({ length: l.pieces }, () => ({
                  ...accepted,
                  id: id++,
                  orderId: i,
                  supplier: o.supplier,
                  number: l.number,
                  qty: 1,
                })),
              ),
            ),
            ...drawer.map((d) => ({ ...accepted, id: id++, supplier: "drawer", number: "D", ...d })),
          ],
        } as unknown as Job;
        const { charges, fitted } = fittedParts({ job, catalogue: [] });
        const ways = { charges, shipping: shippingOf(job.orders), beside, rates, free };
        const bill = billOf({ ...ways, agreed: undefined });
        expect(bill.total).toBe(quote.total);
        const agreed = {
          id: 1,
          madeAt: "2026-11-02",
          quote,
          total: quote.total,
          answer: "accepted" as const,
        };
        expect(billOf({ ...ways, agreed }).total).toBe(quote.total);
        // net and tax are the total, and every charge is shared out whole among what it paid for
        const sum = bill.lines.reduce((s, l) => s + Math.round(l.amount * 100), 0);
        expect(Math.round(bill.total * 100)).toBe(sum + Math.round(bill.tax * 100));
        charges.forEach((_, c) => {
          const shares = fitted.flatMap((f) => (f.paidBy?.charge === c ? [f.paidBy.share] : []));
          expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
        });
      }),
    );
  });
});
