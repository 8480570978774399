import { knocksOf } from "./knock";
import type { ByAngle } from "./resample";
import { swellsOf } from "./swell";
import type { HeardGear, TrainLines } from "./train-lines";

/** What one gear does to the sound. */
export interface GearSigns {
  readonly gear: HeardGear;
  /**
   * by how much the mesh swells and ebbs with this gear, as a share of its loudness, and one standard
   * deviation; null where it turns too slowly, or its mesh is not heard
   */
  readonly swell: { readonly depth: number; readonly u: number } | null;
  /**
   * a knock once a turn: how plainly (against what noise does), and how loud against what is heard between;
   * null where it turns too slowly
   */
  readonly knock: { readonly plain: number; readonly loud: number } | null;
}

/**
 * What every gear of a train does to its sound: swelling with its turn, and knocking once a turn.
 *
 * @param spectrum of the recording by angle
 * @param hz turns of the motor a second
 */
export function signsOf(
  spectrum: readonly number[],
  sound: ByAngle,
  hz: number,
  lines: TrainLines,
): GearSigns[] {
  const swells = new Map(
    lines.meshes.flatMap((m) => swellsOf(spectrum, sound, hz, m)).map((s) => [s.gear, s]),
  );
  const knocks = knocksOf(spectrum, sound, hz, lines);
  return lines.meshes.flatMap((m) =>
    m.gears.map((gear) => {
      const s = swells.get(gear);
      return { gear, swell: s ? { depth: s.depth, u: s.u } : null, knock: knocks.get(gear.knocks) ?? null };
    }),
  );
}
