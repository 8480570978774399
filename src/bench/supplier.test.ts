import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type SupplierOffer, supplierOffer } from "@/core/match/catalogue/catalogue-part";
import { EVEN_TEMPER, type OrderNews, type PlacedOrder, practiceSupplier } from "./supplier";

const offer = (number: string, more: Partial<SupplierOffer> = {}): SupplierOffer =>
  supplierOffer.parse({ supplier: "North", number, price: 10, leadDays: 3, ...more });
const list = [
  offer("A", { stock: 5 }),
  offer("B", { stock: 5, leadDays: 1 }),
  offer("C", { stock: 1 }),
  offer("D", { supplier: "South" }),
];
// a Wednesday
const order = (more: Partial<PlacedOrder> = {}): PlacedOrder => ({
  reference: "R-1",
  placedOn: "2026-11-25",
  lines: [{ number: "A", packs: 1, pack: 1, price: 10, leadDays: 3 }],
  replacement: false,
  ...more,
});
const received = (news: readonly OrderNews[]) =>
  news.flatMap((n) => (n.what === "received" ? n.parcel.map((p) => ({ day: n.day, ...p })) : []));

describe("the practice supplier", () => {
  it("confirms at once, ships the day before, and the parcel is there after its working days", async () => {
    const link = practiceSupplier("North", list);
    const until = async (day: string) => (await link.follow(order(), day)).map((n) => `${n.day} ${n.what}`);
    expect(await until("2026-11-25")).toEqual(["2026-11-25 confirmed"]);
    expect(await until("2026-11-29")).toEqual(["2026-11-25 confirmed", "2026-11-27 shipped"]);
    // three working days from Wednesday: over the weekend to Monday
    expect(await until("2026-11-30")).toEqual([
      "2026-11-25 confirmed",
      "2026-11-27 shipped",
      "2026-11-30 received",
    ]);
  });
  it("offers its own only", async () => {
    expect(
      (await practiceSupplier("South", list).offers(["A", "D"], "2026-11-25")).map((o) => o.number),
    ).toEqual(["D"]);
  });
  it("is out of stock of what it has too little of; the rest follows in a parcel of its own", async () => {
    const news = await practiceSupplier("North", list).follow(
      order({ lines: [{ number: "C", packs: 3, pack: 1, price: 10, leadDays: 3, had: 1 }] }),
      "2027-01-31",
    );
    expect(news.find((n) => n.what === "short")).toMatchObject({
      number: "C",
      packs: 2,
      says: "2 of C are out of stock and will follow.",
    });
    expect(received(news).map((p) => p.packs)).toEqual([1, 2]);
  });
  it("mixes up the bins that stand side by side, the first time, under a slip that names what was ordered", async () => {
    const link = practiceSupplier("North", list, { ...EVEN_TEMPER, mixUps: [{ asked: "A", sends: "B" }] });
    expect(received(await link.follow(order(), "2026-12-31"))).toMatchObject([
      { number: "A", sent: "B", swapped: { A: "B" } },
    ]);
    expect(received(await link.follow(order({ replacement: true }), "2026-12-31"))).toMatchObject([
      { number: "A", sent: "A" },
    ]);
  });
  it("as a law: what is ordered comes, in one parcel or more; news never goes back on itself; the same order always ends the same way", async () => {
    const share = fc.double({ min: 0, max: 1, noNaN: true });
    const lines = fc.array(
      fc.record({
        number: fc.constantFrom("A", "B", "C"),
        packs: fc.integer({ min: 1, max: 9 }),
        pack: fc.constant(1),
        price: fc.constant(10),
        leadDays: fc.integer({ min: 1, max: 9 }),
        had: fc.option(fc.integer({ min: 0, max: 9 }), { nil: undefined }),
      }),
      { minLength: 1, maxLength: 3 },
    );
    await fc.assert(
      fc.asyncProperty(
        lines,
        share,
        share,
        share,
        fc.nat(),
        async (ls, late, outOfStock, wrongPart, seed) => {
          const link = practiceSupplier("North", list, { late, outOfStock, wrongPart, mixUps: [] }, seed);
          const whole = order({
            lines: [...new Map(ls.map((l) => [l.number, l])).values()],
            reference: `R-${seed}`,
          });
          const all = await link.follow(whole, "2027-06-30");
          for (const l of whole.lines)
            expect(
              received(all)
                .filter((p) => p.number === l.number)
                .reduce((t, p) => t + p.packs, 0),
            ).toBe(l.packs);
          const early = await link.follow(whole, "2026-12-01");
          expect(all.slice(0, early.length)).toEqual(early);
          expect(await link.follow(whole, "2027-06-30")).toEqual(all);
          for (const n of all) expect(n.day >= whole.placedOn).toBe(true);
        },
      ),
    );
  });
  it("may have sold what it offered: then all of it follows later", async () => {
    const link = practiceSupplier("North", list, { ...EVEN_TEMPER, outOfStock: 1 });
    const news = await link.follow(order(), "2026-12-31");
    expect(news.map((n) => n.what)).toEqual(["confirmed", "short", "shipped", "received"]);
    // three working days and five more
    expect(received(news)).toMatchObject([{ day: "2026-12-07", packs: 1 }]);
  });
  it("what it offers later changes nothing about an order that was placed", async () => {
    const before = await practiceSupplier("North", list).follow(order(), "2026-12-31");
    const poorer = list.map((o) => ({ ...o, stock: 0, leadDays: 20 }));
    expect(await practiceSupplier("North", poorer).follow(order(), "2026-12-31")).toEqual(before);
  });
  it("goes wrong about as often as its temper says", async () => {
    const link = practiceSupplier("North", list, { ...EVEN_TEMPER, wrongPart: 0.3 });
    let wrong = 0;
    for (let i = 0; i < 400; i++)
      wrong += received(await link.follow(order({ reference: `R-${i}` }), "2027-06-30")).filter(
        (p) => p.sent !== p.number,
      ).length;
    expect(wrong).toBeGreaterThan(80);
    expect(wrong).toBeLessThan(160);
  });
});
