/** Millimetres in an inch, exactly (international inch, 1959). */
export const MM_PER_INCH = 25.4;

/** Grams in an avoirdupois ounce, exactly 28.349523125. */
export const GRAMS_PER_OUNCE = 28.349523125;

/** Newton metres in a pound-force inch: the pound of 0.45359237 kg, standard gravity, the inch of 25.4 mm. */
const NM_PER_POUND_INCH = 0.45359237 * 9.80665 * 0.0254;
/** Newton metres in each of the units that a torque is said in. */
export const NM_PER = {
  "N m": 1,
  "N cm": 0.01,
  "in-lb": NM_PER_POUND_INCH,
  "ft-lb": NM_PER_POUND_INCH * 12,
  "kgf cm": 9.80665 * 0.01,
} as const;

/** Degrees to radians. */
export const radians = (deg: number): number => (deg * Math.PI) / 180;

/** Radians to degrees. */
export const degrees = (rad: number): number => (rad * 180) / Math.PI;

export const LENGTH_UNITS = ["mm", "in"] as const;
export type LengthUnit = (typeof LENGTH_UNITS)[number];

/**
 * A length as a technician types it: `12.3`, `12,3`, `.484 in`, `1/2"`, `7/16''`, `1 3/16 in`, `1-3/16`. A
 * bare number is in `unit`.
 *
 * @returns millimetres, or null where it is no length
 * @example lengthFrom("1 3/16 in", "mm") // 30.1625
 */
export function lengthFrom(text: string, unit: LengthUnit): number | null {
  const t = text
    .trim()
    .toLowerCase()
    .replace(",", ".")
    .replace(/(?:''|[“”″])$/, '"');
  const m = /^(?:(\d+(?:\.\d+)?|\.\d+)|(?:(\d+)(?:\s+|-))?(\d+)\/(\d+))\s*(mm|in\.?|inch|")?$/.exec(t);
  if (!m) return null;
  const [, decimal, whole, over, under, said] = m;
  const value = decimal === undefined ? Number(whole ?? 0) + Number(over) / Number(under) : Number(decimal);
  if (!Number.isFinite(value)) return null;
  return (said ? said !== "mm" : unit === "in") ? value * MM_PER_INCH : value;
}
