import { radians } from "../quantity/units";

/**
 * Lewis form factor for 20° full-depth teeth by tooth count: σ = F_t/(b m Y). The usual textbook table; beyond 300 it tends to the rack's 0.485.
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
 * Form factor Y for any count: linear in 1/z between the rows of the table, as Y is nearly a straight line over 1/z; towards the rack above 300, carried on below 12.
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
}

/**
 * Bending stress at the tooth root, N/mm² (MPa): σ = F_t/(b m_n Y), F_t = 2 T/d, d = z m_n/cos β (Lewis). One tooth carries all; no
 * dynamic factor, as at stall nothing turns.
 *
 * @param torqueNm torque at the gear
 * @example rootStress({ teeth: 20, moduleMm: 2, faceWidthMm: 20 }, 20) // 77.6: F_t = 1000 N over 20 · 2 · 0.322
 */
export function rootStress(g: LoadedGear, torqueNm: number): number {
  const cosBeta = Math.cos(radians(g.helixAngleDeg ?? 0));
  const forceN = (2000 * torqueNm * cosBeta) / (g.teeth * g.moduleMm);
  return forceN / (g.faceWidthMm * g.moduleMm * lewisFactor(g.teeth / cosBeta ** 3));
}
