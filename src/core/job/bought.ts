import { z } from "zod";
import type { Frozen } from "../frozen";
import { comparedSchema } from "../match/arrival/arrival";
import { quoteSchema } from "../match/quote/quote";
import { SERVICES } from "./service";
import { day, moment, text } from "./written";

/** What was quoted, ordered and sent for a job. */

export const orderedLine = z.strictObject({
  number: text,
  packs: z.int().min(0),
  pack: z.int().min(1),
  /** of one pack */
  price: z.number().min(0),
  /** as it was offered when it was ordered: working days, and packs that were there */
  leadDays: z.number().min(0),
  had: z.number().optional(),
});
export type OrderedLine = Frozen<z.infer<typeof orderedLine>>;

/** Something that a supplier told of an order. */
export const supplierNews = z.strictObject({
  day,
  what: z.enum(["confirmed", "short", "shipped", "received"]),
  says: text,
  parcel: z
    .array(
      z.strictObject({
        number: text,
        sent: text,
        packs: z.int(),
        lot: text,
        swapped: z.record(z.string(), z.string()).optional(),
      }),
    )
    .optional(),
});
export type StoredNews = Frozen<z.infer<typeof supplierNews>>;

export const orderSchema = z.strictObject({
  id: z.int(),
  supplier: text,
  reference: text,
  placedOn: day,
  replacement: z.boolean().default(false),
  lines: z.array(orderedLine),
  shipping: z.number().min(0),
  news: z.array(supplierNews).default([]),
});
export type Order = Frozen<z.infer<typeof orderSchema>>;

export const ARRIVAL_DECISIONS = ["accepted", "rework", "sent-back", "stock"] as const;
export type ArrivalDecision = (typeof ARRIVAL_DECISIONS)[number];
export const reworkSchema = z.strictObject({ do: z.enum(SERVICES), note: text });
/** What is to be done to a part that came, so that it fits. */
export const reworkList = z.array(reworkSchema).max(8, "is more than is done to one part");

/** Pieces of one number that came, for one place. */
export const arrivalSchema = z.strictObject({
  id: z.int(),
  orderId: z.int().optional(),
  day,
  supplier: text,
  /** as the slip says */
  number: text,
  qty: z.int(),
  part: text.optional(),
  lot: text.optional(),
  /** of one piece */
  price: z.number().optional(),
  found: comparedSchema.default({}),
  decision: z.enum(ARRIVAL_DECISIONS).optional(),
  reason: text.optional(),
  rework: z.array(reworkSchema).default([]),
  decidedAt: moment.optional(),
});
export type Arrival = Frozen<z.infer<typeof arrivalSchema>>;

/** A quote as it was made, with the customer's answer. */
export const storedQuote = z.strictObject({
  id: z.int(),
  madeAt: moment,
  quote: quoteSchema,
  total: z.number(),
  answer: z.enum(["accepted", "declined"]).optional(),
  answeredOn: moment.optional(),
  byWhom: text.optional(),
  note: text.optional(),
});
export type StoredQuote = Frozen<z.infer<typeof storedQuote>>;
