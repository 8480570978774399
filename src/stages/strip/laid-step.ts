import { z } from "zod";
import type { Frozen } from "@/core/frozen";
import { partSchema } from "@/core/job/part";
import { jobPicture } from "@/core/job/picture";
import { stepSchema } from "@/core/job/step";

/**
 * A step that is to be edited, with the names and states of its parts and its pictures: fetched when its
 * pocket is taken in hand.
 */
export const laidStep = z.object({
  step: stepSchema,
  parts: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      state: partSchema.shape.state,
      kind: partSchema.shape.kind,
    }),
  ),
  pictures: z.array(jobPicture),
});
export type LaidStep = Frozen<z.infer<typeof laidStep>>;
