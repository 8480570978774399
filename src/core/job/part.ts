import { z } from "zod";
import type { Frozen } from "../frozen";
import { kindsFrom, type PartKindName, saidKind } from "../hardware/part-kind";
import { PIECE_STATES } from "../hardware/piece";
import { later, ref, text } from "./written";

/** A part of the unit that came off, or is spoken of. */
export const partSchema = z.strictObject({
  id: ref,
  name: text.optional(),
  kind: text.optional(),
  /** somebody said what it is, besides its name */
  kindSaid: z.boolean().optional(),
  material: text.optional(),
  /** the piece of hardware that it is, where that is judged like a part */
  piece: ref.optional(),
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

/**
 * What a part is, where that was said: by somebody, or by a name that ends in the kind's own word. What a name only
 * hints at decides nothing.
 *
 * @example kindOf({ name: "drive belt" }) // "belt"
 * @example kindOf({ name: "gear head" }) // undefined
 */
export const kindOf = (part: Pick<Part, "name" | "kind">): string | undefined =>
  part.kind ?? (part.name ? saidKind(part.name) : undefined);

/** The likeliest kinds of a part whose name only hints at one, at most three: somebody has to say which. */
export const askedKinds = (part: Pick<Part, "name" | "kind">): PartKindName[] =>
  kindOf(part) === undefined ? kindsFrom(part.name ?? "").slice(0, 3) : [];
