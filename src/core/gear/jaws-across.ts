import type { Measured } from "../quantity/measured";
import { radians } from "../quantity/units";
import { type Gear, involute, transversePressureAngle } from "./dimensions";

/**
 * What flat caliper jaws show of the tip diameter of a gear with an odd count, as a share of it; 1 for an
 * even count.
 *
 * One jaw rests on one tip, the other on the nearer corners of the two opposite: r_a (1 + cos(180°/z − δ)), δ
 * half the angle that a tip is wide. For sharp tips that is d_a cos²(90°/z). Broad tips matter
 * with few teeth: at 9 teeth they take away a quarter of the correction.
 *
 * @example flatJawsShare({ teeth: 41, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 })
 *   // 0.99913
 */
export function flatJawsShare(g: Omit<Gear, "moduleMm">): number {
  if (g.teeth % 2 === 0) return 1;
  const alphaT = transversePressureAngle(g);
  const cosBeta = Math.cos(radians(g.helixAngleDeg));
  const reference = g.teeth / cosBeta;
  const cosTip = Math.min(
    1,
    (reference * Math.cos(alphaT)) / (reference + 2 * ((g.addendum ?? 1) + g.profileShift)),
  );
  const delta =
    (Math.PI / 2 + 2 * g.profileShift * Math.tan(radians(g.pressureAngleDeg))) / g.teeth +
    involute(alphaT) -
    involute(Math.acos(cosTip));
  return (1 + Math.cos(Math.PI / g.teeth - Math.max(0, delta))) / 2;
}

/**
 * The tip diameter from flat caliper jaws laid across a gear; see {@link flatJawsShare}. The spread grows
 * with the correction.
 *
 * @example tipDiameterFromFlatJaws({ value: 42.96, u: 0.03 }, { teeth: 41, … }).value // 43.0
 */
export function tipDiameterFromFlatJaws(read: Measured, gear: Omit<Gear, "moduleMm">): Measured {
  const share = flatJawsShare(gear);
  return { value: read.value / share, u: read.u / share };
}
