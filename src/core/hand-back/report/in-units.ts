import { GRAMS_PER_OUNCE, MM_PER_INCH, NM_PER } from "../../quantity/units";

/** The units that a customer reads. */
export const UNIT_SYSTEMS = ["metric", "inch"] as const;
export type UnitSystem = (typeof UNIT_SYSTEMS)[number];

const INCH: Readonly<
  Record<string, { readonly unit: string; readonly from: (x: number) => number; readonly places: number }>
> = {
  mm: { unit: "in", from: (x) => x / MM_PER_INCH, places: 3 },
  g: { unit: "oz", from: (x) => x / GRAMS_PER_OUNCE, places: 2 },
  "°C": { unit: "°F", from: (x) => 1.8 * x + 32, places: 0 },
  "N m": { unit: "in-lb", from: (x) => x / NM_PER["in-lb"], places: 1 },
};

/**
 * A figure with its unit, as the customer reads it. What has no other unit stays as it was measured.
 *
 * @example inUnits(3.4, "g", "inch") // "0.12 oz"
 */
export function inUnits(value: number, unit: string, system: UnitSystem, places?: number): string {
  const other = system === "inch" ? INCH[unit] : undefined;
  if (!other) return `${places === undefined ? value : value.toFixed(places)} ${unit}`;
  return `${other.from(value).toFixed(other.places)} ${other.unit}`;
}
