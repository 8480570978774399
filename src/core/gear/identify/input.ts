import { z } from "zod";
import type { Frozen } from "../../frozen";
import { measuredInput } from "../../quantity/measured";
import { making } from "../as-made";
import { lengthFields, lengthInput } from "./length-input";
import type { Residual } from "./ranked";
import type { ToothSize } from "./standard-sizes";

export const identifyInput = z.strictObject({
  kind: z.enum(["spur", "helical"], { error: 'is none of "spur", "helical", "bevel", "worm", "internal"' }),
  teeth: z
    .int("must be a whole number")
    .min(4, "a gear has 4 teeth or more")
    .max(400, "more than 400 teeth")
    .nullable()
    .optional(),
  tipDiameter: lengthInput("a tip diameter").optional(),
  /** the tip diameter is what flat jaws showed: short across an odd count */
  acrossFlatJaws: z.boolean().optional(),
  rootDiameter: lengthInput("a root diameter").optional(),
  spans: z
    .array(
      z.strictObject({
        teeth: z.int("must be a whole number").min(1, "a span is over 1 tooth or more").max(60),
        ...lengthFields,
      }),
    )
    .optional(),
  /** from tip to tip over some pitches, on the sound part of a broken gear */
  chords: z
    .array(
      z.strictObject({
        pitches: z.int("must be a whole number").min(1, "a chord is over 1 pitch or more").max(200),
        ...lengthFields,
      }),
    )
    .optional(),
  /** the angle between two sound teeth with so many pitches between them */
  arc: z
    .strictObject({ pitches: z.int("must be a whole number").min(1).max(400), angle: measuredInput })
    .optional(),
  overPins: z.strictObject({ pin: z.number().positive(), ...lengthFields }).optional(),
  helixAngle: measuredInput.optional(),
  hand: z.enum(["left", "right"]).optional(),
  mate: z
    .strictObject({ teeth: z.int().min(4).max(400), centreDistance: lengthInput("a centre distance") })
    .optional(),
  /** the tooth of the gear it is known to mesh with, which was named before */
  meshesWith: z
    .strictObject({ module: z.number().positive(), pressureAngle: z.number(), helixAngle: z.number() })
    .optional(),
  tipsWorn: z.boolean().optional(),
  /** how it was made, which tells by how much its teeth are thinned */
  making: making.optional(),
});
export type IdentifyInput = Frozen<z.infer<typeof identifyInput>>;

/** A tooth that the readings allow, and how probable it is. */
export interface Hypothesis {
  /** free: no standard tooth; its module is what was measured */
  readonly system: ToothSize["system"] | "free";
  readonly module: number;
  readonly diametralPitch: number | null;
  readonly teeth: number;
  readonly pressureAngle: number;
  readonly helixAngle: number;
  readonly profileShift: number;
  /**
   * how far the readings leave helix angle (degrees) and shift (modules) open, one standard deviation each
   */
  readonly spread: { readonly helix: number; readonly shift: number };
  /** how high the tooth stands over the reference circle without shift, in modules: 1, or 0.8 for a stub */
  readonly addendum: number;
  /**
   * what becomes of tips: as made (a little low), topped (a shifted pinion with a land left on its tips), or
   * worn
   */
  readonly tips: "as made" | "topped" | "worn";
  /** whether its spans are as low as a new gear's, or lower */
  readonly flanks: "as made" | "worn";
  readonly probability: number;
  /** everything that was used, against what a gear of this name and making is expected to show */
  readonly residuals: readonly Residual[];
}

/** Readings that cannot all be true: which one is likely to be the slip, and why. */
export interface Doubt {
  /** its place in the input: "tipDiameter", "spans[1]", "teeth", "helixAngle", "kind", "units" */
  readonly reading: string;
  /** a sentence for the bench */
  readonly why: string;
  /** how likely it is that this is the slip, 0 to 1 */
  readonly probability: number;
}
