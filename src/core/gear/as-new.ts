import type { Measured } from "../quantity/measured";
import { radians } from "../quantity/units";
import { AS_MADE, type Making, ROOT_SPREAD, thinnedBy } from "./as-made";
import { type Gear, gearDimensions } from "./dimensions";
import { overPins } from "./over-pins";
import { spanOver } from "./span-measurement";

/**
 * What a new gear of these numbers shows, mm, with its spread: the one reference that wear, comparison and
 * making are held against.
 * The nominal figure is what the standard's formula gives; a new gear shows a little less, as its teeth are
 * thinned and its tips are low ({@link AS_MADE}).
 */
const spreadOf = (g: Gear, nominal: number, how: Making, more: number): number => {
  const { scale, madeTo } = AS_MADE[how];
  return Math.hypot(more, scale * nominal, madeTo * g.moduleMm);
};

/** @example spanWhenNew(z41, 5, "unknown") // { value: 13.81, u: 0.026 }: nominal 13.859 less 0.05 */
export function spanWhenNew(g: Gear, k: number, how: Making = "unknown"): Measured {
  const nominal = spanOver(g, k);
  const thinned = thinnedBy(g.moduleMm, how);
  return { value: nominal - thinned.value, u: spreadOf(g, nominal, how, thinned.u) };
}

export function tipWhenNew(g: Gear, how: Making = "unknown"): Measured {
  const nominal = gearDimensions(g).tipDiameterMm;
  const { tipLow } = AS_MADE[how];
  return { value: nominal - tipLow.value, u: spreadOf(g, nominal, how, tipLow.u) };
}

export function rootWhenNew(g: Gear, how: Making = "unknown"): Measured {
  const nominal = gearDimensions(g).rootDiameterMm;
  return { value: nominal, u: spreadOf(g, nominal, how, ROOT_SPREAD * g.moduleMm) };
}

/** Over pins a thinned tooth reads as one shifted by that much less. */
export function overPinsWhenNew(g: Gear, pinMm: number, how: Making = "unknown"): Measured {
  const thinned = thinnedBy(g.moduleMm, how);
  const shift = (loss: number): Gear => ({
    ...g,
    profileShift: g.profileShift - loss / (2 * g.moduleMm * Math.sin(radians(g.pressureAngleDeg))),
  });
  const value = overPins(shift(thinned.value), pinMm);
  const u = Math.abs(overPins(shift(thinned.value + thinned.u), pinMm) - value);
  return { value, u: spreadOf(g, value, how, u) };
}
