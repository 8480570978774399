import { z } from "zod";
import type { Frozen } from "../../frozen";
import { partSpec } from "./part-spec";

const partNumber = z.string().trim().min(1, "a part needs a number").max(60);
const words = z.string().trim().max(300);

/** For which units a part is sold. No variants: for all of them; no serials: from the first to the last. */
export const partFit = z.strictObject({
  maker: z.string().trim().min(1).max(60),
  model: z.string().trim().min(1).max(60),
  variants: z.array(z.string().trim().min(1).max(40)).default([]),
  fromSerial: z.string().trim().min(1).max(40).optional(),
  toSerial: z.string().trim().min(1).max(40).optional(),
});
export type PartFit = Frozen<z.infer<typeof partFit>>;

export const piecesOf = z.strictObject({ number: partNumber, qty: z.int().min(1).max(10_000).default(1) });

/** A part as the shop's catalogue keeps it. What suppliers ask for it is in the offers. */
export const cataloguePart = z.strictObject({
  number: partNumber,
  name: z.string().trim().min(1, "a part needs a name").max(120),
  spec: partSpec,
  /** what the shop asks for one from its drawer */
  price: z.number().min(0).max(1e6).default(0),
  /** in the drawer */
  stock: z.int().min(0).max(1e6).default(0),
  /** no more made: what stands in the drawers is the last */
  discontinued: z.boolean().default(false),
  fits: z.array(partFit).default([]),
  /** numbers that it replaces, and under which condition */
  replaces: z
    .array(
      z.strictObject({
        number: partNumber,
        when: words.optional(),
        variants: z.array(z.string().trim().min(1).max(40)).default([]),
      }),
    )
    .default([]),
  /** what must be bought with it */
  needsAlso: z.array(z.strictObject({ ...piecesOf.shape, why: words.default("") })).default([]),
  /** what cannot stay with it */
  incompatibleWith: z.array(z.strictObject({ number: partNumber, why: words.default("") })).default([]),
  /** of a kit; a part with a variant is for that one only */
  contains: z
    .array(z.strictObject({ ...piecesOf.shape, variant: z.string().trim().min(1).max(40).optional() }))
    .default([]),
  note: words.optional(),
  /** how it faces in the unit, where that is not plain */
  facing: z.string().trim().max(80).optional(),
  /** how it lies on its neighbours, the lowest first */
  stack: z.array(z.string().trim().min(1).max(80)).max(20).default([]),
  /** what of the old part's neighbours it does without */
  leavesOut: z.array(words).max(20).default([]),
});
export type CataloguePart = Frozen<z.infer<typeof cataloguePart>>;
export type CataloguePartInput = z.input<typeof cataloguePart>;

/** Whether both gears of a pair lie under one number. */
export const isPair = ({ spec }: Pick<CataloguePart, "spec">): boolean =>
  spec.kind === "gear" && spec.soldAs === "pair";

/** What comes in the box: a kit's pieces, both gears of a pair; empty: it is one piece. */
export const contentsOf = (
  part: Pick<CataloguePart, "number" | "spec" | "contains">,
): readonly { readonly number: string; readonly qty: number }[] =>
  part.contains.length || !isPair(part) ? part.contains : [{ number: part.number, qty: 2 }];

/** What a supplier asks for a part. */
export const supplierOffer = z.strictObject({
  supplier: z.string().trim().min(1, "an offer needs a supplier").max(60),
  number: partNumber,
  /** of one pack */
  price: z.number().min(0).max(1e6),
  /** pieces in a pack */
  pack: z.int().min(1).max(10_000).default(1),
  /** packs that can be had; left out: not told */
  stock: z.int().min(0).max(1e6).optional(),
  /** fewest packs that are sold */
  minPacks: z.int().min(1).max(10_000).default(1),
  /** working days until it is here */
  leadDays: z.number().min(0).max(365),
});
export type SupplierOffer = Frozen<z.infer<typeof supplierOffer>>;

export const supplier = z.strictObject({
  name: z.string().trim().min(1).max(60),
  shipping: z.number().min(0).max(1e5).default(0),
  /** no shipping is asked from this sum on */
  freeFrom: z.number().min(0).max(1e6).optional(),
  minimumOrder: z.number().min(0).max(1e6).default(0),
});
export type Supplier = Frozen<z.infer<typeof supplier>>;

/** A unit, as far as parts are sold by it. */
export interface UnitName {
  readonly maker: string;
  readonly model: string;
  readonly variant?: string;
  readonly serial?: string;
}

export type { GearSpec, PartSpec, SoldKind } from "./part-spec";
