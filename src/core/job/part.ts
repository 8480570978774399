import { z } from "zod";
import type { Frozen } from "../frozen";
import { PIECE_STATES } from "../hardware/piece";
import { later, ref, text } from "./written";

/** A part of the unit that came off, or is spoken of. */
export const partSchema = z.strictObject({
  id: ref,
  name: text.optional(),
  kind: text.optional(),
  material: text.optional(),
  /** goes back new: it failed, or it is used once */
  renew: z.boolean().optional(),
  state: z.enum(PIECE_STATES).optional(),
  x: later,
});
export type Part = Frozen<z.infer<typeof partSchema>>;
