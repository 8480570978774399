import { MM_PER_INCH } from "../../quantity/units";

export interface Punch {
  readonly says: string;
  readonly mm: number;
  readonly inch?: true;
}
const metric = [0.9, 1.4, 1.8, 2.4, 2.9, 3.4, 3.9, 4.9, 5.9, 7.9].map(
  (mm): Punch => ({ says: `${mm} mm`, mm }),
);
const inch = ["1/16", "5/64", "3/32", "1/8", "5/32", "3/16", "1/4", "5/16", "3/8"].map((said): Punch => {
  const [over, under] = said.split("/").map(Number) as [number, number];
  return { says: `${said} in`, mm: (over / under) * MM_PER_INCH, inch: true };
});
/**
 * Pin punches as they are sold: those for spring pins, a tenth under the hole, and the inch ones of old
 * chests.
 */
export const PUNCHES: readonly Punch[] = [...metric, ...inch];

/**
 * The punches for a hole, best first: the largest that still goes in with 0.04 mm to spare, metric and inch.
 * A punch much smaller than the pin spreads its end and wedges it.
 *
 * @example punchesFor(3).map((p) => p.says) // ["2.9 mm", "3/32 in"]
 */
export function punchesFor(holeMm: number): Punch[] {
  const fits = PUNCHES.filter((p) => p.mm <= holeMm - 0.04 && p.mm >= 0.6 * holeMm).sort(
    (a, b) => b.mm - a.mm,
  );
  return [fits.find((p) => !p.inch), fits.find((p) => p.inch)]
    .filter((p) => p !== undefined)
    .sort((a, b) => b.mm - a.mm);
}
