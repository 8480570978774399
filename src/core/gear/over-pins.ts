import { radians } from "../quantity/units";
import { type Gear, inverseInvolute, involute, transversePressureAngle } from "./dimensions";

/**
 * Measurement over two pins M, mm: pins in (nearly) opposite tooth spaces, measured across their outsides.
 *
 * inv α_M = inv α_t + D/(m_n z cos α_n) − π/(2z) + 2 x tan α_n/z; even z: M = d_b/cos α_M + D; odd z: M = d_b
 * cos(90°/z)/cos α_M + D
 * (ISO 21771, 4.5.5). NaN where the pin would fall to the bottom of the space.
 *
 * @param pinMm pin diameter D
 * @example overPins({ teeth: 20, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 },
 *   1.728) // 22.390
 */
export function overPins(g: Gear, pinMm: number): number {
  const alphaN = radians(g.pressureAngleDeg);
  const alphaT = transversePressureAngle(g);
  const inv =
    involute(alphaT) +
    pinMm / (g.moduleMm * g.teeth * Math.cos(alphaN)) -
    Math.PI / (2 * g.teeth) +
    (2 * g.profileShift * Math.tan(alphaN)) / g.teeth;
  if (!(inv > 0)) return Number.NaN;
  const baseDiameter = ((g.teeth * g.moduleMm) / Math.cos(radians(g.helixAngleDeg))) * Math.cos(alphaT);
  const across = g.teeth % 2 === 0 ? 1 : Math.cos(radians(90 / g.teeth));
  return (baseDiameter * across) / Math.cos(inverseInvolute(inv)) + pinMm;
}
