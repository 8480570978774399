import { z } from "zod";
import type { Frozen } from "../frozen";
import { HARDWARE_NAMES, hardwareKind, NO_PIECE } from "./kinds";
import { tightenSchema, tightInWords } from "./tightening";

const text = z.string().max(2000, "is longer than 2000 characters");
const later = z.record(z.string(), z.unknown()).optional();

/** Shapes of a screw's or nut's head that tell look-alikes apart. */
export const FORMS = [
  "pan",
  "countersunk",
  "socket",
  "hex-head",
  "button",
  "grub",
  "dome",
  "self-locking",
  "wing",
  "flange",
  "round",
  "castle",
] as const;
export type HardwareForm = (typeof FORMS)[number];

/** What became of a piece that did not come off whole. */
export const PIECE_STATES = ["lost", "broken", "missing"] as const;
export type PieceState = (typeof PIECE_STATES)[number];

/** A piece of hardware, or several that are alike: what it is, and where it sat. */
export const pieceFacts = z.strictObject({
  kind: hardwareKind,
  qty: z.int("must be a whole number").min(1, "must be 1 or more").max(500, "is more than 500"),
  thread: text.optional(),
  lengthMm: z.number().positive("must be above 0 mm").max(1000, "is longer than a metre").optional(),
  drive: text.optional(),
  at: text.optional(),
  /** what it is screwed into: plastic, brass, an insert */
  into: text.optional(),
  /**
   * how its thread is cut, where only that was said: for plastic and sheet, or for a nut and a tapped hole
   */
  threadIs: z.enum(["coarse", "machine"]).optional(),
  form: z.enum(FORMS).optional(),
  /** what it looks like: black, brass, blued */
  finish: text.optional(),
  /** a left-hand thread */
  leftHand: z.boolean().optional(),
  /** goes back new */
  once: z.boolean().optional(),
  /** residue of thread locker: its colour, or "seen" */
  locker: text.optional(),
  /** what is printed beside a plug */
  label: text.optional(),
  poles: z.int().min(1).max(99).optional(),
  state: z.enum(PIECE_STATES).optional(),
  /** it did not come away: "loosened", or "with the cover" that it stays in */
  stays: text.optional(),
  /** which way this piece faces, where the others of its step face otherwise */
  facing: text.optional(),
  /** several of them, and nobody counted: the count is one until somebody does */
  uncounted: z.boolean().optional(),
  tighten: tightenSchema.optional(),
});
export type HardwareFacts = Frozen<z.infer<typeof pieceFacts>>;

/** The same with the id that a job names it by. */
export const hardwareSchema = z.strictObject({
  id: z.string().min(1, "must not be empty").max(40, "is longer than 40 characters"),
  ...pieceFacts.shape,
  x: later,
});
export type Hardware = Frozen<z.infer<typeof hardwareSchema>>;

/** What {@link HardwareFacts.stays} says of a piece that was only loosened. */
export const LOOSENED = "loosened";

/**
 * Whether it lies on the bench once its step is laid down: what was only loosened, or stays in its part, does
 * not; nor is debris a piece of the machine.
 */
export const isLoose = (h: Pick<HardwareFacts, "kind" | "stays">): boolean =>
  h.stays === undefined && !NO_PIECE.includes(h.kind);

/** Whether it came off, and lies on the bench: not what stays in its part, nor what was missing already. */
export const isOut = (h: Pick<HardwareFacts, "kind" | "stays" | "state">): boolean =>
  isLoose(h) && h.state !== "missing";

/** Whether it is drawn with a driver or a spanner: a washer is not. */
export const isDrawn = (h: Pick<HardwareFacts, "kind">): boolean =>
  h.kind === "screw" || h.kind === "nut" || h.kind === "clamp";

/** Whether it is screwed in but not drawn when its step goes back. */
export const isLeftLoose = (h: Pick<HardwareFacts, "kind" | "tighten">): boolean =>
  isDrawn(h) && h.tighten?.looseUntil !== undefined;

/** Whether residue of thread locker was seen on it. */
export const wasLocked = (h: Pick<HardwareFacts, "locker">): boolean =>
  h.locker !== undefined && h.locker !== "none";

const STATE_SAYS: Readonly<Record<PieceState, string>> = {
  lost: "LOST",
  broken: "broken",
  missing: "was missing already",
};

/**
 * A piece of hardware in words.
 *
 * @example hardwareInWords({ kind: "screw", qty: 4, thread: "ST3.5", lengthMm: 16, drive: "TX15", at:
 *   "corners" }) // "4 screws ST3.5 × 16, TX15, corners"
 */
export function hardwareInWords(h: HardwareFacts): string {
  const [one, many] = HARDWARE_NAMES[h.kind];
  const size = [
    h.thread,
    h.lengthMm === undefined ? undefined : `${h.thread ? "× " : ""}${h.lengthMm}${h.thread ? "" : " mm"}`,
  ]
    .filter(Boolean)
    .join(" ");
  const looks = [h.finish, h.form === "hex-head" ? "hex" : h.form].filter(Boolean).join(" ");
  const name = [
    h.uncounted ? "uncounted" : h.qty,
    looks,
    h.qty === 1 && !h.uncounted ? one : many,
    h.label,
    h.poles && `${h.poles}-pole`,
    size,
  ]
    .filter(Boolean)
    .join(" ");
  const thread = h.threadIs && (h.threadIs === "coarse" ? "coarse thread" : "machine thread");
  const said = [
    name,
    h.leftHand && "LEFT-HAND",
    h.drive,
    thread,
    h.into && `into ${h.into}`,
    h.at,
    h.locker && `locker ${h.locker}`,
    h.state && STATE_SAYS[h.state],
    h.facing && `▼ ${h.facing}`,
    h.stays && (h.stays === LOOSENED ? "only loosened" : `${h.qty > 1 ? "stay" : "stays"} ${h.stays}`),
  ].filter(Boolean);
  return said.join(", ");
}

/**
 * The same with how tight it is.
 *
 * @example saidInWords({ kind: "screw", qty: 4, thread: "M4", tighten: { torqueNm: 1.2 } }) // "4 screws M4,
 *   1.2 N·m"
 */
export const saidInWords = (h: HardwareFacts): string =>
  [hardwareInWords(h), h.tighten && tightInWords(h.tighten)].filter(Boolean).join(", ");
