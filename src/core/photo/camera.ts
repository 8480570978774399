import { type FacePlane, type Spot, toFace } from "./face-plane";
import type { Whole } from "./picture";

/**
 * Focal lengths of cameras in longest sides of their picture: a telephone's is 0.7 to 0.9, twice that when
 * zoomed or cut; natural logarithm's spread.
 */
const USUAL_FOCAL = 1.1;
const FOCAL_SPREAD = 0.4;
/** One standard deviation of how far a circle is measured to be no circle. */
const ROUNDNESS = 0.012;

/**
 * How unlikely it is that a camera saw a circle like this: minus the natural logarithm of the likelihood, but
 * for a constant.
 *
 * With the picture's middle in the camera's axis and the focal length f, a face spanned by the unit vectors
 * e₁, e₂ is seen with E_xy ∝ A + c qᵀ and
 * E_z ∝ f q (c: the centre from the picture's middle). They stand square on each other and are of one length
 * only where M = (A + c qᵀ)ᵀ(A + c qᵀ) +
 * f² q qᵀ is a multiple of the unit matrix. f is not known well: the likeliest counts. (Pinhole camera:
 * Hartley and Zisserman, Multiple View Geometry.)
 */
export function perspectiveMisfit(whole: Whole, plane: FacePlane): number {
  const [q0, q1] = plane.q;
  const { e00, e01, e10, e11 } = spanned(whole, plane);
  let min = Number.POSITIVE_INFINITY;
  for (let step = -10; step <= 10; step++) {
    const away = step / 10;
    const f = USUAL_FOCAL * Math.exp(away) * whole.longest;
    const m00 = e00 * e00 + e10 * e10 + (f * q0) ** 2;
    const m11 = e01 * e01 + e11 * e11 + (f * q1) ** 2;
    const m01 = e00 * e01 + e10 * e11 + f * f * q0 * q1;
    const off = Math.hypot(m00 - m11, 2 * m01) / (m00 + m11);
    min = Math.min(min, (away / FOCAL_SPREAD) ** 2 / 2 + (off / ROUNDNESS) ** 2 / 2);
  }
  return min;
}

/**
 * A + c qᵀ: the two vectors that span a face, as they lie across the camera's axis; the centre c from the
 * picture's middle.
 */
function spanned(whole: Whole, { a: [a0, a1, a2], q: [q0, q1], centre }: FacePlane) {
  const [cx, cy] = [centre[0] - whole.middle[0], centre[1] - whole.middle[1]];
  return { cx, cy, e00: a0 + cx * q0, e01: a1 + cx * q1, e10: a1 + cy * q0, e11: a2 + cy * q1 };
}

/**
 * Where a place is seen that stands over the middle of a face, as a place of that face: the face's normal E₁
 * × E₂ as a camera of a usual focal length sees it.
 *
 * @returns by how far it stands over the face, in tip radii (below it: under 0)
 */
export function seenOver(whole: Whole, plane: FacePlane): (height: number) => Spot {
  const f = USUAL_FOCAL * whole.longest;
  const { cx, cy, e00, e01, e10, e11 } = spanned(whole, plane);
  const [d0, d1] = [f * plane.q[0], f * plane.q[1]];
  const normal = [e10 * d1 - d0 * e11, d0 * e01 - e00 * d1, e00 * e11 - e10 * e01] as const;
  // of the length of a tip radius, towards the camera, which looks along z
  const unit = ((normal[2] > 0 ? -1 : 1) * Math.hypot(e00, e10, d0)) / Math.hypot(...normal);
  return (height) => {
    const k = height * unit;
    const z = f + k * normal[2];
    return toFace(plane, [
      whole.middle[0] + (f * (cx + k * normal[0])) / z,
      whole.middle[1] + (f * (cy + k * normal[1])) / z,
    ]);
  };
}
