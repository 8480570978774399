import { z } from "zod";
import type { Frozen } from "../frozen";
import { FREEINGS } from "../hardware/freed";
import { hardwareSchema } from "../hardware/piece";
import { later, ref, text } from "./written";

/** A step of the strip: one thing that came off or was done, as the job file (docs/formats.md) writes it. */

export const ACTIONS = [
  "unscrew", "lift-off", "pull", "press-out", "drive-out", "unclip", "unplug", "unsolder",
  "drain", "peel", "slide", "open", "loosen", "block", "note",
] as const; // biome-ignore format: a short list reads better in rows
export type Action = (typeof ACTIONS)[number];
export const action = z.enum(ACTIONS, { error: `is none of: ${ACTIONS.join(", ")}` });

/** How a step's thing got free, and with what; `standIn` where the right tool was not at hand. */
export const freedSchema = z.strictObject({
  how: z.enum(FREEINGS),
  /** word for word, where it was said in words */
  says: text.optional(),
  tool: text.optional(),
  standIn: z.boolean().optional(),
  x: later,
});
/** Which way round it stood: a tooth or a gap at the pin, turns to dead centre, a mark. */
export const timingSchema = z.strictObject({
  pin: z.enum(["tooth", "gap"]).optional(),
  turns: z.number().min(0, "must not be negative").max(100, "is more than 100 turns").optional(),
  says: text.optional(),
  x: later,
});
/** Moments around a step's return at which something of one's own is to be done or looked at. */
export const BACK_MOMENTS = [
  "instead",
  "before",
  "while",
  "final",
  "after",
  "closing",
  "end",
  "calibrate",
] as const;
export type BackMoment = (typeof BACK_MOMENTS)[number];
/**
 * What is said of a step's return: how it goes on, in place of what is proposed; what must happen before it
 * goes back, while it goes on, before what makes it final is driven or drawn, right after it, before
 * something closes over it, when everything is on, or last of all, set and measured.
 */
export const goesBackWith = z.strictObject({
  when: z.enum(BACK_MOMENTS),
  says: z.string().trim().min(2, "say what is to be done").max(200, "is longer than 200 characters"),
  /** of what comes once it is on: not before this step is back, too */
  step: ref.optional(),
  x: later,
});
export type GoesBackWith = Frozen<z.infer<typeof goesBackWith>>;
/** What something that was said beside the pieces is about. */
export const REMARKS = ["way", "seat", "variant", "meanwhile", "return", "share"] as const;
export type RemarkAbout = (typeof REMARKS)[number];
/**
 * Something said beside what came off, word for word: how it came off, what it sits on or what stays, how
 * other units are made, what was put on for a while, a condition of its return, what some of the pieces are
 * like.
 */
export const remarkSchema = z.strictObject({ about: z.enum(REMARKS), says: text, x: later });
export type Remark = Frozen<z.infer<typeof remarkSchema>>;
/**
 * Where the screws of a step sit, as they were pointed at in its picture: shares of its width, and of its
 * width again downwards, so that both are one measure.
 */
export const holesSchema = z.strictObject({
  /** left out: pointed at in an earlier unit of the model */
  picture: text.optional(),
  at: z
    .array(z.tuple([z.number().min(-1).max(2), z.number().min(-1).max(5)]))
    .min(3, "fewer than three holes have no order")
    .max(24, "are more than 24"),
  x: later,
});
export type Holes = Frozen<z.infer<typeof holesSchema>>;
export const wireSchema = z.strictObject({
  colour: text.min(1, "a wire needs its colour"),
  to: text.min(1, "say which terminal the wire goes to"),
  x: later,
});

/**
 * Everything a step can say of itself besides what came off. The recorder, the store, the job file and the
 * plan all go by this list: a fact that is added here needs its panel
 * (stages/strip/panels) and its words (step-words.ts), and nothing else.
 */
export const stepFacts = z.strictObject({
  facing: text.optional(),
  marks: z.array(text).max(20, "are more than 20").optional(),
  wires: z.array(wireSchema).max(60, "are more than 60").optional(),
  /** what held it besides its screws */
  held: z.array(text).max(20, "are more than 20").optional(),
  freed: freedSchema.optional(),
  timing: timingSchema.optional(),
  /** where its screws sit in its picture */
  holes: holesSchema.optional(),
  /** how something adjustable stood before it was touched: "2½ turns in", "three threads showing" */
  setting: text.optional(),
  /** hazards named by the technician: keys of the table in core/safety/cautions.ts */
  cautions: z.array(text).max(20, "are more than 20").optional(),
  /** what must not be undone any further, in words */
  doNotUndo: text.optional(),
  /** what must happen around its return */
  back: z.array(goesBackWith).max(20, "are more than 20").optional(),
  tray: text.optional(),
  /** what it is screwed on with has a left-hand thread, where that is no piece of hardware: a hub, a head */
  leftHand: z.boolean().optional(),
  /** what was said beside the pieces */
  remarks: z.array(remarkSchema).max(60, "are more than 60").optional(),
  /** the line as it was typed, letter by letter */
  said: text.optional(),
  tools: z.array(text).max(40, "are more than 40").optional(),
  minutes: z.number().min(0, "must not be negative").max(10_000, "are more than a week").optional(),
  note: text.optional(),
});
export type StepFacts = Frozen<z.infer<typeof stepFacts>>;

export const stepSchema = z.strictObject({
  id: ref,
  action,
  title: text.optional(),
  parts: z.array(ref).optional(),
  needs: z.array(ref).optional(),
  bundle: ref.optional(),
  hardware: z.array(hardwareSchema).optional(),
  /** hardware and part ids as they lay on each other, from the top down */
  stack: z.array(ref).optional(),
  pictures: z.array(text).optional(),
  ...stepFacts.shape,
  x: later,
});
export type StripStep = Frozen<z.infer<typeof stepSchema>>;

/** So many steps open a lid and swap what lies under it; more have been further in. */
export const FEW_STEPS = 6;

/** What a step is reckoned to take, off or on, where nobody looked at the clock, minutes. */
export const UNTIMED_MINUTES = 2;
/** No step comes off faster: one that is shorter was written down afterwards. */
const LEAST_TIMED_MIN = 0.3;
/** Nor does one take longer: a clock that ran so long ran on while nobody worked. */
const MOST_TIMED_MIN = 120;

/** Minutes that a step is reckoned to take: as its clock says, or as usual where that cannot be. */
export const minutesOf = ({ minutes }: Pick<StripStep, "minutes"> = {}): number =>
  minutes !== undefined && minutes >= LEAST_TIMED_MIN && minutes <= MOST_TIMED_MIN
    ? minutes
    : UNTIMED_MINUTES;
