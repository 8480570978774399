import { z } from "zod";
import type { Frozen } from "../frozen";
import { pictureMarkSchema } from "./picture-mark";
import { ref, text } from "./written";

export const PICTURE_ROLES = ["intake", "step", "finding", "condition", "loose", "variant", "after"] as const;
export type PictureRole = (typeof PICTURE_ROLES)[number];

/** A picture of a job: which, what it is of, and what was drawn on it. */
export const jobPicture = z.strictObject({
  sha256: z.string().regex(/^[0-9a-f]{64}$/),
  /** its name in the job file, `0001.jpg` */
  name: text,
  step: ref.optional(),
  part: text.optional(),
  role: z.enum(PICTURE_ROLES),
  marks: z.array(pictureMarkSchema).max(60, "60 marks hide the picture").optional(),
  /** px, upright */
  width: z.int().optional(),
  height: z.int().optional(),
  /** the recorder's own name for its step, until that is laid down */
  stepKey: text.optional(),
});
export type JobPicture = Frozen<z.infer<typeof jobPicture>>;
