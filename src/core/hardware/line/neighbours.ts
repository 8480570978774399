import type { HardwareKind } from "../kinds";
import type { Token } from "./tokens";

type Kinds = readonly Token["t"][];

/** Prepositions are followed by what something lies at. What ends it again: a fact that no place has. */
export const ENDS_PLACE: Kinds = [
  "drive", "length", "torque", "tight", "once", "locker", "state", "hand", "into", "wire", "facing", "mark",
  "freed", "bracket", "size", "stays", "kept",
  "aside",
]; // biome-ignore format: a short list reads better in rows

/** What may stand behind a command of freeing. */
export const BEHIND_COMMAND: Kinds = ["bracket", "wire", "torque", "freed"];

/** What belongs to a place wherever it stands in one. */
export const IN_PLACE: Kinds = [
  "number",
  "word",
  "empty",
  "preposition",
  "place",
  "direction",
  "look",
  "countWord",
  "code",
];

/** What a number right before it counts; and what a number behind it would measure. */
export const COUNTABLE: Kinds = ["thread", "drive", "kind", "form", "size"];
export const SIZED: Kinds = ["thread", "drive", "kind", "size", "three", "length"];

/** What is measured behind "at" or "of": no place begins there. */
export const MEASURES: Kinds = ["torque", "tight", "length"];

/** What has three sizes: inside, outside, width, or width, height, length. */
export const THREE_SIZES: readonly HardwareKind[] = [
  "seal",
  "key",
  "bearing",
  "spacer",
  "brush",
  "thrust-washer",
  "washer",
  "o-ring",
  "gasket",
  "disc-spring",
];

/** What is turned by a driver or a wrench. */
export const DRIVEN: readonly HardwareKind[] = ["screw", "nut", "clamp", "insert", "spacer", "plug", "other"];

/** So many of one kind are counted with a figure and a cross; more are a size. */
export const FEW = 12;

/** Names that stand before another's to tell it apart: "carbon brush spring". */
const TELL_APART =
  /^(carbon|brush|belt|bearing|spring|ball|seal|plug|clamp|key|pawl|washer|rivet|clip|circlip|pin)$/i;
const CAN_BE_TOLD = /^(springs?|screws?|clips?|clamps?|covers?|pins?|washers?|bolts?|nuts?)$/i;
export const isTold = (before: string, behind: string): boolean =>
  TELL_APART.test(before) && CAN_BE_TOLD.test(behind);
