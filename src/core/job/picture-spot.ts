import { z } from "zod";
import type { Frozen } from "../frozen";
import { text } from "./written";

/** A place that was pointed at in a picture of the job: shares of its width and height. */
export const pictureSpot = z.strictObject({
  picture: text,
  x: z.number().min(0).max(1),
  y: z.number().min(0).max(1),
});
export type PictureSpot = Frozen<z.infer<typeof pictureSpot>>;
