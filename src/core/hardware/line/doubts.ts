import { HARDWARE_NAMES, type HardwareKind } from "../kinds";
import { DRIVEN, FEW } from "./neighbours";
import type { Facts } from "./saying";

/** What has a head or a shape that is told. */
const HEADED: readonly HardwareKind[] = ["screw", "nut", "rivet", "insert", "washer", "other"];
/** A recess of this width belongs to a thread of M8 and more, mm. */
const LARGE_HEX_MM = 7;

/**
 * What of a piece may have been meant otherwise, once all of it was read: a recess on what has none, a
 * hexagon so large that its head may have been meant, a size that may be a count.
 *
 * @param qty said as a count
 * @param spaced a size that was typed with blanks around its cross: "2 x 12 mm" is written of a size, and
 *   said of a count
 */
export function doubtsOf(
  { kind, drive, form, thread, lengthMm }: Facts,
  qty: number | undefined,
  spaced: string | undefined,
): string[] {
  if (kind === undefined) return [];
  const name = HARDWARE_NAMES[kind][1];
  const isOdd =
    spaced !== undefined &&
    kind === "screw" &&
    qty === undefined &&
    Number.isInteger(Number(thread)) &&
    Number(thread) <= FEW;
  const isWide = kind === "screw" && Number(/^hex (\d+)/.exec(drive ?? "")?.[1]) >= LARGE_HEX_MM;
  return [
    ...(isOdd ? [`“${spaced}”: a size, or ${thread} of ${lengthMm} mm?`] : []),
    ...(drive !== undefined && !DRIVEN.includes(kind) ? [`“${drive}”: ${name} have no drive`] : []),
    ...(form !== undefined && !HEADED.includes(kind) ? [`“${form}”: ${name} have no such head`] : []),
    ...(isWide ? [`“${drive}”: a recess, or a head that is so wide?`] : []),
  ];
}
