import { z } from "zod";
import type { Frozen } from "../frozen";
import { moment, text } from "./written";

/** Something that was measured on a part. */
export const readingSchema = z.strictObject({
  id: z.int(),
  part: text,
  /** a key of READING_KINDS, or over pins of a size */
  what: text,
  /** over how many teeth, or pitches */
  teeth: z.int("the number of teeth must be whole").min(1, "it is over 1 tooth or more").max(200).optional(),
  value: z.number(),
  /** one standard deviation, where the instrument's own does not hold */
  u: z.number().min(0).optional(),
  source: text,
  at: moment,
});
export type Reading = Frozen<z.infer<typeof readingSchema>>;

/** Something that the hardware bench named. */
export const hardwareFind = z.strictObject({
  name: z.string().max(80, "is longer than 80 characters"),
  /** "bore 8.01, outside 21.98 mm" */
  from: z.string().max(200, "is longer than 200 characters"),
  /** how likely it is that; left out where it was measured or read off, and not named from a table */
  sure: z.number().min(0).max(1).optional(),
  source: z.string().max(80, "is longer than 80 characters"),
  at: moment,
});
export type HardwareFind = Frozen<z.infer<typeof hardwareFind>>;
