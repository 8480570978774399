import { addBusinessDays, format, parseISO } from "date-fns";
import type { SupplierOffer } from "@/core/match/catalogue/catalogue-part";

/** A line of an order, in packs. */
export interface OrderLine {
  readonly number: string;
  readonly packs: number;
  readonly pack: number;
  /** of one pack */
  readonly price: number;
  /**
   * as the supplier offered it when it was ordered: working days, and packs that were there. What it offers
   * later changes nothing about an order
   */
  readonly leadDays: number;
  readonly had?: number;
}

export interface PlacedOrder {
  readonly reference: string;
  /** yyyy-MM-dd */
  readonly placedOn: string;
  readonly lines: readonly OrderLine[];
  /** it replaces something that came wrong */
  readonly replacement: boolean;
}

/** What was in a parcel. The slip always names what was ordered. */
export interface Parcelled {
  readonly number: string;
  /** what really lies in it; the bench finds out */
  readonly sent: string;
  readonly packs: number;
  readonly lot: string;
  /** of a kit: what lies in it in place of what */
  readonly swapped?: Readonly<Record<string, string>>;
}

/** Something that happened to an order. */
export type OrderNews =
  | { readonly day: string; readonly what: "confirmed"; readonly says: string }
  | {
      readonly day: string;
      readonly what: "short";
      readonly says: string;
      readonly number: string;
      readonly packs: number;
      readonly follows: string;
    }
  | { readonly day: string; readonly what: "shipped"; readonly says: string }
  | {
      readonly day: string;
      readonly what: "received";
      readonly says: string;
      readonly parcel: readonly Parcelled[];
    };

/**
 * A supplier that orders are sent to: what it has and asks, and what became of an order. The one that ships
 * is for practice; a real one answers the same two questions.
 */
export interface SupplierLink {
  /** what it asks for these parts, and how many it has, on that day */
  offers(numbers: readonly string[], day: string): Promise<SupplierOffer[]>;
  /** everything that has happened to an order up to that day, in its order */
  follow(order: PlacedOrder, until: string): Promise<OrderNews[]>;
}

/** How a practice supplier behaves; shares from 0 to 1. */
export interface Temper {
  readonly late: number;
  readonly outOfStock: number;
  readonly wrongPart: number;
  /** bins that stand side by side: asked for one, also in a kit, it sends the other the first time */
  readonly mixUps: readonly { readonly asked: string; readonly sends: string }[];
}
export const EVEN_TEMPER: Temper = { late: 0, outOfStock: 0, wrongPart: 0, mixUps: [] };

/** A number from 0 to 1 that the same words always give (FNV-1a). */
function chance(...words: readonly (string | number)[]): number {
  let h = 0x811c9dc5;
  for (const c of words.join(" ")) h = Math.imul(h ^ (c.codePointAt(0) as number), 0x01000193);
  h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d);
  return ((h ^ (h >>> 13)) >>> 0) / 2 ** 32;
}

const later = (day: string, n: number): string => format(addBusinessDays(parseISO(day), n), "yyyy-MM-dd");

/**
 * A supplier made up of its list: stock and prices move a little from week to week, parcels come late, lines
 * are out of stock and follow, and now and then a wrong part lies in the parcel, all as its temper says and
 * always the
 * same for the same order. Days are simulated: it only looks at the day it is told.
 */
export function practiceSupplier(
  name: string,
  list: readonly SupplierOffer[],
  temper: Temper = EVEN_TEMPER,
  seed = 1,
): SupplierLink {
  const own = list.filter((o) => o.supplier === name);
  const week = (day: string): number => Math.floor(parseISO(day).getTime() / (7 * 86_400_000));
  const today = (o: SupplierOffer, day: string): SupplierOffer => {
    const moved =
      temper.late || temper.outOfStock
        ? Math.round((chance(seed, name, o.number, "price", week(day)) - 0.5) * 4) / 100
        : 0;
    const gone = chance(seed, name, o.number, "stock", week(day)) < temper.outOfStock;
    return { ...o, price: Math.round(o.price * (1 + moved) * 100) / 100, ...(gone ? { stock: 0 } : {}) };
  };
  /** what lies in the parcel for what was asked */
  const sentFor = (order: PlacedOrder, number: string): string => {
    if (order.replacement) return number;
    const mixUp = temper.mixUps.find((m) => m.asked === number);
    if (mixUp) return mixUp.sends;
    const others = own.filter((o) => o.number !== number);
    if (!others.length || chance(seed, order.reference, number, "wrong") >= temper.wrongPart) return number;
    return (
      others[Math.floor(chance(seed, order.reference, number, "which") * others.length)] as SupplierOffer
    ).number;
  };
  return {
    async offers(numbers, day) {
      return own.filter((o) => numbers.includes(o.number)).map((o) => today(o, day));
    },
    async follow(order, until) {
      const { reference, placedOn, lines } = order;
      const lead = Math.max(1, ...lines.map((l) => l.leadDays));
      const late =
        chance(seed, reference, "late") < temper.late
          ? 1 + Math.floor(chance(seed, reference, "how late") * 4)
          : 0;
      const news: OrderNews[] = [
        {
          day: placedOn,
          what: "confirmed",
          says: `${name} confirms ${reference}${late ? "; it may take a little longer" : ""}.`,
        },
      ];
      const parcels = new Map<string, OrderLine[]>();
      for (const l of lines) {
        // sold to somebody else between the offer and the order
        const gone = !order.replacement && chance(seed, reference, l.number, "gone") < temper.outOfStock;
        const now = gone ? 0 : Math.min(l.packs, l.had ?? l.packs);
        const arrives = later(placedOn, lead + late);
        const follows = later(placedOn, lead + late + 5);
        if (now > 0) parcels.set(arrives, [...(parcels.get(arrives) ?? []), { ...l, packs: now }]);
        if (now < l.packs) {
          news.push({
            day: later(placedOn, 1),
            what: "short",
            says: `${l.packs - now} of ${l.number} ${l.packs - now === 1 ? "is" : "are"} out of stock and will follow.`,
            number: l.number,
            packs: l.packs - now,
            follows,
          });
          parcels.set(follows, [...(parcels.get(follows) ?? []), { ...l, packs: l.packs - now }]);
        }
      }
      for (const [day, own] of parcels) {
        news.push({
          day: notBefore(placedOn, later(day, -1)),
          what: "shipped",
          says: `${own.map((l) => `${l.packs} × ${l.number}`).join(", ")} ${own.length > 1 || (own[0] as OrderLine).packs > 1 ? "are" : "is"} on the way.`,
        });
        const swapped = order.replacement
          ? {}
          : Object.fromEntries(temper.mixUps.map((m) => [m.asked, m.sends]));
        const parcel = own.map(
          (l): Parcelled => ({
            number: l.number,
            sent: sentFor(order, l.number),
            packs: l.packs,
            lot: lotOf(reference, l.number),
            ...(Object.keys(swapped).length ? { swapped } : {}),
          }),
        );
        news.push({ day, what: "received", says: `A parcel from ${name}.`, parcel });
      }
      const order_ = ["confirmed", "short", "shipped", "received"];
      return news
        .filter((n) => n.day <= until)
        .sort((a, b) => a.day.localeCompare(b.day) || order_.indexOf(a.what) - order_.indexOf(b.what));
    },
  };
}

const notBefore = (first: string, day: string): string => (day >= first ? day : first);

/** A lot as it is printed on a bag. */
const lotOf = (reference: string, number: string): string =>
  `L${Math.floor(chance(reference, number, "lot") * 90_000 + 10_000)}`;
