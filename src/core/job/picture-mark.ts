import { z } from "zod";
import type { Frozen } from "../frozen";

const share = z.number().min(-0.5).max(1.5);
const point = z.tuple([share, share]);

/**
 * A mark on a picture, kept as data beside it: the picture itself is never changed. Places are shares of its
 * width and height, from the top left.
 *
 * An arrow points from its tail to its head; a ring has a middle and a radius (a share of the width); a
 * number and a word stand at a place.
 */
export const pictureMarkSchema = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("arrow"), from: point, to: point }),
  z.strictObject({ kind: z.literal("ring"), at: point, radius: z.number().positive().max(1) }),
  z.strictObject({ kind: z.literal("number"), at: point, n: z.int().min(1).max(99) }),
  z.strictObject({
    kind: z.literal("word"),
    at: point,
    says: z.string().min(1, "a word mark needs its word").max(80, "is longer than 80 characters"),
  }),
]);
export type PictureMark = Frozen<z.infer<typeof pictureMarkSchema>>;

/** The next free number for a number mark. */
export const nextNumber = (marks: readonly PictureMark[]): number =>
  marks.reduce((n, m) => (m.kind === "number" ? Math.max(n, m.n) : n), 0) + 1;
