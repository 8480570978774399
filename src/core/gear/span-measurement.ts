import { radians } from "../quantity/units";
import { cosBaseHelix, type Gear, gearDimensions, involute, transversePressureAngle } from "./dimensions";
import { involuteStartRadius } from "./outline";

/**
 * Span over k teeth (base tangent length) W_k, mm: what caliper jaws read that touch the outer flanks of k
 * teeth.
 *
 * W_k = m_n cos α_n [(k − 0.5) π + z inv α_t] + 2 x m_n sin α_n (ISO 21771, 4.5.4).
 *
 * @param k teeth between the jaws, 1 or more
 * @example spanOver({ teeth: 20, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 }, 3)
 *   // 7.6604
 */
export function spanOver(g: Gear, k: number): number {
  const alphaN = radians(g.pressureAngleDeg);
  const base = (k - 0.5) * Math.PI + g.teeth * involute(transversePressureAngle(g));
  return g.moduleMm * Math.cos(alphaN) * base + 2 * g.profileShift * g.moduleMm * Math.sin(alphaN);
}

/**
 * Where flat jaws over k teeth touch: the radius of the contact points, mm, in the transverse plane.
 *
 * r² = r_b² + (W_k cos β_b/2)²: the base tangent touches the base cylinder in the middle, and leans by β_b.
 */
export function spanContactRadius(g: Gear, k: number): number {
  return Math.hypot(gearDimensions(g).baseDiameterMm / 2, (spanOver(g, k) * cosBaseHelix(g)) / 2);
}

/**
 * The counts of teeth over which flat jaws touch the involute of this gear: outside the fillet, inside the
 * tips (less a twentieth of a module, where edges are rounded).
 * Empty where no count does.
 */
export function spanTeeth(g: Omit<Gear, "moduleMm">): number[] {
  const one: Gear = { ...g, moduleMm: 1 };
  const [from, to] = [involuteStartRadius(one), gearDimensions(one).tipDiameterMm / 2 - 0.05];
  const out: number[] = [];
  for (let k = 1; k < g.teeth; k++) {
    const r = spanContactRadius(one, k);
    if (r > to) break;
    if (r >= from) out.push(k);
  }
  return out;
}

/**
 * The number of teeth to measure over, so that the jaws touch nearest to the pitch cylinder d + 2 x m_n,
 * where flanks wear and are relieved least.
 *
 * k = (z/π) [tan α_vt/cos² β_b − 2 x tan α_n/z − inv α_t] + 0.5 with cos α_vt = z cos α_t/(z + 2 x cos β)
 * (DIN 3960), rounded; then the nearest count whose contact lies on the involute. At least 2, as over one
 * tooth jaws rock.
 *
 * @example bestSpanTeeth({ teeth: 41, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 })
 *   // 5
 */
export function bestSpanTeeth(g: Omit<Gear, "moduleMm">): number {
  const { teeth: z, profileShift: x } = g;
  const alphaT = transversePressureAngle(g);
  const alphaV = Math.acos(
    Math.min(1, (z * Math.cos(alphaT)) / (z + 2 * x * Math.cos(radians(g.helixAngleDeg)))),
  );
  const ideal =
    (z / Math.PI) *
      (Math.tan(alphaV) / cosBaseHelix(g) ** 2 -
        (2 * x * Math.tan(radians(g.pressureAngleDeg))) / z -
        involute(alphaT)) +
    0.5;
  const allowed = spanTeeth(g).filter((k) => k >= 2);
  return allowed.length
    ? allowed.reduce((a, b) => (Math.abs(b - ideal) < Math.abs(a - ideal) ? b : a))
    : Math.max(2, Math.round(ideal));
}

/**
 * Whether flat jaws can reach the span at all on a helical gear: the face must be wider than W_k sin β_b,
 * otherwise one
 * jaw hangs in the air. sin β_b = sin β cos α_n.
 */
export function faceWideEnough(g: Gear, k: number, faceWidthMm: number): boolean {
  const sinBetaB = Math.sin(radians(Math.abs(g.helixAngleDeg))) * Math.cos(radians(g.pressureAngleDeg));
  return faceWidthMm > spanOver(g, k) * sinBetaB;
}
