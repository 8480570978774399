import { z } from "zod";
import type { Frozen } from "../../frozen";
import { cataloguePart, supplierOffer } from "./catalogue-part";

/**
 * The best of what was found in the catalogue, and how many there are in all; `more`: more than that, and not
 * counted.
 */
export const foundParts = z.strictObject({
  parts: z.array(cataloguePart),
  total: z.int(),
  more: z.boolean(),
});
export type FoundParts = Frozen<z.infer<typeof foundParts>>;

const brief = z.strictObject({ number: cataloguePart.shape.number, name: cataloguePart.shape.name });

/** A part with what the rest of the catalogue says about it. */
export const aboutPart = z.strictObject({
  part: cataloguePart,
  offers: z.array(supplierOffer),
  /** what took its place; `when`: under which condition */
  replacedBy: z.array(brief.extend({ when: z.string().optional() })),
  inKits: z.array(brief),
});
export type AboutPart = Frozen<z.infer<typeof aboutPart>>;
