import type { Turning } from "@/core/judge/tooth-marks";

/** What a toothed part can be. The first four are named from readings; the others are entered for the train. */
export const GEAR_KINDS = ["spur", "helical", "bevel", "worm", "worm-wheel", "internal", "rack", "pulley", "sprocket"] as const;
export type GearKind = (typeof GEAR_KINDS)[number];

/** What is typed about a gear besides its readings. */
export interface GearNotes {
  /** of a worm: its starts */
  readonly teeth?: number;
  readonly kind?: GearKind;
  readonly hand?: "left" | "right";
  readonly boreForm?: string;
  readonly tipsWorn?: boolean;
  readonly mateTeeth?: number;
  /** the part it meshes with */
  readonly mate?: string;
  /** sound teeth with so many pitches between them, where the count is broken off */
  readonly arcPitches?: number;
  /** as the gear face is drawn */
  readonly turning?: Turning;
  readonly drives?: boolean;
  /** the picture its teeth were counted in, by its name in the job, and how sure that was, 0 to 1 */
  readonly countedFrom?: { readonly picture: string; readonly certainty: number };
  /** for gears that are entered and not named: module, belt or chain pitch, mm */
  readonly moduleMm?: number;
  readonly pitchMm?: number;
}
