import { beforeAll, describe, expect, it } from "vitest";
import type { PartVerdict } from "../candidates/verdict";
import {
  type CataloguePart,
  type CataloguePartInput,
  cataloguePart,
  type SupplierOffer,
  supplierOffer,
} from "../catalogue/catalogue-part";
import { cheapestBasket } from "./basket";
import { basketGround, type Place } from "./basket-needs";
import type { Solve } from "./linear-program";
import { solver } from "./solver";

let solve: Solve;
beforeAll(async () => {
  solve = await solver();
});
const gear = (number: string, teeth: number, more: Partial<CataloguePartInput> = {}): CataloguePart =>
  cataloguePart.parse({ number, name: number, spec: { kind: "gear", teeth, moduleMm: 1 }, ...more });
const other = (number: string, more: Partial<CataloguePartInput> = {}): CataloguePart =>
  cataloguePart.parse({ number, name: number, spec: { kind: "hardware" }, ...more });
const offer = (number: string, price: number, more: Partial<SupplierOffer> = {}): SupplierOffer =>
  supplierOffer.parse({ supplier: "North", number, price, leadDays: 2, ...more });

const wheel41 = gear("W-41", 41);
const wheel42 = gear("W-42", 42, {
  needsAlso: [{ number: "P-8" }, { number: "PIN", qty: 2 }, { number: "FELT" }],
  incompatibleWith: [{ number: "P-9" }],
});
const [pinion9, pinion8] = [gear("P-9", 9), gear("P-8", 8)];
const [pin, felt] = [other("PIN"), other("FELT")];
const kit = cataloguePart.parse({
  number: "KIT",
  name: "kit",
  spec: { kind: "kit" },
  contains: [
    { number: "W-42" },
    { number: "P-8" },
    { number: "PIN", qty: 2 },
    { number: "FELT" },
    { number: "DOWEL-A", qty: 2, variant: "A" },
  ],
});
const known = [wheel41, wheel42, pinion9, pinion8, pin, felt, kit];
const place = (
  id: string,
  verdicts: readonly [CataloguePart, PartVerdict][],
  more: Partial<Place> = {},
): Place => ({
  id,
  name: id,
  candidates: verdicts.map(([part, verdict]) => ({ part, verdict, criteria: [] })),
  ...more,
});
const wheel = (more: Partial<Place> = {}): Place =>
  place(
    "wheel",
    [
      [wheel42, "with-companions"],
      [wheel41, "no"],
    ],
    { mate: "pinion", ...more },
  );
const pinion = (more: Partial<Place> = {}): Place =>
  place("pinion", [[pinion9, "drop-in"]], { mate: "wheel", ...more });
const singles = [
  offer("W-42", 17),
  offer("P-8", 21),
  offer("PIN", 3),
  offer("FELT", 4),
  offer("P-9", 5),
  offer("W-41", 12),
];
const buy = (
  places: readonly Place[],
  offers: readonly SupplierOffer[],
  suppliers = [{ name: "North", shipping: 6, minimumOrder: 0 }],
  parts: readonly CataloguePart[] = known,
) => {
  const { input, open } = basketGround(places, parts, offers, suppliers);
  return { open, ...(input.needs.length ? cheapestBasket(input, solve) : { basket: null, runnersUp: [] }) };
};

describe("the needs of a job", () => {
  it("the wheel that is superseded brings pinion, pins and felt carrier; the old pinion must go", () => {
    const { basket } = buy([wheel()], singles);
    expect(basket?.lines.map((l) => [l.part, l.packs]).sort()).toEqual([
      ["FELT", 1],
      ["P-8", 1],
      ["PIN", 2],
      ["W-42", 1],
    ]);
    expect(basket?.cost).toBe(17 + 21 + 6 + 4 + 6);
  });
  it("a pinion that is renewed too is bought once, and is the one that goes with the wheel, although another would drop in", () => {
    const { basket } = buy([wheel(), pinion()], singles);
    expect(basket?.choices.map((c) => [c.need, c.part])).toEqual([
      ["wheel", "W-42"],
      ["pinion", "P-8"],
    ]);
    expect(basket?.lines.find((l) => l.part === "P-8")?.packs).toBe(1);
    expect(basket?.lines.some((l) => l.part === "P-9")).toBe(false);
  });
  it("while the old wheel is to be had, the cheaper pair is taken, and each wheel keeps its own pinion", () => {
    const both = wheel({
      candidates: [
        { part: wheel41, verdict: "drop-in", criteria: [] },
        { part: wheel42, verdict: "with-companions", criteria: [] },
      ],
    });
    expect(buy([both, pinion()], singles).basket?.choices.map((c) => c.part)).toEqual(["W-41", "P-9"]);
    const without = singles.filter((o) => o.number !== "P-9");
    expect(buy([both, pinion()], without).basket?.choices.map((c) => c.part)).toEqual(["W-42", "P-8"]);
  });
  it("a kit that holds it all beats the single parts when it is cheaper; what nobody needs is left over", () => {
    const { basket, runnersUp } = buy([wheel(), pinion()], [...singles, offer("KIT", 41)]);
    expect(basket?.lines.map((l) => l.part)).toEqual(["KIT"]);
    expect(basket?.leftOver).toEqual([{ part: "DOWEL-A", qty: 2 }]);
    expect(runnersUp[0]?.why).toMatch(/^7\.00 dearer/);
  });
  it("what lies in the drawer costs nothing and is here today", () => {
    const stocked = known.map((p) => ({ ...p, stock: 2 }));
    const { basket } = buy(
      [place("wheel", [[stocked[1] as CataloguePart, "with-companions"]])],
      [],
      [],
      stocked,
    );
    expect(basket).toMatchObject({ cost: 0, days: 0 });
    expect(basket?.fromShelf.map((s) => s.part).sort()).toEqual(["FELT", "P-8", "PIN", "W-42"]);
  });
  it("the technician's own choice stands, and what contradicts it is said", () => {
    expect(buy([wheel(), pinion({ chosen: pinion9 })], singles)).toMatchObject({
      basket: null,
      says: expect.stringMatching(/do not go together/),
    });
    expect(buy([wheel({ chosen: wheel41 })], singles).basket?.choices[0]?.part).toBe("W-41");
  });
  it("a place that nothing fits for certain stays open, the rest is worked out", () => {
    const { open, basket } = buy(
      [
        place("gasket", [[other("GK"), "possible"]]),
        place("belt", []),
        place("worm", [], { missing: "name it first" }),
        place("pin", [[pin, "drop-in"]]),
      ],
      singles,
    );
    expect(open.map((o) => [o.id, o.why])).toEqual([
      ["gasket", "something must be settled first, or choose one yourself"],
      ["belt", "nothing in the catalogue fits"],
      ["worm", "name it first"],
    ]);
    expect(basket?.lines.map((l) => l.part)).toEqual(["PIN"]);
  });
  it("of many that drop in, none is hidden: the cheapest offer is taken wherever it stands in the list, and what is not weighed is said", () => {
    const many = Array.from({ length: 60 }, (_, i) => other(`B-${i}`));
    const offers = many.map((p, i) =>
      offer(p.number, i === 57 ? 2 : 9 - i / 100, { supplier: i % 2 ? "North" : "South" }),
    );
    const bearing = place(
      "bearing",
      many.map((p) => [p, "drop-in"]),
    );
    const houses = ["North", "South"].map((name) => ({ name, shipping: 6, minimumOrder: 0 }));
    expect(buy([bearing], offers, houses, many).basket?.lines.map((l) => l.part)).toEqual(["B-57"]);
    expect(basketGround([bearing], many, offers, houses).cut).toEqual([]);
    // where each of them could lift an order over a limit, none can be left out
    const limits = houses.map((h) => ({ ...h, minimumOrder: 50 }));
    expect(basketGround([bearing], many, offers, limits).cut).toEqual([
      { id: "bearing", name: "bearing", of: 60, weighed: 40 },
    ]);
  });
});

describe("two gears that are sold together", () => {
  const pair = cataloguePart.parse({
    number: "BS-14-28",
    name: "bevel pair",
    spec: { kind: "gear", form: "bevel", teeth: 28, mateTeeth: 14, moduleMm: 1.5, soldAs: "pair" },
  });
  const bevel = (id: string, more: Partial<Place> = {}): Place =>
    place(id, [[pair, "with-companions"]], more);
  const bought = (places: readonly Place[], known: readonly CataloguePart[], stock = 0) => {
    const all = known.map((p) => ({ ...p, stock: p.number === pair.number ? stock : 0 }));
    const ground = basketGround(places, all, [offer("BS-14-28", 30), offer("SET", 40)], []);
    return cheapestBasket({ ...ground.input, aim: "least cost" }, solve).basket;
  };
  it("are bought once, whether one of them or both go in", () => {
    const both = bought([bevel("wheel", { mate: "pinion" }), bevel("pinion")], [pair]);
    expect(both?.lines.map((l) => [l.part, l.packs])).toEqual([["BS-14-28", 1]]);
    expect(both?.leftOver).toEqual([]);
    const one = bought([bevel("wheel")], [pair]);
    expect(one?.lines.map((l) => [l.part, l.packs])).toEqual([["BS-14-28", 1]]);
    expect(one?.leftOver).toEqual([]);
  });
  it("are bought once too where nobody said which runs with which", () => {
    const both = bought([bevel("wheel"), bevel("pinion")], [pair]);
    expect(both?.lines.map((l) => [l.part, l.packs])).toEqual([["BS-14-28", 1]]);
    const two = bought([bevel("a"), bevel("b"), bevel("c"), bevel("d")], [pair]);
    expect(two?.lines.map((l) => [l.part, l.packs])).toEqual([["BS-14-28", 2]]);
    expect(bought([bevel("wheel"), bevel("pinion")], [pair], 1)).toMatchObject({
      lines: [],
      fromShelf: [{ part: "BS-14-28", qty: 1 }],
    });
  });
  it("are taken out of the drawer once", () => {
    const both = bought([bevel("wheel", { mate: "pinion" }), bevel("pinion")], [pair], 1);
    expect(both).toMatchObject({ lines: [], fromShelf: [{ part: "BS-14-28", qty: 1 }], cost: 0 });
  });
  it("come out of one kit that has a piece for each place", () => {
    const [a, b] = [gear("A-28", 28), gear("A-14", 14)];
    const set = cataloguePart.parse({
      number: "SET",
      name: "set",
      spec: { kind: "kit" },
      contains: [{ number: "A-28" }, { number: "A-14" }],
    });
    const inside = (piece: CataloguePart) => ({
      part: set,
      verdict: "drop-in" as const,
      criteria: [],
      inside: [
        { number: piece.number, name: "", qty: 1, known: true, verdict: "drop-in" as const, criteria: [] },
      ],
    });
    const places = [
      { id: "wheel", name: "wheel", candidates: [inside(a)] },
      { id: "pinion", name: "pinion", candidates: [inside(b)] },
    ];
    expect(bought(places, [a, b, set])?.lines.map((l) => [l.part, l.packs])).toEqual([["SET", 1]]);
  });
});
