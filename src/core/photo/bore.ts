import type { FacePlane } from "./face-plane";
import type { Planes } from "./picture";
import { unrolled } from "./strip";

/**
 * The bore's share of the tip radius, or null where no plain edge goes around the centre: the innermost
 * circle at which most of the ring changes
 * in the same sense. A hub that stands up is nearer to the camera, so that its bore is seen a little large
 * and beside the centre: the spread says so.
 */
export function boreOf(p: Planes, face: FacePlane): { share: number; u: number } | null {
  const radii = Float64Array.from({ length: 90 }, (_, i) => 0.03 + i * 0.006);
  const columns = 180;
  const strip = unrolled(p, face, radii, columns);
  // light only: an edge of colour alone is paint
  const light = strip.planes[0];
  const edge = new Float64Array(radii.length);
  for (let i = 2; i < radii.length - 2; i++) {
    let dark = 0;
    let bright = 0;
    for (let j = 0; j < columns; j++) {
      const d = (light[(i + 2) * columns + j] as number) - (light[(i - 2) * columns + j] as number);
      if (d > 12) bright++;
      if (d < -12) dark++;
    }
    edge[i] = Math.max(dark, bright) / columns;
  }
  for (let i = 3; i < radii.length - 3; i++) {
    const here = edge[i] as number;
    if (here > 0.6 && here >= (edge[i - 1] as number) && here >= (edge[i + 1] as number))
      return { share: radii[i] as number, u: 0.012 + 0.03 * (1 - here) };
  }
  return null;
}
