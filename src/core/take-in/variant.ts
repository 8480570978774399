import { z } from "zod";
import type { Frozen } from "../frozen";

/** One build of a model, and the mark on the unit by which it is told. */
export const variantSchema = z.strictObject({
  variant: z.string().trim().min(1, "give the variant a name").max(80, "must be shorter than 80 characters"),
  mark: z
    .string()
    .trim()
    .min(3, "say by which mark it is told")
    .max(200, "must be shorter than 200 characters"),
});
export type Variant = Frozen<z.infer<typeof variantSchema>>;
