import { z } from "zod";
import type { Frozen } from "../frozen";
import { fateName } from "../judge/fate";
import { ROOTS } from "../judge/roots";
import { gearIdentity, gearNotes } from "./gear-notes";
import { goesInSchema } from "./goes-in";
import { gotSchema } from "./got";
import { later, ref, text } from "./written";

/** What is wrong with a part, what it is, and what is done about it. */
export const findingSchema = z.strictObject({
  part: ref,
  mode: text.optional(),
  /** what else was found at it */
  also: z.array(text).max(10, "are more than 10").optional(),
  extent: text.optional(),
  note: text.optional(),
  /** tooth, from 0 → its mark */
  teeth: z.record(z.string().regex(/^\d{1,4}$/, "is no tooth"), z.string().max(40)).default({}),
  gear: gearNotes.default({}),
  identity: gearIdentity.optional(),
  /** the number of the catalogue part that takes its place */
  chosen: text.optional(),
  /** the number that stands on the part */
  readNumber: text.optional(),
  /** where what goes in comes from, if it is not ordered out of the catalogue */
  got: gotSchema.optional(),
  /** what goes in in its place, where that is made up otherwise */
  goesIn: goesInSchema.optional(),
  /** what is done about it, and why */
  fate: fateName.optional(),
  fateWhy: text.optional(),
  x: later,
});
export type Finding = Frozen<z.infer<typeof findingSchema>>;

/** The technician's own verdict on why it failed; stands above what the rules say. */
export const chosenCauses = z.strictObject({
  chosen: z
    .array(z.enum(ROOTS.map((r) => r.cause)))
    .max(20)
    .optional(),
  words: text.optional(),
  /** a sign that was looked for → whether it was there */
  looked: z.record(z.string().max(60), z.boolean()).optional(),
});
export type ChosenCauses = Frozen<z.infer<typeof chosenCauses>>;
