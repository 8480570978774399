import { z } from "zod";
import type { Frozen } from "../frozen";
import { PIECE_STATES } from "../hardware/piece";
import { later, ref, text } from "./written";

/** A part of the unit that came off, or is spoken of. */
export const partSchema = z.strictObject({
  id: ref,
  name: text.optional(),
  kind: text.optional(),
  /** somebody said what it is; until then it is guessed from its name */
  kindSaid: z.boolean().optional(),
  material: text.optional(),
  /** goes back new: it failed, or it is used once */
  renew: z.boolean().optional(),
  state: z.enum(PIECE_STATES).optional(),
  x: later,
});
export type Part = Frozen<z.infer<typeof partSchema>>;

/**
 * What a part is called on a screen or a sheet: by its name, or, where nobody gave it one, by its kind. Never
 * by its id.
 */
export const partName = (part: Pick<Part, "name" | "kind"> | undefined): string =>
  part?.name || `unnamed ${part?.kind ?? "part"}`;

/** The same for a part of a job that is known by its id. */
export const partNamed = (job: { readonly parts: readonly Part[] }, id: string): string =>
  partName(job.parts.find((p) => p.id === id));
