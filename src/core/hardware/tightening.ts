import { z } from "zod";
import type { Frozen } from "../frozen";

const text = z.string().max(2000, "is longer than 2000 characters");

/** How a screw is drawn by feel, from the loosest. */
export const FEELS = ["finger tight", "snug", "good and tight"] as const;
/** Angles past it that are usual, degrees. */
export const PAST_DEG = [45, 90, 120, 180, 360] as const;
/** What `looseUntil` says of pieces that are drawn when all the rest is on. */
export const AT_THE_END = "end";

/** How tight a piece goes back: what was read off it, felt when it came loose, or said. */
export const tightenSchema = z.strictObject({
  /** the order of several: "cross", "in a row" */
  pattern: text.optional(),
  torqueNm: z.number().positive("a torque is above 0 N·m").max(500, "is more than 500 N·m").optional(),
  /** by feel, as it was said: "snug", "finger tight plus 1/4 turn" */
  feel: text.optional(),
  /** so many degrees past the feel, or past the figure */
  pastDeg: z
    .number("must be an angle in degrees")
    .positive("an angle is above 0°")
    .max(1080, "is more than three turns")
    .optional(),
  /** drawn in so many passes, each of all the screws */
  passes: z
    .int("must be a whole number")
    .min(2, "one pass is no passes")
    .max(6, "are more than six")
    .optional(),
  /** all are started by hand before any is drawn */
  startAll: z.boolean().optional(),
  /** left loose until this step (its id) is on, or until the very end */
  looseUntil: z.string().min(1).max(40).optional(),
  x: z.record(z.string(), z.unknown()).optional(),
});
export type Tighten = Frozen<z.infer<typeof tightenSchema>>;

const TURNS: Readonly<Record<number, string>> = {
  45: "an eighth of a turn",
  90: "a quarter of a turn",
  120: "a third of a turn",
  180: "half a turn",
  360: "a whole turn",
};

/** An angle as a hand knows it. @example turnInWords(90) // "a quarter of a turn (90°)" */
export const turnInWords = (deg: number): string => (TURNS[deg] ? `${TURNS[deg]} (${deg}°)` : `${deg}°`);

/**
 * How tight, in one breath, without its order.
 *
 * @example tightInWords({ feel: "snug", pastDeg: 45 }) // "snug, then an eighth of a turn (45°) past it"
 */
export const tightInWords = (t: Pick<Tighten, "torqueNm" | "feel" | "pastDeg">): string =>
  [
    t.torqueNm === undefined ? undefined : `${t.torqueNm} N·m`,
    t.feel,
    t.pastDeg === undefined ? undefined : pastInWords(t.pastDeg),
  ]
    .filter(Boolean)
    .join(", ");

const pastInWords = (deg: number): string => `then ${turnInWords(deg)} past it`;

/** Said where they are put in; where they are drawn later they are started already. */
export const STARTED = "Start all of them by hand before any is drawn.";

/** How the screws of one line are drawn besides how tight: what holds for any of them, each once. */
export function drawnInWords(all: readonly (Tighten | undefined)[]): string[] {
  const passes = Math.max(0, ...all.map((t) => t?.passes ?? 0));
  return [
    ...(all.some((t) => t?.startAll) ? [STARTED] : []),
    ...(passes ? [`Draw them in ${passes} passes, each time all of them.`] : []),
  ];
}
