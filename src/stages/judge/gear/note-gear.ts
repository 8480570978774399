import type { GearNotes } from "@/core/job/gear-notes";
import type { ActionResult } from "../../saving/act";

/** Notes something of the gear; null forgets it. */
export type NoteGear = (notes: { [K in keyof GearNotes]?: GearNotes[K] | null }) => Promise<ActionResult>;
