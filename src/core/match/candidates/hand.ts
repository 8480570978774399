import { toldAlike } from "./compared";
import type { Criterion } from "./verdict";
import type { WantedGear } from "./wanted-gear";

/** Which way the teeth lean. */
export const handCriterion = (wanted: WantedGear["hand"], offered: WantedGear["hand"]): Criterion =>
  toldAlike("hand", wanted, offered, {
    same: "leans as its mate asks for",
    other: "the wrong hand does not mesh with what it ran with",
    look: "look which way the teeth lean to settle it",
  });
