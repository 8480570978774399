import { Fault } from "../fault";
import type { Measured } from "../quantity/measured";
import { axesOf, type FacePlane, type Spot, toFace } from "./face-plane";
import type { RingReading } from "./ring-reading";

/** What one tip radius of a face is, mm. */
export type FaceScale = Measured;

/** How well a hand or a detector puts a mark, pixels of the picture (one standard deviation). */
const MARK_PX = 1.2;
/**
 * What lies a little above or below the face is seen larger or smaller: share of the length, one standard
 * deviation.
 */
const LEVEL = 0.006;

const spread = (value: number, share: number): FaceScale => ({ value, u: value * Math.hypot(share, LEVEL) });

/**
 * The scale from two places in the picture a known length apart, both about level with the face: the places
 * are carried into the face's own
 * plane, so that tilt and perspective do not matter.
 *
 * @throws Fault where the places are too close together to say anything
 */
export function scaleFromPoints(plane: FacePlane, a: Spot, b: Spot, mm: number): FaceScale {
  if (!(mm > 0)) throw new Fault("mm", "how far apart are they, in millimetres?");
  const px = Math.hypot(a[0] - b[0], a[1] - b[1]);
  if (px < 20) throw new Fault("marks", "the two marks stand too close together: put them further apart");
  const [u, v] = [toFace(plane, a), toFace(plane, b)];
  return spread(mm / Math.hypot(u[0] - v[0], u[1] - v[1]), (Math.SQRT2 * MARK_PX) / px);
}

/**
 * The scale from the corners of a square of known side: its four sides and two diagonals, each carried into
 * the face's plane.
 */
export function scaleFromCorners(
  plane: FacePlane,
  corners: readonly [Spot, Spot, Spot, Spot],
  sideMm: number,
): FaceScale {
  const at = corners.map((c) => toFace(plane, c));
  const lengths: number[] = [];
  for (let i = 0; i < 4; i++)
    for (let j = i + 1; j < 4; j++) {
      const [p, q] = [at[i] as Spot, at[j] as Spot];
      lengths.push(Math.hypot(p[0] - q[0], p[1] - q[1]) / ((j - i) % 2 ? 1 : Math.SQRT2));
    }
  const mean = lengths.reduce((s, l) => s + l, 0) / lengths.length;
  const off = Math.sqrt(lengths.reduce((s, l) => s + (l - mean) ** 2, 0) / (lengths.length - 1)) / mean;
  if (off > 0.12)
    throw new Fault("card", "the card does not lie flat beside the gear: its sides come out unequal");
  return spread(sideMm / mean, off / Math.sqrt(lengths.length));
}

/**
 * The scale from a disc of known diameter beside the gear: the long axis of its ellipse against that of the
 * gear's.
 */
export function scaleFromDisc(
  plane: FacePlane,
  disc: { readonly longPx: number; readonly spreadPx: number },
  diameterMm: number,
): FaceScale {
  if (!(diameterMm > 0)) throw new Fault("mm", "how wide is the disc, in millimetres?");
  return spread((diameterMm / (2 * disc.longPx)) * axesOf(plane).long, disc.spreadPx / disc.longPx);
}

/** Tip and root diameter of a ring at a scale, mm with their spread. */
export function faceSizes(
  ring: Pick<RingReading, "slots">,
  scale: FaceScale,
): { tipDiameter: Measured; rootDiameter: Measured } {
  const { rootShare, tipSpread, rootSpread } = ring.slots;
  const size = (share: number, own: number): Measured => ({
    value: 2 * scale.value * share,
    u: 2 * share * scale.value * Math.hypot(scale.u / scale.value, own),
  });
  return { tipDiameter: size(1, tipSpread), rootDiameter: size(rootShare, rootSpread) };
}
