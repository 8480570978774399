/** The two schools of filling a gear case; docs of the trade differ, the shop sets its way. */
export type FillSchool = "measured" | "packed";

/** Density used where the maker gives none, g/ml. */
export const DEFAULT_DENSITY = 0.9;

/**
 * The share of the free volume that is filled: [least, most].
 *
 * Measured school: 30 to 50 % for worm and slow gears, 25 to 35 % above 5 m/s at the pitch line; packed
 * school: 60 to 80 %.
 * Source: the shop's lubrication reference; a maker's figure for the model stands above it.
 */
export function fillShare(school: FillSchool, pitchLineSpeed: number): readonly [number, number] {
  if (school === "packed") return [0.6, 0.8];
  return pitchLineSpeed > 5 ? [0.25, 0.35] : [0.3, 0.5];
}

/** Speed at the pitch line, m/s: v = π d n/60 000, with d in mm and n in 1/min. */
export const pitchLineSpeed = (referenceDiameterMm: number, rpm: number): number =>
  (Math.PI * referenceDiameterMm * rpm) / 60_000;

/**
 * Refill of a rolling bearing, grams: G = 0.005 D B, outside diameter and width in mm.
 *
 * @example bearingRefillGrams(22, 7) // 0.77
 */
export const bearingRefillGrams = (outsideMm: number, widthMm: number): number => 0.005 * outsideMm * widthMm;
