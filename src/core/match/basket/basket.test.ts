import fc from "fast-check";
import { beforeAll, describe, expect, it } from "vitest";
import { type Basket, cheapestBasket, type FoundBasket, findBasket } from "./basket";
import { type BasketInput, basketInput, cents, EXAMPLE_BASKET, piecesIn } from "./basket-input";
import { programText, type Solve, TimeUp } from "./linear-program";
import { solver } from "./solver";

let solve: Solve;
beforeAll(async () => {
  solve = await solver();
});

/** What is wrong with a set, told without the program that chose it. */
function faultsOf(input: BasketInput, choices: readonly number[], packs: readonly number[]): string[] {
  const out: string[] = [];
  const have = new Map<string, number>();
  for (const s of input.shelf) have.set(s.part, (have.get(s.part) ?? 0) + s.qty);
  const pieces = piecesIn(input);
  for (const [k, o] of input.offers.entries()) {
    const n = packs[k] as number;
    if (n > (o.stock ?? n)) out.push(`${o.id}: more than there is`);
    if (n > 0 && n < o.minPacks) out.push(`${o.id}: fewer than are sold`);
    for (const [part, qty] of pieces(o)) have.set(part, (have.get(part) ?? 0) + qty * n);
  }
  const chosen = input.needs.map(
    (need, i) => need.options[choices[i] as number] as (typeof need.options)[number],
  );
  for (const [i, o] of chosen.entries()) {
    const qty = (input.needs[i] as BasketInput["needs"][number]).qty;
    if (!o.keep) have.set(o.part, (have.get(o.part) ?? 0) - qty);
    for (const w of o.with) have.set(w.part, (have.get(w.part) ?? 0) - w.qty * qty);
    for (const [j, p] of chosen.entries())
      if (i !== j && o.without.includes(p.part)) out.push(`${o.part} does not go with ${p.part}`);
  }
  for (const [part, qty] of have) if (qty < 0) out.push(`${-qty} of ${part} are lacking`);
  for (const s of input.suppliers) {
    const sum = input.offers.reduce(
      (t, o, k) => t + (o.supplier === s.name ? cents(o.price) * (packs[k] as number) : 0),
      0,
    );
    const any = input.offers.some((o, k) => o.supplier === s.name && (packs[k] as number) > 0);
    if (any && sum < cents(s.minimumOrder)) out.push(`${s.name}: under the minimum order`);
  }
  return out;
}

function costOf(input: BasketInput, packs: readonly number[]): number {
  let sum = input.offers.reduce((t, o, k) => t + cents(o.price) * (packs[k] as number), 0);
  for (const s of input.suppliers) {
    const goods = input.offers.reduce(
      (t, o, k) => t + (o.supplier === s.name ? cents(o.price) * (packs[k] as number) : 0),
      0,
    );
    const any = input.offers.some((o, k) => o.supplier === s.name && (packs[k] as number) > 0);
    if (any && !(s.freeFrom !== undefined && goods >= cents(s.freeFrom))) sum += cents(s.shipping);
  }
  return sum;
}
/**
 * What the customer pays: goods with the mark-up, parcels as they are, and of the shelf only what is lacking.
 */
function paidOf(input: BasketInput, choices: readonly number[], packs: readonly number[]): number {
  const goods = input.offers.reduce((t, o, k) => t + cents(o.price) * (packs[k] as number), 0);
  const lacks = new Map<string, number>();
  for (const [i, need] of input.needs.entries()) {
    const o = need.options[choices[i] as number] as (typeof need.options)[number];
    if (!o.keep) lacks.set(o.part, (lacks.get(o.part) ?? 0) + need.qty);
    for (const w of o.with) lacks.set(w.part, (lacks.get(w.part) ?? 0) + w.qty * need.qty);
  }
  const pieces = piecesIn(input);
  for (const [k, o] of input.offers.entries())
    for (const [part, qty] of pieces(o)) lacks.set(part, (lacks.get(part) ?? 0) - qty * (packs[k] as number));
  const drawer = input.shelf.reduce(
    (t, s) => t + cents(s.price) * Math.min(s.qty, Math.max(0, lacks.get(s.part) ?? 0)),
    0,
  );
  return costOf(input, packs) + (goods * input.markupPercent) / 100 + drawer;
}
const daysOf = (input: BasketInput, packs: readonly number[]): number =>
  Math.max(0, ...input.offers.map((o, k) => ((packs[k] as number) > 0 ? o.leadDays : 0)));

/** Every set there is, up to `most` packs of each offer. */
function* allSets(input: BasketInput, max: number): Generator<{ choices: number[]; packs: number[] }> {
  const sizes = [
    ...input.needs.map((n) => n.options.length),
    ...input.offers.map((o) => Math.min(max, o.stock ?? max) + 1),
  ];
  const at = sizes.map(() => 0);
  for (;;) {
    yield { choices: at.slice(0, input.needs.length), packs: at.slice(input.needs.length) };
    at[0] = (at[0] as number) + 1;
    for (let i = 0; i < at.length; i++) {
      if ((at[i] as number) < (sizes[i] as number)) break;
      at[i] = 0;
      if (i + 1 < at.length) at[i + 1] = (at[i + 1] as number) + 1;
      else return;
    }
  }
}

const asNumbers = (input: BasketInput, b: Basket): { choices: number[]; packs: number[] } => ({
  choices: input.needs.map((n, i) =>
    n.options.findIndex((o) => o.part === b.choices[i]?.part && o.keep === b.choices[i]?.keep),
  ),
  packs: input.offers.map((o) => b.lines.find((l) => l.offer === o.id)?.packs ?? 0),
});

const PARTS = ["A", "B", "C"] as const;
const part = fc.constantFrom(...PARTS);
const price = fc.integer({ min: 0, max: 900 }).map((c) => c / 100);
const option = fc.record({
  part,
  keep: fc.constantFrom(false, false, false, true),
  with: fc.array(fc.record({ part, qty: fc.integer({ min: 1, max: 2 }) }), { maxLength: 1 }),
  without: fc.array(part, { maxLength: 1 }),
});
const small = fc
  .record({
    needs: fc.array(
      fc.uniqueArray(option, { minLength: 1, maxLength: 2, selector: (o) => `${o.part}${o.keep}` }),
      { minLength: 1, maxLength: 2 },
    ),
    offers: fc.array(
      fc.record({
        supplier: fc.constantFrom("N", "S"),
        part: fc.constantFrom(...PARTS, "KIT"),
        price,
        pack: fc.integer({ min: 1, max: 2 }),
        stock: fc.option(fc.integer({ min: 0, max: 3 }), { nil: undefined }),
        minPacks: fc.integer({ min: 1, max: 2 }),
        leadDays: fc.integer({ min: 0, max: 4 }),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    shelf: fc.array(fc.record({ part, qty: fc.integer({ min: 1, max: 5 }), price }), { maxLength: 1 }),
    markupPercent: fc.constantFrom(0, 25),
    suppliers: fc.tuple(
      fc.record({ name: fc.constant("N"), shipping: price }),
      fc.record({
        name: fc.constant("S"),
        shipping: price,
        minimumOrder: fc.constantFrom(0, 0, 5),
        freeFrom: fc.constantFrom(undefined, 6),
      }),
    ),
  })
  .map(({ needs, offers, ...rest }) =>
    basketInput.parse({
      ...rest,
      suppliers: rest.suppliers.map((s) =>
        Object.fromEntries(Object.entries(s).filter(([, v]) => v !== undefined)),
      ),
      needs: needs.map((options, i) => ({ id: `n${i}`, options })),
      offers: offers.map(({ stock, ...o }, i) => ({
        id: `o${i}`,
        ...o,
        ...(stock === undefined ? {} : { stock }),
      })),
      kits: [{ number: "KIT", contains: [{ part: "A" }, { part: "B", qty: 2 }] }],
    }),
  );

describe("a basket", () => {
  it("is complete and consistent, adds up, and costs no more than any other set", () => {
    let found = 0;
    fc.assert(
      fc.property(
        small,
        fc.constantFrom("least cost" as const, "soonest" as const, "soonest within limit" as const),
        price,
        (drawn, aim, limit) => {
          const input: BasketInput = { ...drawn, aim, limit: limit + 4, runnersUp: 1 };
          const { basket, runnersUp, says } = cheapestBasket(input, solve);
          // the best by trying them all, six packs of each offer at most
          let best: [number, number] | null = null;
          const better = (a: readonly [number, number], b: readonly [number, number]): boolean =>
            aim === "least cost"
              ? a[0] < b[0] || (a[0] === b[0] && a[1] < b[1])
              : a[1] < b[1] || (a[1] === b[1] && a[0] < b[0]);
          for (const { choices, packs } of allSets(input, 6)) {
            const now = [costOf(input, packs), daysOf(input, packs)] as const;
            if (
              aim === "soonest within limit" &&
              paidOf(input, choices, packs) > cents(input.limit as number)
            )
              continue;
            if (best && !better(now, best)) continue;
            if (faultsOf(input, choices, packs).length === 0) best = [...now];
          }
          if (!basket) {
            expect(best, JSON.stringify(input)).toBeNull();
            expect(says).toMatch(/\.$/);
            return;
          }
          found++;
          const { choices, packs } = asNumbers(input, basket);
          expect(faultsOf(input, choices, packs)).toEqual([]);
          if (aim === "soonest within limit")
            expect(paidOf(input, choices, packs)).toBeLessThanOrEqual(cents(input.limit as number));
          expect([cents(basket.cost), basket.days]).toEqual([costOf(input, packs), daysOf(input, packs)]);
          if (best)
            expect(
              better(best, [cents(basket.cost), basket.days]),
              `${best} beats ${cents(basket.cost)}, ${basket.days}`,
            ).toBe(false);
          for (const s of basket.fromShelf)
            expect(
              basket.leftOver.some((l) => l.part === s.part),
              "more off the shelf than is needed",
            ).toBe(false);
          for (const r of runnersUp) {
            const other = asNumbers(input, r);
            expect(faultsOf(input, other.choices, other.packs)).toEqual([]);
            expect(better([cents(r.cost), r.days], [cents(basket.cost), basket.days])).toBe(false);
            expect(basket.lines.some((l) => !r.lines.some((m) => m.offer === l.offer))).toBe(true);
            expect(r.why).toMatch(/cost|dearer|cheaper/);
          }
        },
      ),
      { numRuns: 60, seed: 21 },
    );
    expect(found).toBeGreaterThan(20);
  });

  const wheel = EXAMPLE_BASKET;

  it("a wheel of another tooth count brings its pinion and its pins, the old pinion goes, and the kit beats the single parts", () => {
    const { basket, runnersUp } = cheapestBasket(wheel, solve);
    expect(basket).toMatchObject({
      cost: 30,
      days: 4,
      choices: [
        { part: "W-43", keep: false },
        { part: "P-13", keep: false },
      ],
      lines: [{ offer: "kit", packs: 1 }],
      leftOver: [{ part: "SEAL-8", qty: 1 }],
    });
    expect(runnersUp[0]).toMatchObject({
      cost: 37.3,
      days: 3,
      why: "7.30 dearer, 1 day sooner, 2 parcels instead of 1",
    });
  });

  it("the soonest, and the soonest that the customer pays for", () => {
    expect(cheapestBasket({ ...wheel, aim: "soonest" }, solve).basket).toMatchObject({ days: 3, cost: 37.3 });
    expect(cheapestBasket({ ...wheel, aim: "soonest within limit", limit: 35 }, solve).basket).toMatchObject({
      days: 4,
      cost: 30,
    });
    const none = cheapestBasket({ ...wheel, aim: "soonest within limit", limit: 20 }, solve);
    expect(none).toMatchObject({ basket: null, says: "A complete set comes to 30.00; the limit is 20.00." });
  });

  it("where the old wheel is still to be had, nothing else need be bought; the shelf costs nothing", () => {
    const old = {
      ...wheel,
      offers: [...wheel.offers, { id: "old", supplier: "North Depot", part: "W-41", price: 12, leadDays: 1 }],
    };
    expect(cheapestBasket(old, solve).basket).toMatchObject({
      cost: 18,
      lines: [{ offer: "old" }],
      choices: [{ part: "W-41" }, { part: "P-11", keep: true }],
    });
    expect(cheapestBasket({ ...old, shelf: [{ part: "W-41" }] }, solve).basket).toMatchObject({
      cost: 0,
      days: 0,
      lines: [],
      fromShelf: [{ part: "W-41", qty: 1 }],
    });
  });

  it("buys more to save the shipping, or to reach a minimum order", () => {
    const one = (supplier: object) =>
      cheapestBasket(
        {
          needs: [{ id: "pin", options: [{ part: "PIN" }] }],
          offers: [{ id: "pin", supplier: "North", part: "PIN", price: 2, leadDays: 1 }],
          suppliers: [{ name: "North", ...supplier }],
        },
        solve,
      ).basket;
    expect(one({ shipping: 7, freeFrom: 6 })).toMatchObject({
      cost: 6,
      leftOver: [{ part: "PIN", qty: 2 }],
      shipping: [{ cost: 0 }],
    });
    expect(one({ shipping: 7, freeFrom: 20 })).toMatchObject({ cost: 9, leftOver: [] });
    expect(one({ shipping: 1, minimumOrder: 9 })).toMatchObject({
      cost: 11,
      leftOver: [{ part: "PIN", qty: 4 }],
    });
  });

  it("says what nobody offers, and refuses what contradicts itself", () => {
    const { says } = cheapestBasket({ ...wheel, offers: wheel.offers.slice(0, 1) }, solve);
    expect(says).toBe('Nobody offers what "second-stage wheel" needs: W-41, PIN-3.');
    const pins = (more: object) =>
      cheapestBasket(
        {
          needs: [{ id: "pin", options: [{ part: "PIN" }] }],
          offers: [{ id: "pin", supplier: "North", part: "PIN", price: 2, leadDays: 1, ...more }],
        },
        solve,
      );
    expect(pins({ minPacks: 5 }).basket).toMatchObject({ cost: 10, leftOver: [{ part: "PIN", qty: 4 }] });
    expect(pins({ minPacks: 5, stock: 4 }).says).toBe('Nobody offers what "pin" needs: PIN.');
    expect(() => cheapestBasket({ ...wheel, offers: [wheel.offers[0], wheel.offers[0]] }, solve)).toThrow(
      /"wheel" is there twice/,
    );
    expect(() => cheapestBasket({ ...wheel, aim: "soonest within limit" }, solve)).toThrow(
      /limit: is missing/,
    );
    expect(() => cheapestBasket({ ...wheel, needs: [] }, solve)).toThrow(/needs/);
  });
});

describe("the program's text", () => {
  it("names every unknown with its bounds, and breaks long lines", () => {
    const names = Array.from({ length: 40 }, (_, i) => `x${i}`);
    const text = programText({
      goal: names.map((n) => [-1, n] as const),
      laws: [{ terms: names.map((n) => [2, n] as const), is: "<=", value: 7 }],
      unknowns: names.map((name) => ({ name, max: 3 })),
    });
    expect(Math.max(...text.split("\n").map((l) => l.length))).toBeLessThan(200);
    expect(text).toContain(" 0 <= x39 <= 3");
    expect(
      solve({
        goal: [[1, "x"]],
        laws: [{ terms: [[1, "x"]], is: ">=", value: 2 }],
        unknowns: [{ name: "x", max: 1 }],
      }),
    ).toBeNull();
    expect(
      solve({
        goal: [[1, "x"]],
        laws: [{ terms: [[2, "x"]], is: ">=", value: 3 }],
        unknowns: [{ name: "x", max: 5 }],
      })?.get("x"),
    ).toBe(2);
  });
});

describe("a search that takes long", () => {
  it("hands over a complete set with how much less one may cost, and goes on to the cheapest", () => {
    const soFar: FoundBasket[] = [];
    // as though two seconds were up at once: any set that keeps the laws, and the bound of the program in
    // fractions
    const slow: Solve = (program, seconds) => {
      if (seconds === undefined) return solve(program);
      const dearest = solve({
        ...program,
        goal: program.goal.map(([k, name]) => [name.startsWith("e") ? k : -k, name] as const),
      });
      throw new TimeUp(dearest, 0);
    };
    const { answer } = findBasket(EXAMPLE_BASKET, slow, undefined, (found) => soFar.push(found));
    expect(soFar).toHaveLength(2);
    const [{ answer: had }, { answer: proven }] = soFar as [FoundBasket, FoundBasket];
    expect(had.basket?.choices).toHaveLength(EXAMPLE_BASKET.needs.length);
    expect(had.basket?.cost).toBeGreaterThan(answer.basket?.cost as number);
    expect((had.basket?.cost as number) - (had.upTo as number)).toBeLessThanOrEqual(
      answer.basket?.cost as number,
    );
    // what comes after it, runners-up too, is no set that one would stop with
    expect(proven).toMatchObject({ upTo: 0, basket: { cost: answer.basket?.cost } });
    expect(answer.upTo).toBeUndefined();
  });

  it("is told in fractions by leaving out that the unknowns are whole", () => {
    const program = {
      goal: [[3, "a"]] as const,
      laws: [{ terms: [[2, "a"]] as const, is: ">=" as const, value: 7 }],
      unknowns: [{ name: "a", max: 9 }],
    };
    expect(solve(program)?.get("a")).toBe(4);
    expect(programText(program)).toContain("General");
    expect(programText(program, "fractions")).not.toContain("General");
  });
});
