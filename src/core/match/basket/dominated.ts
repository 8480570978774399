import type { CataloguePart, Supplier, SupplierOffer } from "../catalogue/catalogue-part";

/**
 * What decides between parts that fit equally well: who sells them, for how much, how soon, and what comes
 * with them.
 */
export interface MarketPlace {
  readonly offers: readonly SupplierOffer[];
  readonly suppliers: readonly Pick<Supplier, "name" | "shipping" | "freeFrom" | "minimumOrder">[];
  /** every part that can come up: what holds, needs or spoils what */
  readonly known: readonly CataloguePart[];
  /** so many of one part may be needed at once */
  readonly pieces: number;
}

/**
 * Which of these parts need not be weighed, because another of them is at least as good in every offer: the
 * same supplier has it in the same packs, no dearer, no later, no scarcer. (A dearer one may lift an order
 * over what is sent free, or over the least that is taken: it is left out only where it costs more than that
 * could save.) Of a bearing that thirty makers sell, the one per supplier that is worth a look is left, and a
 * basket over what is left is as
 * cheap and as early as one over all.
 *
 * A part that comes with others, excludes others, lies in a kit or in the drawer, or is needed by another
 * part is never left out, nor are two that are alike in all both left out.
 *
 * @param places the numbers that fit each place
 * @returns the numbers that are left out
 */
export function dominated(places: readonly (readonly string[])[], market: MarketPlace): ReadonlySet<string> {
  const offers = new Map<string, SupplierOffer[]>();
  for (const o of market.offers) offers.set(o.number, [...(offers.get(o.number) ?? []), o]);
  const bound = boundParts(market.known);
  const fits = new Map<string, string>();
  for (const [at, place] of places.entries())
    for (const n of place) fits.set(n, `${fits.get(n) ?? ""}${at},`);
  const out = new Set<string>();
  const suppliers = new Map(market.suppliers.map((x) => [x.name, x]));
  /** an offer that does for another one in any basket */
  const asGood = (p: SupplierOffer, o: SupplierOffer): boolean => {
    if (
      p.supplier !== o.supplier ||
      p.pack !== o.pack ||
      p.price > o.price ||
      p.leadDays > o.leadDays ||
      p.minPacks > o.minPacks
    )
      return false;
    // of which fewer are there than are sold at least cannot be bought at all
    if (p.stock !== undefined && p.stock < p.minPacks) return false;
    if (
      p.stock !== undefined &&
      p.stock * p.pack < market.pieces &&
      (o.stock === undefined || p.stock < o.stock)
    )
      return false;
    const house = suppliers.get(p.supplier);
    if (p.price === o.price || !house) return true;
    return !house.minimumOrder && (house.freeFrom === undefined || o.price - p.price >= house.shipping);
  };
  // parts are compared within those that fit the same places: nothing else can take their place everywhere
  const groups = new Map<string, string[]>();
  for (const [n, where] of fits) if (!bound.has(n)) groups.set(where, [...(groups.get(where) ?? []), n]);
  for (const group of groups.values()) {
    // what beats many stands first, so that most are settled by one comparison
    const order = [...group].sort(
      (a, b) => cheapest(offers.get(a)) - cheapest(offers.get(b)) || (a < b ? -1 : 1),
    );
    const kept: string[] = [];
    for (const n of order) {
      const own = offers.get(n) ?? [];
      if (kept.some((k) => own.every((o) => (offers.get(k) ?? []).some((p) => asGood(p, o))))) out.add(n);
      else kept.push(n);
    }
  }
  return out;
}

const cheapest = (offers: readonly SupplierOffer[] | undefined): number =>
  Math.min(Number.POSITIVE_INFINITY, ...(offers ?? []).map((o) => o.price));

/** Parts that are more than one way to fill a place. */
function boundParts(known: readonly CataloguePart[]): ReadonlySet<string> {
  const out = new Set<string>();
  for (const p of known) {
    if (p.needsAlso.length || p.incompatibleWith.length || p.stock > 0) out.add(p.number);
    for (const n of [...p.needsAlso, ...p.incompatibleWith, ...p.contains]) out.add(n.number);
  }
  return out;
}
