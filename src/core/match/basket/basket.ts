import { z } from "zod";
import { Fault, readWith } from "../../fault";
import { money } from "../../quantity/money";
import { type BasketInput, type BasketOffer, basketInput, cents, piecesIn } from "./basket-input";
import { basketProgram, choiceName, extraName, packsName, shelfName } from "./basket-program";
import { holds, type Program, type Solve, TimeUp } from "./linear-program";

/** A complete and consistent set of what is bought, and what it comes to. */
export interface Basket {
  readonly cost: number;
  /** working days until the last of it is here */
  readonly days: number;
  readonly choices: readonly { readonly need: string; readonly part: string; readonly keep: boolean }[];
  readonly lines: readonly {
    readonly offer: string;
    readonly supplier: string;
    readonly part: string;
    readonly packs: number;
    readonly pack: number;
    readonly price: number;
  }[];
  readonly shipping: readonly { readonly supplier: string; readonly cost: number }[];
  readonly fromShelf: readonly { readonly part: string; readonly qty: number }[];
  /** bought and not needed: it goes to stock */
  readonly leftOver: readonly { readonly part: string; readonly qty: number }[];
}

export interface BasketAnswer {
  readonly basket: Basket | null;
  /** the next best sets, each without something that the ones before it buy, and why they lose */
  readonly runnersUp: readonly (Basket & { readonly why: string })[];
  /** why there is none */
  readonly says?: string;
  /**
   * it comes from a search that was not finished: a complete set may cost so much less and no more, or be had
   * sooner
   */
  readonly upTo?: number;
}

/** Seconds after which a set that is not proven yet is shown. */
const SOON = 2;

/** Sets of offers (their places in the input), of each of which one at least is left out. */
type Without = readonly (readonly number[])[];

/**
 * An answer with the solver's own numbers for its basket, by which `provenBasket` makes the same one again
 * without a search.
 */
export interface FoundBasket {
  readonly answer: BasketAnswer;
  readonly found: BasketNumbers;
}
/** Unknown of the program → its whole number. */
export const basketNumbers = z.record(z.string().regex(/^[a-z]\d+(_\d+)?$/), z.int().min(0));
export type BasketNumbers = Readonly<z.infer<typeof basketNumbers>>;

/** The answer alone. See {@link findBasket}. */
export const cheapestBasket = (raw: unknown, solve: Solve): BasketAnswer => findBasket(raw, solve).answer;

/**
 * The set of offers and kits that meets every need, with everything that must come with what is chosen and
 * nothing that does not go with it: at the least
 * cost (among those the soonest), the soonest (among those the cheapest), or the soonest that costs no more
 * than the limit. A proven optimum (integer
 * program); shipping, free shipping from an amount on, minimum orders, packs, stock and the shop's own shelf
 * count.
 *
 * @param solve see `solver()`
 * @param tell is told what is looked for before each search: the whole may take seconds
 * @param soFar is given what the first search comes to, and what it has after two seconds if it takes longer:
 *   a complete set, if not the soonest
 * @throws Fault where the input contradicts itself
 */
export function findBasket(
  raw: unknown,
  solve: Solve,
  tell: (says: string) => void = () => undefined,
  soFar?: (found: FoundBasket) => void,
): FoundBasket {
  const input = readWith(basketInput, raw);
  check(input);
  const days = [...new Set([0, ...input.offers.map((o) => o.leadDays)])].sort((a, b) => a - b);
  const last = days.at(-1) as number;
  const none = Number.POSITIVE_INFINITY;
  const numbers = new Map<Basket, BasketNumbers>();
  let waiting = soFar;
  /**
   * The first search is stopped after a while for what it has by then, and begins anew; the ones after it
   * have a proven set behind them.
   */
  const solved = (program: Program): ReturnType<Solve> => {
    const tellSoFar = waiting;
    waiting = undefined;
    if (!tellSoFar) return solve(program);
    const hand = (values: ReadonlyMap<string, number>, least?: number): void => {
      const basket = basketOf(input, values);
      // cents are whole: what lies above the bound is rounded up to the next
      const upTo = least === undefined ? 0 : Math.max(0, cents(basket.cost) - Math.ceil(least - 1e-6)) / 100;
      tellSoFar({ answer: { basket, runnersUp: [], upTo }, found: Object.fromEntries(values) });
    };
    try {
      const found = solve(program, SOON);
      if (found) hand(found);
      return found;
    } catch (e) {
      if (!(e instanceof TimeUp)) throw e;
      if (e.values) hand(e.values, e.least);
      const found = solve(program);
      if (found) hand(found);
      return found;
    }
  };
  const within = (day: number, without: Without, max = none, limit = none): Basket | null => {
    tell(
      `${without.length ? `the ${without.length === 1 ? "next" : "one after that"}` : input.aim === "least cost" ? "the cheapest complete set" : "the soonest complete set"}, here within ${day} working days`,
    );
    const found = solved(basketProgram(input, { by: day, without, max, limit }));
    if (!found) return null;
    const basket = basketOf(input, found);
    numbers.set(basket, Object.fromEntries(found));
    return basket;
  };
  /** the first day by which it can be done at no more than `most`, and the cheapest way then */
  const soonest = (
    max: number,
    without: Without,
    { known, limit = none }: { known?: Basket; limit?: number } = {},
  ): Basket | null => {
    const fine = (day: number): Basket | null => within(day, without, max, limit);
    let best = known ?? fine(last);
    let [from, to] = [0, best ? days.indexOf(best.days) : 0];
    // the cheapest set is mostly the only one at its price: then it is not had a day sooner, nor any earlier
    if (known && to > 0) {
      const sooner = fine(days[to - 1] as number);
      if (!sooner) return known;
      [best, to] = [sooner, to - 1];
    }
    while (best && from < to) {
      const half = (from + to) >> 1;
      const now = fine(days[half] as number);
      if (now) [best, to] = [now, half];
      else from = half + 1;
    }
    return best;
  };
  const best = (without: Without): Basket | null => {
    if (input.aim === "soonest") return soonest(none, without);
    if (input.aim === "soonest within limit")
      return soonest(none, without, { limit: cents(input.limit as number) });
    const cheapest = within(last, without);
    return cheapest && soonest(cents(cheapest.cost), without, { known: cheapest });
  };
  const first = best([]);
  if (!first)
    return {
      answer: {
        basket: null,
        runnersUp: [],
        says: whyNone(input, input.aim === "soonest within limit" ? within(last, []) : null),
      },
      found: {},
    };
  const runnersUp: BasketAnswer["runnersUp"][number][] = [];
  const others: number[][] = [];
  for (let before = first; runnersUp.length < input.runnersUp; ) {
    if (before.lines.length === 0) break;
    // adding something nobody needs makes no other basket
    others.push(before.lines.map((l) => input.offers.findIndex((o) => o.id === l.offer)));
    const next = best(others);
    if (!next) break;
    runnersUp.push({ ...next, why: whyItLoses(input, first, next) });
    before = next;
  }
  return { answer: { basket: first, runnersUp }, found: numbers.get(first) ?? {} };
}

/**
 * A basket out of numbers that were found elsewhere, if they keep every law of the program as it is now:
 * complete, consistent, in stock, within minimum orders. Whether it is the cheapest is not looked at.
 *
 * Throws a Fault where a law does not hold: the offers, or what is needed, are not what they were.
 */
export function provenBasket(raw: unknown, found: BasketNumbers): Basket {
  const input = readWith(basketInput, raw);
  check(input);
  const none = Number.POSITIVE_INFINITY;
  const program = basketProgram(input, { by: none, without: [], max: none, limit: none });
  const known = new Map(program.unknowns.map((u) => [u.name, u.max]));
  const counted = Object.entries(found).every(([name, n]) => n <= (known.get(name) ?? 0));
  if (!counted || !holds(program, (name) => found[name] ?? 0))
    throw new Fault("basket", "what is offered or needed has changed: look at the basket again");
  return basketOf(input, new Map(Object.entries(found)));
}

function check(input: BasketInput): void {
  const twice = (names: readonly string[], at: string): void => {
    const seen = new Set<string>();
    for (const [i, n] of names.entries()) {
      if (seen.has(n)) throw new Fault(`${at}[${i}]`, `"${n}" is there twice`);
      seen.add(n);
    }
  };
  for (const [n, need] of input.needs.entries()) twice(need.options.map((o) => `${o.part}${o.keep ? " kept" : ""}`), `needs[${n}].options`); // biome-ignore format: one line each
  twice(input.needs.map((n) => n.id), "needs"); // biome-ignore format: one line each
  twice(input.offers.map((o) => o.id), "offers"); // biome-ignore format: one line each
  twice(input.kits.map((k) => k.number), "kits"); // biome-ignore format: one line each
  twice(input.suppliers.map((s) => s.name), "suppliers"); // biome-ignore format: one line each
  if (input.aim === "soonest within limit" && input.limit === undefined)
    throw new Fault("limit", "is missing: within which limit?");
}

/** A basket out of the solver's numbers; money is added up here, in cents. */
function basketOf(input: BasketInput, found: ReadonlyMap<string, number>): Basket {
  const pieces = piecesIn(input);
  const bought = input.offers
    .map((offer, k) => ({ offer, packs: (found.get(packsName(k)) ?? 0) + (found.get(extraName(k)) ?? 0) }))
    .filter((l) => l.packs > 0);
  const choices = input.needs.map((need, n) => {
    const o = need.options.find((_, i) => found.get(choiceName(n, i)) === 1) as (typeof need.options)[number];
    return { need, option: o };
  });
  const open = new Map<string, number>();
  const add = (part: string, qty: number): void => void open.set(part, (open.get(part) ?? 0) + qty);
  for (const { need, option } of choices) {
    if (!option.keep) add(option.part, -need.qty);
    for (const w of option.with) add(w.part, -w.qty * need.qty);
  }
  for (const { offer, packs } of bought) for (const [part, qty] of pieces(offer)) add(part, qty * packs);
  // what is taken off the shelf costs the program nothing; no more of it is taken than is lacking
  const fromShelf = input.shelf
    .map((s, i) => ({
      part: s.part,
      qty: Math.min(found.get(shelfName(i)) ?? 0, Math.ceil(Math.max(0, -(open.get(s.part) ?? 0)) / s.holds)),
      holds: s.holds,
    }))
    .filter((s) => s.qty > 0)
    .map(({ holds, ...taken }) => {
      add(taken.part, taken.qty * holds);
      return taken;
    });
  const shipping = suppliersOf(bought.map((l) => l.offer)).map((name) => {
    const s = input.suppliers.find((x) => x.name === name);
    const sum = bought
      .filter((l) => l.offer.supplier === name)
      .reduce((t, l) => t + l.packs * cents(l.offer.price), 0);
    return {
      supplier: name,
      cost: !s || (s.freeFrom !== undefined && sum >= cents(s.freeFrom)) ? 0 : s.shipping,
    };
  });
  const sum =
    bought.reduce((t, l) => t + l.packs * cents(l.offer.price), 0) +
    shipping.reduce((t, s) => t + cents(s.cost), 0);
  return {
    cost: sum / 100,
    days: Math.max(0, ...bought.map((l) => l.offer.leadDays)),
    choices: choices.map(({ need, option }) => ({ need: need.id, part: option.part, keep: option.keep })),
    lines: bought.map(({ offer, packs }) => ({
      offer: offer.id,
      supplier: offer.supplier,
      part: offer.part,
      packs,
      pack: offer.pack,
      price: (packs * cents(offer.price)) / 100,
    })),
    shipping,
    fromShelf,
    leftOver: [...open].filter(([, qty]) => qty > 0).map(([part, qty]) => ({ part, qty })),
  };
}
const suppliersOf = (offers: readonly BasketOffer[]): string[] =>
  [...new Set(offers.map((o) => o.supplier))].sort();

/** What the customer pays for a basket, before tax. */
function paidFor(input: BasketInput, b: Basket): number {
  const goods = b.lines.reduce((t, l) => t + cents(l.price), 0) * (1 + input.markupPercent / 100);
  const drawer = b.fromShelf.reduce(
    (t, f) => t + f.qty * cents(input.shelf.find((s) => s.part === f.part)?.price ?? 0),
    0,
  );
  return (Math.round(goods) + b.shipping.reduce((t, s) => t + cents(s.cost), 0) + drawer) / 100;
}

/** @param atAnyPrice the cheapest set without the limit that there was */
function whyNone(input: BasketInput, atAnyPrice: Basket | null): string {
  if (atAnyPrice)
    return `A complete set comes to ${money(paidFor(input, atAnyPrice), input.currency)}; the limit is ${money(input.limit as number, input.currency)}.`;
  const pieces = piecesIn(input);
  const had = new Set([
    ...input.shelf.map((s) => s.part),
    ...input.offers
      .filter((o) => o.stock === undefined || o.stock >= o.minPacks)
      .flatMap((o) => [...pieces(o).keys()]),
  ]);
  for (const need of input.needs) {
    const lacks = need.options.map((o) =>
      [...(o.keep ? [] : [o.part]), ...o.with.map((w) => w.part)].filter((p) => !had.has(p)),
    );
    if (lacks.every((l) => l.length))
      return `Nobody offers what "${need.says ?? need.id}" needs: ${[...new Set(lacks.flat())].join(", ")}.`;
  }
  return "Each part is available, but no set is complete: what is left in stock, the minimum orders, or parts that do not go together stand in the way.";
}

function whyItLoses({ needs, currency }: BasketInput, best: Basket, next: Basket): string {
  const dearer = (cents(next.cost) - cents(best.cost)) / 100;
  const time = next.days - best.days;
  const says = [
    dearer > 0
      ? `${money(dearer, currency)} dearer`
      : dearer < 0
        ? `${money(-dearer, currency)} cheaper`
        : "the same cost",
    time > 0
      ? `${time} day${time === 1 ? "" : "s"} later`
      : time < 0
        ? `${-time} day${time === -1 ? "" : "s"} sooner`
        : "the same day",
  ];
  const parcels = next.shipping.length - best.shipping.length;
  if (parcels > 0) says.push(`${next.shipping.length} parcels instead of ${best.shipping.length}`);
  const other = next.choices.filter(
    (c, i) => c.part !== best.choices[i]?.part || c.keep !== best.choices[i]?.keep,
  );
  if (other.length)
    says.push(
      `with ${other.map((c) => `${c.part}${c.keep ? " kept" : ""} as the ${needs.find((n) => n.id === c.need)?.says ?? c.need}`).join(", ")}`,
    );
  return says.join(", ");
}
