import type { Measured } from "../quantity/measured";
import { radians } from "../quantity/units";

/**
 * The tip diameter from flat caliper jaws laid across a gear.
 *
 * With an even count the jaws rest on two opposite tips and read d_a. With an odd count one jaw rests on one tip and the
 * other on the two opposite: they read d_a cos²(90°/z), which is short by 2.5 d_a/z². The spread grows with the correction.
 * Source: plane geometry, r_a (1 + cos(180°/z)) with sharp tips.
 *
 * @example tipDiameterFromFlatJaws({ value: 45.0, u: 0.03 }, 41).value // 45.066
 */
export function tipDiameterFromFlatJaws(read: Measured, teeth: number): Measured {
  if (teeth % 2 === 0) return read;
  const short = Math.cos(radians(90 / teeth)) ** 2;
  return { value: read.value / short, u: read.u / short };
}
