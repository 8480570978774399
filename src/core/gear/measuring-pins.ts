import { type Gear, gearDimensions } from "./dimensions";
import { overPins } from "./over-pins";

/** Pins a bench has: drill shanks by tenths from 0.5 to 6 mm, held by their plain end. */
const PINS: readonly number[] = Array.from({ length: 56 }, (_, i) => (i + 5) / 10);

/**
 * The pin for measuring over pins: the one nearest to 1.728 m (Van Keuren's series for 20°), that stands out
 * over the tips so that jaws reach it.
 *
 * @returns the pin's diameter in mm, or null where none of the bench's pins does
 * @example measuringPin({ teeth: 41, moduleMm: 1, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0 })
 *   // 1.7
 */
export function measuringPin(g: Gear): number | null {
  const tip = gearDimensions(g).tipDiameterMm;
  const fits = PINS.filter((pin) => overPins(g, pin) > tip + 0.1 && pin < 2.6 * g.moduleMm);
  return fits.length
    ? fits.reduce((a, b) => (Math.abs(b - 1.728 * g.moduleMm) < Math.abs(a - 1.728 * g.moduleMm) ? b : a))
    : null;
}
