import type { Action } from "../job/step";

/** What undoes each action: its name in the plan, and how it is said at the bench. A note has no inverse. */
export const INVERSE_ACTION: Readonly<Record<Exclude<Action, "note">, { readonly name: string; readonly says: string }>> = {
  unscrew: { name: "screw-in", says: "screw in" },
  "lift-off": { name: "set-on", says: "set on" },
  pull: { name: "push-on", says: "push on" },
  "press-out": { name: "press-in", says: "press in" },
  "drive-out": { name: "drive-in", says: "drive in" },
  unclip: { name: "clip", says: "clip in" },
  unplug: { name: "plug-in", says: "plug in" },
  unsolder: { name: "solder", says: "solder" },
  drain: { name: "fill", says: "fill" },
  peel: { name: "lay-in", says: "lay in" },
  slide: { name: "slide-in", says: "slide in" },
  open: { name: "close", says: "close" },
  loosen: { name: "tighten", says: "tighten" },
  block: { name: "take-out", says: "take out" },
};
