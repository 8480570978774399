import { type Candidate, takenFrom } from "../candidates/rank";
import {
  type CataloguePart,
  contentsOf,
  isPair,
  type Supplier,
  type SupplierOffer,
} from "../catalogue/catalogue-part";
import type { BasketInput } from "./basket-input";
import { dominated } from "./dominated";

/** A place in the unit that gets a new part. */
export interface Place {
  readonly id: string;
  readonly name: string;
  readonly candidates: readonly Candidate[];
  /** the technician's own choice; nothing else is considered then */
  readonly chosen?: CataloguePart;
  /** what must be known first, before anything can be looked for */
  readonly missing?: string;
  /** the place whose gear it meshes with */
  readonly mate?: string;
}

/** What is needed and what there is, to choose from. */
export interface BasketGround {
  readonly input: Omit<BasketInput, "aim" | "limit" | "runnersUp" | "markupPercent">;
  /** places that nothing fits for certain: they must be settled first */
  readonly open: readonly { readonly id: string; readonly name: string; readonly why: string }[];
  /** places into which more fits than is weighed */
  readonly cut: readonly {
    readonly id: string;
    readonly name: string;
    readonly of: number;
    readonly weighed: number;
  }[];
}

type Option = BasketInput["needs"][number]["options"][number];

/**
 * So many of a place are weighed against each other, after those that another is as good as in all were left
 * out.
 */
const MOST_OPTIONS = 40;

export const offerId = (o: Pick<SupplierOffer, "supplier" | "number" | "pack">): string =>
  `${o.supplier} · ${o.number}${o.pack > 1 ? ` · ${o.pack}` : ""}`;

/**
 * What could go into each place: what was chosen, else everything that fits for certain. Of a kit it is the
 * piece that takes the old part's place, so that one kit serves every place that it has a piece for.
 */
function fitting(place: Place, known: ReadonlyMap<string, CataloguePart>): readonly CataloguePart[] {
  if (place.chosen) return [place.chosen];
  const fit = place.candidates
    .filter((c) => c.verdict === "drop-in" || c.verdict === "with-companions" || c.verdict === "with-rework")
    .map((c) => known.get(takenFrom(c)) ?? c.part);
  return [...new Map(fit.map((p) => [p.number, p])).values()];
}

/** Numbers that fit a place in the same way: one that drops in is never left out for one that wants work. */
const alike = (place: Place): string[][] => {
  if (place.chosen) return [[place.chosen.number]];
  return (["drop-in", "with-companions", "with-rework"] as const).map((v) =>
    place.candidates.filter((c) => c.verdict === v).map((c) => takenFrom(c)),
  );
};

/**
 * The needs of a job as `match basket` takes them: a need for each place, with what fits into it; companions
 * that belong into another place become that place's choice, the rest is bought with it; what a part
 * is incompatible with stay out. Kits, offers and the drawer are those that hold anything of it.
 *
 * @param known every part that can come up: companions, what is in kits
 */
export function basketGround(
  places: readonly Place[],
  known: readonly CataloguePart[],
  offers: readonly SupplierOffer[],
  suppliers: readonly Supplier[],
): BasketGround {
  const parts = new Map(known.map((p) => [p.number, p]));
  const out = dominated(places.flatMap(alike), { offers, suppliers, known, pieces: places.length });
  const left: { id: string; name: string; of: number; weighed: number }[] = [];
  const options = new Map(
    places.map((p) => {
      const fit = fitting(p, parts).filter((part) => !out.has(part.number));
      if (fit.length > MOST_OPTIONS)
        left.push({ id: p.id, name: p.name, of: fit.length, weighed: MOST_OPTIONS });
      return [p.id, fit.slice(0, MOST_OPTIONS)];
    }),
  );
  // a gear that comes with another belongs into the place of its mate
  for (const place of places)
    for (const part of options.get(place.id) ?? [])
      for (const n of part.needsAlso) {
        const companion = parts.get(n.number);
        const mate = places.find((p) => p.id === place.mate || p.mate === place.id);
        const there = mate && !mate.chosen ? options.get(mate.id) : undefined;
        if (companion?.spec.kind === "gear" && there && !there.includes(companion)) there.push(companion);
      }
  const placed = new Map<string, string>();
  for (const [place, list] of options)
    for (const p of list) if (!placed.has(p.number)) placed.set(p.number, place);

  const open: BasketGround["open"][number][] = [];
  const needs: BasketInput["needs"][number][] = [];
  for (const place of places) {
    const list = options.get(place.id) ?? [];
    if (!list.length) {
      const possible = place.candidates.some((c) => c.verdict === "possible");
      open.push({
        id: place.id,
        name: place.name,
        why:
          place.missing ??
          (possible
            ? "something must be settled first, or choose one yourself"
            : "nothing in the catalogue fits"),
      });
      continue;
    }
    needs.push({
      id: place.id,
      says: place.name,
      qty: 1,
      options: list.map((p) => optionOf(place.id, p, options, placed)),
    });
  }
  const paired = needs.map((need) => ({
    ...need,
    options: need.options.map((o) => withItsPair(o, need, needs, { places, parts })),
  }));
  const wanted = new Set(
    needs.flatMap((n) => n.options.flatMap((o) => [o.part, ...o.with.map((w) => w.part)])),
  );
  const kits = known.filter((k) => k.contains.some((c) => wanted.has(c.number)));
  const sold = new Set([...wanted, ...kits.map((k) => k.number)]);
  return {
    open,
    cut: left,
    input: {
      needs: paired,
      offers: offers
        .filter((o) => sold.has(o.number))
        .map((o) => ({
          id: offerId(o),
          supplier: o.supplier,
          part: o.number,
          price: o.price,
          pack: o.pack,
          stock: o.stock,
          minPacks: o.minPacks,
          leadDays: o.leadDays,
        })),
      kits: [
        ...kits.map((k) => ({
          number: k.number,
          contains: k.contains.map((c) => ({ part: c.number, qty: c.qty })),
        })),
        ...known
          .filter((p) => wanted.has(p.number) && isPair(p))
          .map((p) => ({
            number: p.number,
            contains: contentsOf(p).map((c) => ({ part: c.number, qty: c.qty })),
          })),
      ],
      suppliers: suppliers.map((s) => ({
        name: s.name,
        shipping: s.shipping,
        freeFrom: s.freeFrom,
        minimumOrder: s.minimumOrder,
      })),
      shelf: [...wanted].flatMap((n) => {
        const part = parts.get(n);
        return part && part.stock > 0
          ? [{ part: n, qty: part.stock, price: part.price, holds: isPair(part) ? 2 : 1 }]
          : [];
      }),
    },
  };
}

/**
 * A pair under one number goes in as a pair: the other gear into the place of its mate, which takes no other
 * then (where nobody named the mate: the place that asks for the same number), or beside.
 */
function withItsPair(
  o: Option,
  need: BasketInput["needs"][number],
  needs: readonly BasketInput["needs"][number][],
  { places, parts }: { places: readonly Place[]; parts: ReadonlyMap<string, CataloguePart> },
): Option {
  const part = parts.get(o.part);
  if (!part || !isPair(part)) return o;
  const asksToo = (n: BasketInput["needs"][number]): boolean =>
    n.id !== need.id && n.options.some((x) => x.part === o.part);
  const mate = mateOf(places, need.id);
  const there = needs.find((n) => n.id === mate && asksToo(n)) ?? needs.find(asksToo);
  if (!there) return { ...o, with: [...o.with, { part: o.part, qty: 1 }] };
  if (there.id !== mate) return o;
  const others = there.options.flatMap((x) => (x.part === o.part ? [] : [x.part]));
  return { ...o, without: [...new Set([...o.without, ...others])] };
}

/** The place whose gear runs with this one's, whichever of the two says so. */
const mateOf = (places: readonly Place[], id: string): string | undefined =>
  places.find((p) => p.id === id)?.mate ?? places.find((p) => p.mate === id)?.id;

function optionOf(
  place: string,
  part: CataloguePart,
  options: ReadonlyMap<string, readonly CataloguePart[]>,
  placed: ReadonlyMap<string, string>,
): Option {
  const without = new Set(part.incompatibleWith.map((s) => s.number));
  const bought: Option["with"][number][] = [];
  for (const n of part.needsAlso) {
    const elsewhere = placed.get(n.number);
    if (elsewhere === undefined || elsewhere === place) bought.push({ part: n.number, qty: n.qty });
    else {
      // the other place takes exactly this one; more than one of it is bought besides
      for (const other of options.get(elsewhere) ?? [])
        if (other.number !== n.number) without.add(other.number);
      if (n.qty > 1) bought.push({ part: n.number, qty: n.qty - 1 });
    }
  }
  // a gear that only came up as another's companion goes with that one alone
  for (const [otherPlace, list] of options)
    if (otherPlace !== place && list.some((p) => p.needsAlso.some((n) => n.number === part.number)))
      for (const p of list) if (!p.needsAlso.some((n) => n.number === part.number)) without.add(p.number);
  return { part: part.number, keep: false, with: bought, without: [...without] };
}
