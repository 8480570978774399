import { NO_PIECE } from "../hardware/kinds";
import { type HardwareFacts, LOOSENED } from "../hardware/piece";
import type { Action } from "../job/step";

/** How each action is said in the recorder's list. */
export const ACTION_SAYS: Readonly<Record<Action, string>> = {
  unscrew: "unscrewed",
  "lift-off": "lifted off",
  pull: "pulled",
  "press-out": "pressed out",
  "drive-out": "driven out",
  unclip: "unclipped",
  unplug: "unplugged",
  unsolder: "unsoldered",
  drain: "drained",
  peel: "peeled off",
  slide: "slid off",
  open: "opened",
  loosen: "loosened",
  block: "blocked for protection",
  note: "only a note",
};

const ONLY_LOOKED = /^\s*(look(ed)?|checked|inspected|noticed|measured|photographed|found)\b/i;

/**
 * How something most likely came off, from what it was: the recorder's first guess, which the technician can
 * change.
 */
export function likelyAction(
  what: string,
  hardware: readonly Pick<HardwareFacts, "kind" | "stays">[],
  wires = false,
): Action {
  const has = (...kinds: string[]): boolean => hardware.some((h) => kinds.includes(h.kind));
  // words alone put nothing on the bench, and nothing has to go back
  if (!what.trim() && hardware.every((h) => NO_PIECE.includes(h.kind))) return wires ? "unplug" : "note";
  if (hardware.length && hardware.every((h) => h.stays === LOOSENED)) return "loosen";
  if (ONLY_LOOKED.test(what)) return "note";
  if (/\b(rag|plugged|blocked|tape over)\b/i.test(what)) return "block";
  if (has("screw", "nut")) return "unscrew";
  if (has("circlip", "e-clip", "clip")) return "unclip";
  if (has("plug")) return "unplug";
  if (has("rivet")) return "drive-out";
  // that a pin was driven, or a bearing pressed, is said or not so
  if (has("pin", "split-pin", "key", "insert", "bearing")) return "pull";
  if (has("belt")) return "slide";
  if (has("cable-tie")) return "open";
  if (/\b(seal|gasket|o-?ring)\b/i.test(what) || (!what.trim() && has("seal", "gasket", "o-ring")))
    return "peel";
  if (/\b(gear|wheel|pinion|worm|pulley|bearing)\b/i.test(what)) return "pull";
  return "lift-off";
}
