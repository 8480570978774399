import { z } from "zod";
import type { Frozen } from "@/core/frozen";
import { partSchema } from "@/core/job/part";
import { stepSchema } from "@/core/job/step";

/** A step that is to be edited, with the names and states of its parts: fetched when its pocket is taken in hand. */
export const laidStep = z.object({
  step: stepSchema,
  parts: z.array(z.object({ id: z.string(), name: z.string(), state: partSchema.shape.state })),
});
export type LaidStep = Frozen<z.infer<typeof laidStep>>;
