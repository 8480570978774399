import { degrees, radians } from "../quantity/units";

/**
 * The pitch cone angle of a bevel gear, degrees: tan δ1 = sin Σ/(z2/z1 + cos Σ) (ISO 23509).
 *
 * @example pitchConeAngle(20, 40, 90) // 26.565
 */
export function pitchConeAngle(teeth: number, mateTeeth: number, shaftAngleDeg: number): number {
  const s = radians(shaftAngleDeg);
  const angle = degrees(Math.atan2(Math.sin(s), mateTeeth / teeth + Math.cos(s)));
  return angle < 0 ? angle + 180 : angle;
}
