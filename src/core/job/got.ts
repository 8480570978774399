import { z } from "zod";
import type { Frozen } from "../frozen";
import { words } from "./written";

/** Where a part that goes in comes from, when it is not chosen out of the catalogue and ordered. */
export const SOURCES = [
  { from: "kit", says: "a kit in hand", tells: "out of a kit in hand", asks: "Which kit, which piece of it" },
  {
    from: "counter",
    says: "the counter",
    tells: "bought at the counter",
    asks: "Where, and what it says on it",
  },
  { from: "customer", says: "the customer", tells: "brought by the customer", asks: "What it is" },
  { from: "donor", says: "another unit", tells: "out of another unit", asks: "Which unit" },
  { from: "made", says: "made here", tells: "made here", asks: "How, and of what" },
] as const;
export type Source = (typeof SOURCES)[number]["from"];

/** The two ways in which nothing new goes in. */
export const STAYS = [
  { fate: "repair", says: "mended", asks: "What is done to it" },
  { fate: "keep", says: "left as it is", asks: "Because" },
] as const;

export const gotSchema = z.strictObject({
  from: z.enum(SOURCES.map((s) => s.from)),
  says: words.optional(),
  number: words.optional(),
  /** what the customer pays for it before tax */
  price: z
    .number("must be an amount")
    .min(0, "must not be negative")
    .max(1e6, "is more than a million")
    .optional(),
  /** in what it differs from what came out: another shape, another count */
  differs: words.optional(),
});
export type Got = Frozen<z.infer<typeof gotSchema>>;

/**
 * @example gotInWords({ from: "counter", says: "Tamsin’s Tools, 608-2RS" }) // "bought at the counter,
 *   Tamsin’s Tools, 608-2RS"
 */
export const gotInWords = ({ from, says, number }: Got): string =>
  [
    SOURCES.find((s) => s.from === from)?.tells ?? from,
    says,
    number && (says?.includes(number) ? "" : number),
  ]
    .filter(Boolean)
    .join(", ");
