import { z } from "zod";
import type { Frozen } from "../../frozen";
import { renamed } from "../../renamed";

const id = z.string().min(1);
const pieces = z.strictObject({ part: id, qty: z.int().min(1).max(10_000).default(1) });
const money = z.number().min(0).max(1e6);

/** A way to meet a need. */
const option = z.strictObject({
  /** part number */
  part: id,
  /** the old one stays: it costs nothing and nothing is bought */
  keep: z.boolean().default(false),
  /** what must be bought with it */
  with: z.array(pieces).default([]),
  /** part numbers it does not go together with, kept or new */
  without: z.array(id).default([]),
});

/** What `match basket` takes. Money in the shop's currency, days as working days until it is here. */
export const basketInput = z.strictObject({
  needs: z
    .array(
      z.strictObject({
        id,
        /** what the place is called where people read; left out: its id */
        says: z.string().max(200).optional(),
        qty: z.int().min(1).max(1000).default(1),
        options: z.array(option).min(1),
      }),
    )
    .min(1)
    .max(200),
  offers: z
    .array(
      z.preprocess(
        renamed({ least: "minPacks" }),
        z.strictObject({
          id,
          supplier: id,
          /** a part number, or a kit's */
          part: id,
          /** of one pack */
          price: money,
          /** pieces in a pack */
          pack: z.int().min(1).default(1),
          /** packs that can be had; left out: as many as are wanted */
          stock: z.int().min(0).optional(),
          /** fewest packs that are sold */
          minPacks: z.int().min(1).default(1),
          leadDays: z.number().min(0).max(365),
        }),
      ),
    )
    .max(5000),
  kits: z.array(z.strictObject({ number: id, contains: z.array(pieces).min(1) })).default([]),
  suppliers: z
    .array(
      z.strictObject({
        name: id,
        shipping: money.default(0),
        freeFrom: money.optional(),
        minimumOrder: money.default(0),
      }),
    )
    .default([]),
  /** what the shop has already, and what the customer pays for one of it */
  shelf: z
    .array(
      z.strictObject({
        ...pieces.shape,
        price: money.default(0),
        /** pieces that one of it holds: two where a pair lies under one number */
        holds: z.int().min(1).default(1),
      }),
    )
    .default([]),
  /**
   * what the customer pays on top of what is bought; with the shelf's prices it counts for the limit, not for
   * the cost
   */
  markupPercent: z.number().min(0).max(1000).default(0),
  aim: z.enum(["least cost", "soonest", "soonest within limit"]).default("least cost"),
  limit: money.optional(),
  /** sign of the shop's currency, for what is said */
  currency: z.string().max(8).optional(),
  runnersUp: z.int().min(0).max(5).default(2),
});
export type BasketInput = Frozen<z.infer<typeof basketInput>>;
export type BasketOffer = BasketInput["offers"][number];

/** Money is added up in cents. */
export const cents = (x: number): number => Math.round(x * 100);

/**
 * A wheel of 41 teeth that is no more to be had: the one of 43 needs another pinion and two longer pins, and
 * the old pinion must go. The kit costs more than the wheel
 * and comes later, and is the cheapest all the same.
 */
export const EXAMPLE_BASKET: z.input<typeof basketInput> = {
  needs: [
    {
      id: "second-stage wheel",
      options: [{ part: "W-41" }, { part: "W-43", with: [{ part: "PIN-3", qty: 2 }], without: ["P-11"] }],
    },
    {
      id: "motor pinion",
      options: [
        { part: "P-11", keep: true },
        { part: "P-13", without: ["W-41"] },
      ],
    },
  ],
  offers: [
    { id: "wheel", supplier: "North Depot", part: "W-43", price: 18.5, leadDays: 2 },
    { id: "pinion", supplier: "North Depot", part: "P-13", price: 7.2, leadDays: 2 },
    { id: "pins", supplier: "Canal Parts", part: "PIN-3", price: 1.1, pack: 10, leadDays: 3 },
    { id: "kit", supplier: "North Depot", part: "KIT-43", price: 24, leadDays: 4 },
  ],
  kits: [
    {
      number: "KIT-43",
      contains: [{ part: "W-43" }, { part: "P-13" }, { part: "PIN-3", qty: 2 }, { part: "SEAL-8" }],
    },
  ],
  suppliers: [
    { name: "North Depot", shipping: 6 },
    { name: "Canal Parts", shipping: 4.5 },
  ],
};

/** Every piece that an offer's pack holds: a kit's contents, or the part itself. */
export function piecesIn(input: BasketInput): (offer: BasketOffer) => ReadonlyMap<string, number> {
  const kits = new Map(input.kits.map((k) => [k.number, k.contains]));
  return (offer) => {
    const out = new Map<string, number>();
    for (const { part, qty } of kits.get(offer.part) ?? [{ part: offer.part, qty: 1 }])
      out.set(part, (out.get(part) ?? 0) + qty * offer.pack);
    return out;
  };
}
