import { radians } from "../quantity/units";
import { inverseInvolute, involute } from "./dimensions";

/** The numbers of a straight internal ring. Its gaps are the teeth of an external gear of these numbers. */
export interface Ring {
  readonly teeth: number;
  readonly moduleMm: number;
  readonly pressureAngleDeg: number;
  /** in modules; positive: its gaps lie further out, as those of the shifted pinion that runs in it */
  readonly profileShift: number;
}

/**
 * Measurement between two pins M of an internal ring, mm: pins in (nearly) opposite gaps, measured across
 * their insides.
 *
 * inv α_M = inv α − D/(m z cos α) + π/(2z) + 2 x tan α/z; even z: M = d_b/cos α_M − D; odd z: M = d_b
 * cos(90°/z)/cos α_M − D (DIN 3960, 4.5). NaN where the pin is too thick for the gap.
 *
 * @param pinMm pin diameter D
 * @example betweenPins({ teeth: 60, moduleMm: 1, pressureAngleDeg: 20, profileShift: 0 }, 1.7) // 57.61
 */
export function betweenPins(g: Ring, pinMm: number): number {
  const alpha = radians(g.pressureAngleDeg);
  const base = g.moduleMm * g.teeth * Math.cos(alpha);
  const inv =
    involute(alpha) -
    pinMm / base +
    Math.PI / (2 * g.teeth) +
    (2 * g.profileShift * Math.tan(alpha)) / g.teeth;
  if (!(inv > 0)) return Number.NaN;
  const across = g.teeth % 2 === 0 ? 1 : Math.cos(radians(90 / g.teeth));
  return (base * across) / Math.cos(inverseInvolute(inv)) - pinMm;
}

/** A pin that touches a ring's flanks near its pitch circle, mm: about 1.5 modules, to a tenth. */
export const ringPinMm = (moduleMm: number): number => Math.max(0.5, Math.round(15 * moduleMm) / 10);

/** Across the tips inside, mm: d − 2 m (1 − x). */
export const ringTipMm = (g: Ring): number => g.moduleMm * (g.teeth - 2 * (1 - g.profileShift));
