import type { Action, StripStep } from "../job/step";

/** What undoes an action. */
export interface Inverse {
  /** in the plan */
  readonly name: string;
  /** what brings a part back that came off this way, as it is said at the bench */
  readonly part: string;
  /** where nothing was named that came off */
  readonly again: string;
}

/** What undoes each action. A note has no inverse. */
export const INVERSE_ACTION: Readonly<Record<Exclude<Action, "note">, Inverse>> = {
  unscrew: { name: "screw-in", part: "screw on", again: "screw in again" },
  "lift-off": { name: "set-on", part: "set on", again: "set back on" },
  pull: { name: "push-on", part: "push on", again: "push back on" },
  "press-out": { name: "press-in", part: "press in", again: "press in again" },
  "drive-out": { name: "drive-in", part: "tap in", again: "drive in again" },
  unclip: { name: "clip", part: "clip in", again: "clip in again" },
  unplug: { name: "plug-in", part: "plug in", again: "plug in again" },
  unsolder: { name: "solder", part: "solder in", again: "solder again" },
  drain: { name: "fill", part: "fill", again: "fill again" },
  peel: { name: "lay-in", part: "lay in", again: "lay in again" },
  slide: { name: "slide-in", part: "slide in", again: "slide in again" },
  open: { name: "close", part: "close", again: "close again" },
  loosen: { name: "tighten", part: "tighten", again: "tighten again" },
  block: { name: "take-out", part: "take out", again: "take out" },
};

/** Whether the pins of a step were driven out, and are driven in again. */
export const wasDriven = (s: Pick<StripStep, "action" | "freed">): boolean =>
  s.action === "drive-out" ||
  s.action === "press-out" ||
  s.freed?.how === "drive" ||
  s.freed?.how === "press";
