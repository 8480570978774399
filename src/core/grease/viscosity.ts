/** Metres a second in feet a minute. */
const FEET_PER_MINUTE = 196.850394;

/**
 * Viscosities of the base oil at 40 °C that suit teeth of a pitch-line speed, mm²/s: [least, most]. About
 * 7000/√v with v in ft/min, as the
 * tables of AGMA 9005 follow; a grease's oil may be a fourth of what an oil bath asks, as its soap holds it
 * in place. Worms slide, and ask more.
 *
 * @example toothViscosity(5, false) // about [56, 446]: 7000/√984 = 223
 */
export function toothViscosity(mPerS: number, worm: boolean): readonly [number, number] {
  const bath = Math.max(46, Math.min(680, 7000 / Math.sqrt(Math.max(0.05, mPerS) * FEET_PER_MINUTE)));
  return worm ? [Math.max(100, bath / 3), Math.max(460, 2 * bath)] : [bath / 4, 2 * bath];
}

interface BearingSize {
  readonly bore: number;
  readonly outside: number;
}
const meanDiameter = (b: BearingSize): number => (b.bore + b.outside) / 2;

/**
 * Speed factor n·dm of a bearing, mm/min.
 *
 * @example bearingSpeed({ bore: 8, outside: 22 }, 10_000) // 150 000
 */
export const bearingSpeed = (b: BearingSize, rpm: number): number => rpm * meanDiameter(b);

/**
 * The oil that stands the fastest bearings of this bench, mm²/s at 40 °C, and what n·dm it stands, mm/min.
 */
const [THIN, FASTEST] = [32, 1_000_000];
/**
 * What n·dm a grease of such an oil stands, mm/min: thin oils run fast. Through the usual figures of data
 * sheets for ball bearings (VG 32: 1 000 000, VG 100: 600 000, VG 220: 400 000, VG 460: 250 000) runs n·dm ∝
 * 1/√ν, without a step between two oils that are nearly the same.
 *
 * @example speedLimit(128) // 500 000
 */
export const speedLimit = (at40: number): number => FASTEST * Math.sqrt(THIN / Math.max(THIN, at40));

/**
 * Viscosity ratio κ = ν/ν₁ of a rolling bearing (ISO 281): ν₁ = 45 000 n^-0.83 dm^-0.5 below 1000 rpm, 4500
 * n^-0.5 dm^-0.5 above.
 *
 * @param at the oil's viscosity at the bearing's temperature, mm²/s
 */
export function bearingKappa(at: number, b: BearingSize, rpm: number): number {
  const needed = (rpm < 1000 ? 45_000 * rpm ** -0.83 : 4500 * rpm ** -0.5) / Math.sqrt(meanDiameter(b));
  return at / needed;
}
