import { z } from "zod";
import type { Frozen } from "../frozen";
import { FREEINGS } from "../hardware/freed";
import { hardwareKind } from "../hardware/kinds";
import { PART_KINDS } from "../hardware/part-kind";
import { text } from "./written";

/** Moments around a step's return at which something is looked at or minded. */
export const ASSEMBLY_MOMENTS = ["before", "while", "laid", "final", "on", "held"] as const;
/**
 * `before`: before it goes on. `while`: while it goes on. `laid`: once what lies on it lies there, and
 * nothing draws it yet. `final`: before it is made final, by its pin, its screws, its clip. `on`: once it is
 * on. `held`: once what holds it in later steps is on too.
 */
export type AssemblyMoment = (typeof ASSEMBLY_MOMENTS)[number];

/** How a part is joined, as its pieces and what was said of it tell. */
export const JOINTS = [
  "belt", "bent-tab", "blocked", "brush", "bush", "circlip", "cross-pin", "disc-springs", "dowels", "drain", "flats", "gasket",
  "glue", "grub-screw", "halves", "hinge-pin", "hooks", "inserts", "jacked", "key", "left-hand", "loosened", "marks",
  "o-ring", "one-nut", "one-way", "plastic-screws", "press-fit", "screws", "screws-out", "seal", "setting", "shrunk", "soldered",
  "spline", "spring", "stack", "caught", "valve", "switch-cam", "tabs", "taper", "threaded", "toothed-belt", "turned-on", "wires", "wired",
  "earth", "cord-grip", "teeth", "meets", "washers", "stood", "locked", "turns", "closes", "bearing", "balls", "hose",
] as const; // biome-ignore format: a list
export type Joint = (typeof JOINTS)[number];

const sentence = text.min(2, "say it in a sentence");
/** Something to look at or feel: "yes" is good, and "does not apply" is an answer. */
const look = z.strictObject({
  act: z.literal("look"),
  moment: z.enum(ASSEMBLY_MOMENTS),
  /** its own name among all looks: answers are kept by it */
  key: text.min(1),
  asks: sentence,
  /** what is done where the answer is no */
  ifNot: sentence,
  because: sentence,
  /** words of a part that has to be back before it can be looked at: the cam of a switch */
  waitsFor: z.array(text.min(2)).optional(),
});
/** Something to mind, which asks nothing. */
const mind = z.strictObject({
  act: z.literal("mind"),
  moment: z.enum(ASSEMBLY_MOMENTS),
  says: sentence,
  because: text.optional(),
});

/**
 * What a good technician knows of how something goes together: where it applies, what is looked at and minded
 * and when, what goes on before what. Data: a shop writes its own in the same form.
 */
export const assemblySchema = z.strictObject({
  id: z.string().regex(/^[a-z0-9-]{2,60}$/, "is small letters, figures and hyphens"),
  /** as it is said: "a pin through hub and shaft" */
  says: sentence,
  when: z.strictObject({
    /** all of these joints */
    joints: z.array(z.enum(JOINTS)).min(1).optional(),
    /** none of these */
    without: z.array(z.enum(JOINTS)).optional(),
    /** a part of one of these kinds, said or confirmed */
    kinds: z.array(z.enum(PART_KINDS)).min(1).optional(),
    /** no part of any of these */
    notKinds: z.array(z.enum(PART_KINDS)).optional(),
    /** a piece of one of these kinds */
    pieces: z.array(hardwareKind).min(1).optional(),
    /** it came free in one of these ways */
    freed: z.array(z.enum(FREEINGS)).min(1).optional(),
  }),
  adds: z
    .array(z.discriminatedUnion("act", [look, mind]))
    .min(1)
    .max(20),
  /** pieces that go in before the part, or hold it once it is there */
  orders: z
    .array(
      z.tuple([
        z.union([hardwareKind, z.literal("part")]),
        z.literal("before"),
        z.union([hardwareKind, z.literal("part")]),
      ]),
    )
    .optional(),
  source: text.min(2),
});
export type Assembly = Frozen<z.infer<typeof assemblySchema>>;
export type Look = Frozen<z.infer<typeof look>>;
export type Mind = Frozen<z.infer<typeof mind>>;
