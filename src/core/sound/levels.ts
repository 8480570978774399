import type { ByAngle } from "./resample";
import type { TrainLines } from "./train-lines";
import { bandOf } from "./transform";

/** How loud a mesh is, with its overtones and what its gears make beside them. */
export interface MeshLevel {
  readonly mesh: string;
  readonly hz: number;
  /** against all that is heard, dB; null where it lies too low or too high to be heard */
  readonly db: number | null;
}

const OVERTONES = 4;
const LOWEST_HZ = 50;

/**
 * Loudness of every mesh, as a share of the whole recording: two recordings compare by it, however near the
 * microphone was.
 */
export function levelsOf(
  spectrum: readonly number[],
  sound: ByAngle,
  hz: number,
  lines: TrainLines,
): MeshLevel[] {
  const all = sound.samples.reduce((sum, x) => sum + x * x, 0) / sound.samples.length;
  return lines.meshes.map(({ mesh, order, gears }) => {
    const beside = Math.min(0.3 * order, 1.3 * Math.max(0.05 * order, ...gears.map((g) => g.swells)));
    let power = 0;
    for (let h = 1; h <= OVERTONES; h++) {
      if (h * order * hz < LOWEST_HZ || (h * order + beside) / sound.perTurn > 0.47) continue;
      const { re, im } = bandOf(
        spectrum,
        (h * order) / sound.perTurn,
        beside / sound.perTurn,
        sound.samples.length,
      );
      // a band that was moved to zero has half the power of what it was
      power += re.reduce((sum, x, i) => sum + x * x + (im[i] as number) ** 2, 0) / Math.max(1, re.length) / 2;
    }
    return { mesh, hz: order * hz, db: power > 0 && all > 0 ? 10 * Math.log10(power / all) : null };
  });
}
