import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import { cataloguePart, type SupplierOffer, supplierOffer } from "../catalogue/catalogue-part";
import { cheapestBasket } from "./basket";
import { basketInput } from "./basket-input";
import { dominated } from "./dominated";
import type { Solve } from "./linear-program";
import { solver } from "./solver";

let solve: Solve;
beforeAll(async () => {
  solve = await solver();
});
const offer = (
  supplier: string,
  number: string,
  price: number,
  more: Partial<SupplierOffer> = {},
): SupplierOffer => supplierOffer.parse({ supplier, number, price, leadDays: 2, ...more });
const numbered = (n: string, more: object = {}) =>
  cataloguePart.parse({
    number: n,
    name: n,
    spec: { kind: "bearing", insideMm: 8, outsideMm: 22, widthMm: 7 },
    ...more,
  });
const houses = [
  { name: "North", shipping: 5, minimumOrder: 0 },
  { name: "Canal", shipping: 4, freeFrom: 20, minimumOrder: 0 },
  { name: "Harbour", shipping: 3, minimumOrder: 15 },
];
const left = (
  places: string[][],
  offers: SupplierOffer[],
  known = [...new Set(places.flat())].map((n) => numbered(n)),
): string[] => [...dominated(places, { offers, suppliers: houses, known, pieces: places.length })].sort();

describe("parts that need not be weighed", () => {
  it("of thirty alike at one supplier one is left, of two suppliers' two", () => {
    const many = Array.from({ length: 30 }, (_, i) => `B-${i}`);
    const offers = many.map((n, i) => offer("North", n, 5 + (i % 7)));
    expect(left([many], offers)).toHaveLength(29);
    expect(left([many], [...offers, offer("Canal", "B-9", 4)])).toHaveLength(28);
  });
  it("not what is here sooner, in another pack, in the drawer, in a kit, or comes with something", () => {
    const two = ["A", "B"];
    expect(left([two], [offer("North", "A", 4), offer("North", "B", 6)])).toEqual(["B"]);
    expect(left([two], [offer("North", "A", 4), offer("North", "B", 6, { leadDays: 1 })])).toEqual([]);
    expect(left([two], [offer("North", "A", 4), offer("North", "B", 30, { pack: 10 })])).toEqual([]);
    expect(left([two], [offer("North", "A", 4, { stock: 0 }), offer("North", "B", 6)])).toEqual([]);
    expect(
      left(
        [two],
        [offer("North", "A", 4), offer("North", "B", 6)],
        [numbered("A"), numbered("B", { stock: 1 })],
      ),
    ).toEqual([]);
    expect(
      left(
        [two],
        [offer("North", "A", 4), offer("North", "B", 6)],
        [numbered("A", { needsAlso: [{ number: "P" }] }), numbered("B")],
      ),
    ).toEqual([]);
    const kit = cataloguePart.parse({
      number: "K",
      name: "k",
      spec: { kind: "kit" },
      contains: [{ number: "B" }],
    });
    expect(
      left([two], [offer("North", "A", 4), offer("North", "B", 6)], [numbered("A"), numbered("B"), kit]),
    ).toEqual([]);
  });
  it("not for one of which fewer are there than are sold at least: that one cannot be bought", () => {
    expect(
      left(
        [["A", "B"]],
        [offer("North", "A", 4, { stock: 1, minPacks: 2 }), offer("North", "B", 6, { minPacks: 2 })],
      ),
    ).toEqual([]);
    expect(
      left(
        [["A", "B"]],
        [offer("North", "A", 4, { stock: 2, minPacks: 2 }), offer("North", "B", 6, { minPacks: 2 })],
      ),
    ).toEqual(["B"]);
  });
  it("not a dearer one that could lift the order over a limit", () => {
    expect(left([["A", "B"]], [offer("Canal", "A", 4), offer("Canal", "B", 6)])).toEqual([]);
    expect(left([["A", "B"]], [offer("Canal", "A", 4), offer("Canal", "B", 8)])).toEqual(["B"]);
    expect(left([["A", "B"]], [offer("Harbour", "A", 4), offer("Harbour", "B", 14)])).toEqual([]);
  });
  it("as a law: a basket over what is left is as cheap, and as soon, as one over all", () => {
    const anOffer = fc.record({
      supplier: fc.constantFrom("North", "Canal", "Harbour"),
      number: fc.constantFrom("A", "B", "C", "D", "E", "F"),
      price: fc.integer({ min: 1, max: 12 }),
      leadDays: fc.integer({ min: 1, max: 4 }),
      pack: fc.constantFrom(1, 1, 2),
      stock: fc.option(fc.integer({ min: 0, max: 2 }), { nil: undefined }),
      minPacks: fc.constantFrom(1, 1, 2),
    });
    const place = fc.uniqueArray(fc.constantFrom("A", "B", "C", "D", "E", "F"), {
      minLength: 1,
      maxLength: 6,
    });
    fc.assert(
      fc.property(
        fc.array(anOffer, { minLength: 3, maxLength: 14 }),
        fc.array(place, { minLength: 1, maxLength: 3 }),
        fc.constantFrom("least cost" as const, "soonest" as const),
        (raw, places, aim) => {
          const offers = [
            ...new Map(
              raw.map((o) => [`${o.supplier}${o.number}${o.pack}`, supplierOffer.parse(o)]),
            ).values(),
          ];
          const out = new Set(left(places, offers));
          const ask = (without: ReadonlySet<string>) =>
            cheapestBasket(
              basketInput.parse({
                needs: places.map((p, i) => ({
                  id: `n${i}`,
                  options: p.filter((n) => !without.has(n)).map((part) => ({ part })),
                })),
                offers: offers
                  .filter((o) => !without.has(o.number))
                  .map(({ number, ...o }, i) => ({ ...o, id: `o${i}`, part: number })),
                suppliers: houses,
                aim,
                runnersUp: 0,
              }),
              solve,
            ).basket;
          const [all, some] = [ask(new Set()), ask(out)];
          expect(some?.days).toBe(all?.days);
          expect(some?.cost).toBe(all?.cost);
        },
      ),
      { numRuns: 60 },
    );
  });
});
