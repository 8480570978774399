import { z } from "zod";
import type { Frozen } from "../frozen";
import { later, ref, text } from "./written";

export const SERVICES = ["clean", "inspect", "replace", "pull-seal", "ream", "bond", "deburr", "measure"] as const;

/** What is done to a part before it is fitted, or to something that stayed in the machine while a step left it open. */
export const serviceSchema = z.strictObject({
  id: ref,
  part: ref.optional(),
  reachedBy: ref.optional(),
  do: z.enum(SERVICES, { error: `is none of: ${SERVICES.join(", ")}` }),
  note: text.optional(),
  waitMinutes: z.number().min(0).max(100_000).optional(),
  x: later,
});
export type Service = Frozen<z.infer<typeof serviceSchema>>;

/** Where a lubricant goes, which, how much, and when. */
export const lubePointSchema = z.strictObject({
  id: ref,
  part: ref.optional(),
  reachedBy: ref.optional(),
  when: z.enum(["before-fit", "after-fit"]).optional(),
  lubricant: text.optional(),
  grams: z.number().min(0, "must not be negative").max(100_000).optional(),
  where: text.optional(),
  x: later,
});
export type LubePoint = Frozen<z.infer<typeof lubePointSchema>>;

/** A point that grease was weighed in at. */
export const weighedPointSchema = lubePointSchema.extend({
  weighedGrams: z.number("must be a weight in grams").min(0, "must not be negative").max(1_000_000, "is more than any case holds").optional(),
  weighedAt: text.optional(),
});
export type WeighedPoint = Frozen<z.infer<typeof weighedPointSchema>>;
