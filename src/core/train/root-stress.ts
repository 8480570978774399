import { pitchConeAngle } from "../gear/cone-angle";
import { gearDimensions } from "../gear/dimensions";
import { toothFlank } from "../gear/outline";
import { radians } from "../quantity/units";

/**
 * Lewis form factor for 20° full-depth teeth by tooth count: σ = F_t/(b m Y). The usual textbook table;
 * beyond 300 it tends to the rack's 0.485.
 */
export const LEWIS_20_FULL: readonly (readonly [teeth: number, y: number])[] = [
  [12, 0.245],
  [14, 0.277],
  [17, 0.303],
  [20, 0.322],
  [24, 0.337],
  [30, 0.359],
  [38, 0.384],
  [50, 0.409],
  [75, 0.435],
  [100, 0.447],
  [150, 0.46],
  [300, 0.472],
];
const RACK_Y = 0.485;

/**
 * Form factor Y for any count: linear in 1/z between the rows of the table, as Y is nearly a straight line
 * over 1/z; towards the rack above 300, carried on below 12.
 *
 * @param teeth the count, or the virtual count z/cos³β of a helical gear; 6 or more
 * @example lewisFactor(20) // 0.322
 */
export function lewisFactor(teeth: number): number {
  const rows = [...LEWIS_20_FULL, [Number.POSITIVE_INFINITY, RACK_Y] as const];
  const above = Math.max(
    1,
    rows.findIndex(([z]) => z >= teeth),
  );
  const [z0, y0] = rows[above - 1] as readonly [number, number];
  const [z1, y1] = rows[above] as readonly [number, number];
  const share = (1 / z0 - 1 / teeth) / (1 / z0 - 1 / z1);
  return Math.max(0.1, y0 + (y1 - y0) * share);
}

export interface LoadedGear {
  readonly teeth: number;
  /** normal module, mm */
  readonly moduleMm: number;
  readonly faceWidthMm: number;
  readonly helixAngleDeg?: number;
  /** profile shift coefficient; a tooth that is shifted outwards is thicker at its root */
  readonly profileShift?: number;
}

/**
 * Bending stress at the tooth root, N/mm² (MPa): σ = F_t/(b m_n Y), F_t = 2 T/d, d = z m_n/cos β (Lewis). One
 * tooth carries all; no
 * dynamic factor, as at stall nothing turns.
 *
 * @param torqueNm torque at the gear
 * @example rootStress({ teeth: 20, moduleMm: 2, faceWidthMm: 20 }, 20) // 77.6: F_t = 1000 N over 20 · 2 ·
 *   0.322
 */
export function rootStress(g: LoadedGear, torqueNm: number): number {
  const cosBeta = Math.cos(radians(g.helixAngleDeg ?? 0));
  const forceN = (2000 * torqueNm * cosBeta) / (g.teeth * g.moduleMm);
  const virtual = g.teeth / cosBeta ** 3;
  return (
    forceN / (g.faceWidthMm * g.moduleMm * lewisFactor(virtual) * shiftFactor(virtual, g.profileShift ?? 0))
  );
}

/**
 * How much stronger a root is for its shift: Lewis's Y of the tooth as it is cut, over that of the unshifted
 * one. Y = s²/(6 h m) at the weakest section, where a parabola from the load at the tip touches the root; s
 * is the chord, h the
 * distance from where the line of the load crosses the middle of the tooth. Taken from the drawn flank, so
 * that fillet and undercut count.
 */
export function shiftFactor(teeth: number, profileShift: number): number {
  if (!profileShift) return 1;
  return drawnLewis(teeth, profileShift) / drawnLewis(teeth, 0);
}

function drawnLewis(teeth: number, profileShift: number): number {
  const g = { teeth, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift };
  const flank = toothFlank(g, 120);
  const [tipR, tipHalf] = flank.at(-1) as readonly [number, number];
  const baseR = gearDimensions({ ...g, teeth: Math.round(teeth) }).baseDiameterMm / 2;
  // the force along the line of action at the tip crosses the middle of the tooth at r_b/cos(α_a − half the
  // tip's angle)
  const crosses = baseR / Math.cos(Math.acos(Math.min(1, baseR / tipR)) - tipHalf);
  let least = Number.POSITIVE_INFINITY;
  for (const [r, half] of flank) {
    const h = crosses - r * Math.cos(half);
    const s = 2 * r * Math.sin(half);
    if (h > 0.2) least = Math.min(least, (s * s) / (6 * h));
  }
  return least;
}

/**
 * The same for a straight bevel: its teeth taper towards the apex, so force and module are those of the
 * middle of the face, d_m = d − b sin δ, m_m = m d_m/d, and the form that of the virtual gear with z/cos δ
 * teeth (Tredgold).
 *
 * @param mateTeeth of the gear it meets at a right angle
 */
export function bevelRootStress(g: LoadedGear, mateTeeth: number, torqueNm: number): number {
  const cone = radians(pitchConeAngle(g.teeth, mateTeeth, 90));
  const outer = g.teeth * g.moduleMm;
  const middle = Math.max(0.3 * outer, outer - g.faceWidthMm * Math.sin(cone));
  const moduleMm = (g.moduleMm * middle) / outer;
  const virtual = g.teeth / Math.cos(cone);
  const forceN = (2000 * torqueNm) / middle;
  return (
    forceN / (g.faceWidthMm * moduleMm * lewisFactor(virtual) * shiftFactor(virtual, g.profileShift ?? 0))
  );
}
