import { radians } from "../quantity/units";
import { type Gear, involute, transversePressureAngle } from "./dimensions";

/**
 * Span over k teeth (base tangent length) W_k, mm: what caliper jaws read that touch the outer flanks of k teeth.
 *
 * W_k = m_n cos α_n [(k − 0.5) π + z inv α_t] + 2 x m_n sin α_n (ISO 21771, 4.5.4).
 *
 * @param k teeth between the jaws, 1 or more
 * @example spanOver({ teeth: 20, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 }, 3) // 7.6604
 */
export function spanOver(g: Gear, k: number): number {
  const alphaN = radians(g.pressureAngleDeg);
  const base = (k - 0.5) * Math.PI + g.teeth * involute(transversePressureAngle(g));
  return g.moduleMm * Math.cos(alphaN) * base + 2 * g.profileShift * g.moduleMm * Math.sin(alphaN);
}

/**
 * The number of teeth to measure over, so that the jaws touch near the middle of the flanks:
 * k ≈ z α_t/π + 0.5 + 2 x tan α_n/π, rounded, at least 2.
 *
 * @example bestSpanTeeth({ teeth: 41, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 }) // 5
 */
export function bestSpanTeeth(g: Omit<Gear, "moduleMm">): number {
  const k = (g.teeth * transversePressureAngle(g)) / Math.PI + 0.5 + (2 * g.profileShift * Math.tan(radians(g.pressureAngleDeg))) / Math.PI;
  return Math.max(2, Math.round(k));
}

/**
 * Whether flat jaws can reach the span at all on a helical gear: the face must be wider than W_k sin β_b, otherwise one
 * jaw hangs in the air. sin β_b = sin β cos α_n.
 */
export function faceWideEnough(g: Gear, k: number, faceWidthMm: number): boolean {
  const sinBetaB = Math.sin(radians(Math.abs(g.helixAngleDeg))) * Math.cos(radians(g.pressureAngleDeg));
  return faceWidthMm > spanOver(g, k) * sinBetaB;
}
