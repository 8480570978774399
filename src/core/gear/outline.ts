import { radians } from "../quantity/units";
import {
  cosBaseHelix,
  dedendumOf,
  type Gear,
  gearDimensions,
  involute,
  transversePressureAngle,
} from "./dimensions";

/** A point in the transverse plane, mm, gear centre at the origin. */
export type Point = readonly [x: number, y: number];

/**
 * One side of a tooth from root to tip: radius (mm) and half the tooth's angular thickness there (radians).
 */
export type FlankPoint = readonly [radiusMm: number, halfAngle: number];

/** Tip rounding of the basic rack in modules (ISO 53, profile A). */
const RACK_TIP_RADIUS = 0.38;

/**
 * The true flank of one tooth: trochoid at the root as a rack would cut it, undercut included, then the
 * involute up to
 * the tip. Every flank point is [radius, half angle] of the tooth it bounds.
 *
 * The involute half angle at radius r is (π/2 + 2 x tan α_n)/z + inv α_t − inv α_r with cos α_r = r_b/r (ISO
 * 21771, 4.7).
 * The root is the envelope of the rack's rounded tip rolling on the reference circle. Where both cut, the
 * smaller angle is what
 * metal is left, which is exactly undercut; below the involute's first point only the rounded tip has cut. A
 * tip that would come to a point is cut where it does.
 *
 * @param points how many points per flank; 24 is smooth at any size on a screen
 * @param thinnedMm by how much its spans are to read less, mm: both flanks are turned inwards by W/(2 r_b cos
 *   β_b)
 */
export function toothFlank(g: Gear, points = 24, thinnedMm = 0): FlankPoint[] {
  const { referenceDiameterMm, baseDiameterMm, tipDiameterMm, rootDiameterMm, transverseModuleMm } =
    gearDimensions(g);
  const rootR = Math.max(rootDiameterMm / 2, referenceDiameterMm * 0.05);
  const baseR = baseDiameterMm / 2;
  const alphaT = transversePressureAngle(g);
  const inwards = thinnedMm / (baseDiameterMm * cosBaseHelix(g));
  const atReference =
    (Math.PI / 2 + 2 * g.profileShift * Math.tan(radians(g.pressureAngleDeg))) / g.teeth - inwards;
  const involuteAt = (r: number): number =>
    r <= baseR
      ? atReference + involute(alphaT)
      : atReference + involute(alphaT) - involute(Math.acos(baseR / r));
  const { trochoid, involuteFromR } = rackTrochoid(g, referenceDiameterMm / 2, transverseModuleMm, alphaT);

  let tipR = tipDiameterMm / 2;
  if (involuteAt(tipR) < 0) {
    let low = baseR;
    for (let i = 0; i < 50; i++) {
      const mid = (low + tipR) / 2;
      if (involuteAt(mid) < 0) tipR = mid;
      else low = mid;
    }
  }
  const flank: FlankPoint[] = [];
  for (let i = 0; i <= points; i++) {
    // closer together near the root, where the curve is tight
    const r = rootR + (tipR - rootR) * (i / points) ** 1.4;
    const fillet = trochoidHalfAngle(trochoid, r, g.teeth) - inwards;
    flank.push([r, Math.max(0, r < involuteFromR ? fillet : Math.min(involuteAt(r), fillet))]);
  }
  return flank;
}

/**
 * The rack's rounded tip seen from the gear: [radius, angle from the middle of the tooth space], radius
 * rising; and the radius from which
 * on the rack's straight flank has cut an involute. Where the straight flank reaches past the interference
 * point (undercut), that is the base circle.
 */
function rackTrochoid(
  g: Gear,
  r: number,
  mt: number,
  alphaT: number,
): { trochoid: FlankPoint[]; involuteFromR: number } {
  const depth = dedendumOf(g) * g.moduleMm;
  const halfAtTip = (Math.PI * mt) / 4 - depth * Math.tan(alphaT);
  // the largest rounding that still leaves a flat on the rack's tip
  const room = halfAtTip / (1 / Math.cos(alphaT) - Math.tan(alphaT));
  const rho = Math.max(0, Math.min(RACK_TIP_RADIUS * g.moduleMm, room));
  const yc = depth - rho;
  const e = (Math.PI * mt) / 4 - yc * Math.tan(alphaT) - rho / Math.cos(alphaT);
  const b = yc - g.profileShift * g.moduleMm;
  const curve: FlankPoint[] = [];
  const reach = Math.sqrt(Math.max(4 * g.moduleMm * r, 1e-9)) + 2 * g.moduleMm;
  for (let i = 0; i <= 160; i++) {
    const t = reach * (i / 160) ** 1.5;
    const length = Math.hypot(t, b) || 1e-12;
    const x = t + (rho * t) / length;
    const y = r - b - (rho * b) / length;
    const turned = Math.atan2(x, y) - (t - e) / r;
    curve.push([Math.hypot(x, y), turned]);
  }
  const straightEnd = yc + rho * Math.sin(alphaT) - g.profileShift * g.moduleMm;
  const involuteFromR =
    straightEnd > r * Math.sin(alphaT) ** 2
      ? r * Math.cos(alphaT)
      : Math.hypot(r - straightEnd, straightEnd / Math.tan(alphaT));
  return { trochoid: curve, involuteFromR };
}

/**
 * Over the tips as the gear is drawn, mm: the nominal tip diameter, or less where a tooth would come to a
 * point before.
 */
export const drawnTipMm = (g: Gear, thinnedMm = 0): number =>
  2 * (toothFlank(g, 2, thinnedMm).at(-1) as FlankPoint)[0];

/**
 * The radius at which the involute of a rack-cut tooth begins, mm: the first that a mate's tip may touch.
 * With undercut, where the trochoid meets the involute.
 */
export function involuteStartRadius(g: Gear): number {
  const { referenceDiameterMm, baseDiameterMm, tipDiameterMm, transverseModuleMm } = gearDimensions(g);
  const alphaT = transversePressureAngle(g);
  const { trochoid, involuteFromR } = rackTrochoid(g, referenceDiameterMm / 2, transverseModuleMm, alphaT);
  const baseR = baseDiameterMm / 2;
  const atReference = (Math.PI / 2 + 2 * g.profileShift * Math.tan(radians(g.pressureAngleDeg))) / g.teeth;
  for (let i = 0; i <= 200; i++) {
    const r = involuteFromR + ((tipDiameterMm / 2 - involuteFromR) * i) / 200;
    const involuteHalf = atReference + involute(alphaT) - (r <= baseR ? 0 : involute(Math.acos(baseR / r)));
    if (trochoidHalfAngle(trochoid, r, g.teeth) >= involuteHalf - 1e-6) return r;
  }
  return involuteFromR;
}

function trochoidHalfAngle(curve: readonly FlankPoint[], radius: number, teeth: number): number {
  let k = curve.findIndex(([r]) => r >= radius);
  if (k < 0) return Number.POSITIVE_INFINITY;
  k = Math.max(1, k);
  const [r0, a0] = curve[k - 1] as FlankPoint;
  const [r1, a1] = curve[k] as FlankPoint;
  const share = r1 === r0 ? 1 : Math.min(1, Math.max(0, (radius - r0) / (r1 - r0)));
  return Math.PI / teeth - (a0 + (a1 - a0) * share);
}

const at = (r: number, angle: number): Point => [r * Math.sin(angle), r * Math.cos(angle)];

/**
 * The outline of tooth number `index` (0 stands upright, the rest follow clockwise), from root to root, mm.
 * The first and the last point lie on the root circle.
 */
export function toothOutline(flank: readonly FlankPoint[], teeth: number, index: number): Point[] {
  const middle = (2 * Math.PI * index) / teeth;
  const left = flank.map(([r, half]) => at(r, middle - half));
  const right = [...flank].reverse().map(([r, half]) => at(r, middle + half));
  return [...left, ...right];
}

/**
 * The whole gear as one closed polygon, mm, clockwise from the tooth at the top. Teeth for which `gone`
 * answers a number
 * above 0 are broken down to that share of their height (1: down to the root).
 */
export function gearOutline(
  g: Gear,
  gone: (index: number) => number = () => 0,
  points = 12,
  thinnedMm = 0,
): Point[] {
  const flank = toothFlank(g, points, thinnedMm);
  const rootR = (flank[0] as FlankPoint)[0];
  const tipR = (flank[flank.length - 1] as FlankPoint)[0];
  const out: Point[] = [];
  for (let i = 0; i < g.teeth; i++) {
    const share = gone(i);
    const kept = flank.filter(([r]) => r <= tipR - share * (tipR - rootR) + 1e-9);
    out.push(...toothOutline(kept.length ? kept : flank.slice(0, 1), g.teeth, i));
  }
  return out;
}
