import { type BasketInput, cents, piecesIn } from "./basket-input";
import type { Law, Program, Unknown } from "./linear-program";

/**
 * Names of the unknowns: is this option chosen; how many packs; how many from the shelf; is the offer used;
 * is there a parcel; is its shipping free.
 */
export const choiceName = (need: number, option: number): string => `y${need}_${option}`;
export const packsName = (offer: number): string => `x${offer}`;
/** more packs than are put to use: for the order's sake */
export const extraName = (offer: number): string => `e${offer}`;
export const shelfName = (row: number): string => `s${row}`;
const usedName = (offer: number): string => `u${offer}`;
const parcelName = (supplier: number): string => `w${supplier}`;
const freeName = (supplier: number): string => `f${supplier}`;

/** What a basket has to keep to besides being complete. */
export interface BasketBounds {
  /** only what is here within so many days */
  readonly by: number;
  /** of each of these sets of offers (their places in the input) at least one is not used */
  readonly without: readonly (readonly number[])[];
  /** what it may cost, cents */
  readonly max: number;
  /** what the customer may have to pay for it, cents */
  readonly limit: number;
}

type Supplier = BasketInput["suppliers"][number];
type Term = readonly [factor: number, name: string];

/**
 * A program while it is written. `balance` has, for every part that anything here needs, what comes in less
 * what goes out.
 */
class Draft {
  readonly goal: Term[] = [];
  readonly unknowns: Unknown[] = [];
  readonly laws: Law[] = [];
  readonly balance = new Map<string, Term[]>();

  unknown(name: string, max: number, cost = 0): void {
    this.unknowns.push({ name, max });
    if (cost) this.goal.push([cost, name]);
  }
  atLeast(value: number, ...terms: Term[]): void {
    this.laws.push({ terms, is: ">=", value });
  }
  atMost(value: number, ...terms: Term[]): void {
    this.laws.push({ terms, is: "<=", value });
  }
  takes(part: string, qty: number, name: string): void {
    this.balance.set(part, [...(this.balance.get(part) ?? []), [-qty, name]]);
  }
  /** What nobody needs is not counted. */
  gives(part: string, qty: number, name: string): void {
    this.balance.get(part)?.push([qty, name]);
  }
}

/** One option for every need, and no two that do not go together. */
function needs(d: Draft, input: BasketInput): void {
  const options = input.needs.flatMap((need, n) =>
    need.options.map((o, i) => ({ ...o, n, name: choiceName(n, i), qty: need.qty })),
  );
  for (const [n, need] of input.needs.entries())
    d.laws.push({ terms: need.options.map((_, i) => [1, choiceName(n, i)]), is: "=", value: 1 });
  for (const o of options) {
    d.unknown(o.name, 1);
    if (!o.keep) d.takes(o.part, o.qty, o.name);
    for (const w of o.with) d.takes(w.part, w.qty * o.qty, o.name);
    for (const other of options)
      if (other.n !== o.n && o.without.includes(other.part)) d.atMost(1, [1, o.name], [1, other.name]);
  }
}

/** Most pieces of each part that the needs can take together. */
function demand(input: BasketInput): ReadonlyMap<string, number> {
  const all = new Map<string, number>();
  for (const { qty, options } of input.needs) {
    const max = new Map<string, number>();
    for (const o of options) {
      const takes = new Map<string, number>();
      for (const t of [...(o.keep ? [] : [{ part: o.part, qty: 1 }]), ...o.with])
        takes.set(t.part, (takes.get(t.part) ?? 0) + t.qty * qty);
      for (const [part, n] of takes) max.set(part, Math.max(max.get(part) ?? 0, n));
    }
    for (const [part, n] of max) all.set(part, (all.get(part) ?? 0) + n);
  }
  return all;
}

/**
 * Packs of every offer that comes in time: as many as can be put to use, and extra ones where the supplier
 * has a minimum order or ships free from an amount
 * on. The narrower these bounds, the shorter the proof.
 */
function offers(
  d: Draft,
  input: BasketInput,
  suppliers: readonly Supplier[],
  { by, without }: BasketBounds,
): void {
  const pieces = piecesIn(input);
  const wanted = demand(input);
  for (const [k, o] of input.offers.entries()) {
    const stock = o.stock ?? Number.POSITIVE_INFINITY;
    if (o.leadDays > by || stock < o.minPacks) continue;
    const s = suppliers.findIndex((x) => x.name === o.supplier);
    const { minimumOrder, shipping, freeFrom } = suppliers[s] as Supplier;
    const holds = [...pieces(o)];
    const useful = Math.max(0, ...holds.map(([part, qty]) => Math.ceil((wanted.get(part) ?? 0) / qty)));
    const max = Math.min(stock, Math.max(useful, o.minPacks));
    // as many as fill a minimum order by themselves; beyond that none that costs more than the shipping it
    // saves
    const extra =
      o.price > 0
        ? Math.min(
            stock,
            Math.ceil(minimumOrder / o.price) + (freeFrom === undefined ? 0 : Math.floor(shipping / o.price)),
          )
        : 0;
    const bought: Term[] = [[1, packsName(k)]];
    d.unknown(packsName(k), max, cents(o.price));
    // "is it used" is asked only where it matters: fewer questions, a quicker answer
    const asked = o.minPacks > 1 || without.some((set) => set.includes(k));
    const gate = asked ? usedName(k) : parcelName(s);
    d.atMost(0, [1, packsName(k)], [-max, gate]);
    if (extra > 0) {
      d.unknown(extraName(k), extra, cents(o.price));
      d.atMost(0, [1, extraName(k)], [-extra, gate]);
      bought.push([1, extraName(k)]);
      if (Number.isFinite(stock)) d.atMost(stock, ...bought);
    }
    if (asked) {
      d.unknown(usedName(k), 1);
      d.atMost(0, [1, usedName(k)], [-1, parcelName(s)]);
      d.atLeast(0, ...bought, [-o.minPacks, usedName(k)]);
    }
    for (const [part, qty] of holds) d.gives(part, qty, packsName(k));
  }
}

/**
 * A parcel from every supplier that is bought from, its minimum order met, its shipping free from an amount
 * on.
 */
function parcels(d: Draft, input: BasketInput, suppliers: readonly Supplier[]): void {
  const had = new Set(d.unknowns.map((u) => u.name));
  for (const [s, supplier] of suppliers.entries()) {
    const sum = input.offers.flatMap((o, k) =>
      o.supplier === supplier.name
        ? [packsName(k), extraName(k)]
            .filter((name) => had.has(name))
            .map((name): Term => [cents(o.price), name])
        : [],
    );
    d.unknown(parcelName(s), 1, cents(supplier.shipping));
    if (supplier.minimumOrder > 0) d.atLeast(0, ...sum, [-cents(supplier.minimumOrder), parcelName(s)]);
    if (supplier.freeFrom === undefined) continue;
    d.unknown(freeName(s), 1, -cents(supplier.shipping));
    d.atMost(0, [1, freeName(s)], [-1, parcelName(s)]);
    d.atLeast(0, ...sum, [-cents(supplier.freeFrom), freeName(s)]);
  }
}

/**
 * What the customer pays for a set: what is bought with the mark-up, the parcels as they are, the shelf at
 * its own prices.
 */
function paid(d: Draft, input: BasketInput): Term[] {
  const goods = (name: string): boolean => name.startsWith("x") || name.startsWith("e");
  const known = new Set(d.unknowns.map((u) => u.name));
  return [
    ...d.goal.map(
      ([factor, name]): Term => [goods(name) ? factor * (1 + input.markupPercent / 100) : factor, name],
    ),
    ...input.shelf.flatMap((s, i): Term[] =>
      s.price && known.has(shelfName(i)) ? [[cents(s.price), shelfName(i)]] : [],
    ),
  ];
}

/**
 * The choice of a basket as an integer program, in cents: of every part at least as many pieces come in as
 * the chosen options take.
 */
export function basketProgram(input: BasketInput, bounds: BasketBounds): Program {
  const d = new Draft();
  const suppliers = [...new Set(input.offers.map((o) => o.supplier))].map(
    (name): Supplier =>
      input.suppliers.find((s) => s.name === name) ?? { name, shipping: 0, minimumOrder: 0 },
  );
  needs(d, input);
  offers(d, input, suppliers, bounds);
  parcels(d, input, suppliers);
  for (const [i, s] of input.shelf.entries())
    if (d.balance.has(s.part)) {
      d.unknown(shelfName(i), s.qty);
      d.gives(s.part, s.holds, shelfName(i));
    }
  for (const terms of d.balance.values()) d.atLeast(0, ...terms);
  if (Number.isFinite(bounds.limit)) d.atMost(bounds.limit, ...paid(d, input));
  // what a limit forbids is mostly seen to be impossible at once
  if (Number.isFinite(bounds.max)) d.atMost(bounds.max, ...d.goal);
  const known = new Set(d.unknowns.map((u) => u.name));
  for (const set of bounds.without) {
    const terms = set.map((k): Term => [1, usedName(k)]).filter(([, name]) => known.has(name));
    // one that comes too late is not used anyway
    if (terms.length === set.length) d.atMost(set.length - 1, ...terms);
  }
  return { goal: d.goal, unknowns: d.unknowns, laws: d.laws };
}
