import type { Measured } from "../quantity/measured";
import { pinOf } from "../quantity/reading-kinds";
import type { Making } from "./as-made";
import { overPinsWhenNew, rootWhenNew, spanWhenNew, tipWhenNew } from "./as-new";
import { type Gear, gearDimensions } from "./dimensions";
import { tipDiameterFromFlatJaws } from "./jaws-across";
import { overPins } from "./over-pins";
import { spanOver } from "./span-measurement";

export interface SizeRow {
  readonly what: string;
  readonly unit: "mm" | "°";
  /** by the gear's numbers */
  readonly wanted: number;
  /** what a new gear shows on average, as it is made; null where nobody measures it */
  readonly fresh: number | null;
  readonly found: number | null;
  /** found less what a new one shows */
  readonly difference: number | null;
  /** how far apart still counts as the same: two spreads of the reading and of new gears together */
  readonly tolerance: number | null;
  readonly ok: boolean | null;
}

/** A reading as the table takes it. */
export interface FoundReading extends Measured {
  readonly what: string;
  readonly teeth?: number;
}

/** A helix differs by this much between gears of one drawing, degrees. */
const HELIX_MADE_TO = 0.25;

/**
 * A gear's dimensions as its numbers want them and as a new one shows them, against what was measured.
 *
 * @example sizesCompared(gear, [{ what: "tip diameter", value: 45.07, u: 0.03 }])[0] // wanted 45.11; across
 *   41 teeth that reading is 45.11 too
 */
export function sizesCompared(
  gear: Gear,
  readings: readonly FoundReading[],
  making: Making = "unknown",
): SizeRow[] {
  const d = gearDimensions(gear);
  const rows: SizeRow[] = [];
  const add = (
    what: string,
    wanted: number,
    fresh: Measured | null,
    seen?: FoundReading,
    unit: SizeRow["unit"] = "mm",
  ): void => {
    if (!seen || !fresh) {
      rows.push({
        what,
        unit,
        wanted,
        fresh: fresh?.value ?? null,
        found: null,
        difference: null,
        tolerance: null,
        ok: null,
      });
      return;
    }
    const tolerance = 2 * Math.hypot(seen.u, fresh.u);
    const difference = seen.value - fresh.value;
    rows.push({
      what,
      unit,
      wanted,
      fresh: fresh.value,
      found: seen.value,
      difference,
      tolerance,
      ok: Math.abs(difference) <= tolerance,
    });
  };
  const one = (what: string): FoundReading | undefined => readings.find((r) => r.what === what);
  const tip = one("tip diameter");
  add(
    "tip diameter",
    d.tipDiameterMm,
    tipWhenNew(gear, making),
    tip && { ...tip, ...tipDiameterFromFlatJaws(tip, gear) },
  );
  add("root diameter", d.rootDiameterMm, rootWhenNew(gear, making), one("root diameter"));
  add("reference diameter", d.referenceDiameterMm, null);
  add("base diameter", d.baseDiameterMm, null);
  for (const r of readings)
    if (r.what === "span" && r.teeth)
      add(`span over ${r.teeth}`, spanOver(gear, r.teeth), spanWhenNew(gear, r.teeth, making), r);
  for (const r of readings) {
    const pin = pinOf(r.what);
    if (pin) add(`over ${pin} mm pins`, overPins(gear, pin), overPinsWhenNew(gear, pin, making), r);
  }
  if (gear.helixAngleDeg)
    add(
      "helix angle",
      gear.helixAngleDeg,
      { value: gear.helixAngleDeg, u: HELIX_MADE_TO },
      one("helix angle"),
      "°",
    );
  return rows;
}
