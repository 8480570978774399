import type { Measured } from "../quantity/measured";
import { pinOf } from "../quantity/reading-kinds";
import { type Gear, gearDimensions } from "./dimensions";
import { tipDiameterFromFlatJaws } from "./jaws-across";
import { overPins } from "./over-pins";
import { spanOver } from "./span-measurement";

export interface SizeRow {
  readonly what: string;
  readonly unit: "mm" | "°";
  /** by the gear's numbers */
  readonly wanted: number;
  readonly found: number | null;
  /** found less wanted */
  readonly difference: number | null;
  /** how far apart still counts as the same: two spreads of the reading, and what new gears are off by */
  readonly tolerance: number | null;
  readonly ok: boolean | null;
}

/** A reading as the table takes it. */
export interface FoundReading extends Measured {
  readonly what: string;
  readonly teeth?: number;
}

/** What moulded and milled gears of this size are usually off by, in modules (about ISO 1328 quality 9 to 10). */
const MADE_TO = 0.02;

/**
 * A gear's dimensions as its numbers want them, against what was measured.
 *
 * @example sizesCompared(gear, [{ what: "tip diameter", value: 45.07, u: 0.03 }])[0] // wanted 45.11; across 41 teeth that reading is 45.11 too
 */
export function sizesCompared(gear: Gear, readings: readonly FoundReading[]): SizeRow[] {
  const d = gearDimensions(gear);
  const rows: SizeRow[] = [];
  const add = (what: string, wanted: number, seen?: FoundReading, unit: SizeRow["unit"] = "mm"): void => {
    if (!seen) {
      rows.push({ what, unit, wanted, found: null, difference: null, tolerance: null, ok: null });
      return;
    }
    const tolerance = 2 * seen.u + (unit === "mm" ? MADE_TO * gear.moduleMm : 0);
    const difference = seen.value - wanted;
    rows.push({ what, unit, wanted, found: seen.value, difference, tolerance, ok: Math.abs(difference) <= tolerance });
  };
  const one = (what: string): FoundReading | undefined => readings.find((r) => r.what === what);
  const tip = one("tip diameter");
  add("tip diameter", d.tipDiameterMm, tip && { ...tip, ...tipDiameterFromFlatJaws(tip, gear) });
  add("root diameter", d.rootDiameterMm, one("root diameter"));
  add("reference diameter", d.referenceDiameterMm);
  add("base diameter", d.baseDiameterMm);
  for (const r of readings) if (r.what === "span" && r.teeth) add(`span over ${r.teeth}`, spanOver(gear, r.teeth), r);
  for (const r of readings) {
    const pin = pinOf(r.what);
    if (pin) add(`over ${pin} mm pins`, overPins(gear, pin), r);
  }
  if (gear.helixAngleDeg) add("helix angle", gear.helixAngleDeg, one("helix angle"), "°");
  return rows;
}
