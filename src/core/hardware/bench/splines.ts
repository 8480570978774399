/** A standard that a splined shaft or hub may be of. */
export interface NamedSpline {
  /** as it is asked for: "6 × 11 × 14" */
  readonly name: string;
  readonly form: "straight-sided" | "involute" | "serration";
  readonly standard: string;
  /** how far the readings lie from it, in spreads of theirs */
  readonly off: number;
}

export interface SplineReadings {
  readonly teeth: number;
  /** over the tips of a shaft, or to the bottom of the gaps of a hub, mm */
  readonly outsideMm?: number;
  /** over the bottom of a shaft's gaps, or the tips of a hub, mm */
  readonly insideMm?: number;
}

/**
 * Straight-sided splines: teeth, inner and outer diameter, width of a tooth (ISO 14, light and medium
 * series).
 */
const STRAIGHT = `6 11 14 3;6 13 16 3.5;6 16 20 4;6 18 22 5;6 21 25 5;6 23 26 6;6 23 28 6;6 26 30 6;6 26 32 6;6 28 32 7;6 28 34 7;8 32 36 6;8 32 38 6;8 36 40 7;8 36 42 7;8 42 46 8;8 42 48 8;8 46 50 9;8 46 54 9`;
/** Serrations: nominal inner and outer diameter of the hub and the shaft, teeth (DIN 5481). */
const SERRATED = `7 8 28;8 10 28;10 12 30;12 14 31;15 17 32;17 20 33;21 24 34;26 30 35;30 34 36;36 40 37;40 44 38;45 50 39`;
const rows = (table: string): number[][] => table.split(";").map((row) => row.split(" ").map(Number));

const MODULES = [0.5, 0.6, 0.75, 0.8, 1, 1.25, 1.5, 1.75, 2, 2.5, 3] as const;
/** Diameters that involute splines are made for, mm (DIN 5480, the first and second row). */
const NOMINAL = new Set([
  6, 7, 8, 9, 10, 12, 14, 15, 16, 17, 18, 20, 22, 25, 28, 30, 32, 35, 37, 38, 40, 42, 45, 47, 48, 50,
]);
/**
 * Shafts are turned to a fit and edges broken: the diameter over the teeth lies so far below its nominal,
 * give or take, mm.
 */
const TURNED = 0.06;
/** Up to so many spreads a standard is named. */
const MOST_OFF = 4;

/**
 * Standards that these readings agree with, the nearest first. Straight sides after ISO 14 and serrations
 * after DIN 5481 by their tables; involute splines after DIN 5480 by their law, d_a = d_B − 0.2 m and d_f =
 * d_B − 2.2 m of the shaft with
 * d_B = m (z + 1.1 + 2 x), x between −0.05 and 0.45. Several often agree: the form of a tooth tells,
 * parallel, round-backed or a plain triangle.
 *
 * @returns empty where no diameter was read, or none agrees: then it is the maker's own, and is compared by
 *   its sizes
 * @example namedSplines({ teeth: 6, outsideMm: 13.95, insideMm: 11.02 })[0]?.name // "6 × 11 × 14"
 */
export function namedSplines({ teeth, outsideMm, insideMm }: SplineReadings): NamedSpline[] {
  if (outsideMm === undefined && insideMm === undefined) return [];
  const off = (outside: number, inside: number, coarse: number): number =>
    Math.max(
      outsideMm === undefined ? 0 : Math.abs(outsideMm - outside) / TURNED,
      insideMm === undefined ? 0 : Math.abs(insideMm - inside) / Math.max(TURNED, coarse),
    );
  const out: NamedSpline[] = [];
  for (const [z, d = 0, big = 0] of rows(STRAIGHT))
    if (z === teeth)
      out.push({
        name: `${z} × ${d} × ${big}`,
        form: "straight-sided",
        standard: "ISO 14",
        off: off(big, d, 0.1),
      });
  // the nominal diameters of a serration are rounded: its tips stand a tenth or two inside
  for (const [d = 0, big = 0, z] of rows(SERRATED))
    if (z === teeth)
      out.push({ name: `${d} × ${big}`, form: "serration", standard: "DIN 5481", off: off(big, d, 0.15) });
  for (const m of MODULES)
    for (const nominal of NOMINAL) {
      const shift = (nominal / m - teeth - 1.1) / 2;
      if (shift < -0.0501 || shift > 0.4501) continue;
      out.push({
        name: `${nominal} × ${m} × ${teeth}`,
        form: "involute",
        standard: "DIN 5480",
        off: off(nominal - 0.2 * m, nominal - 2.2 * m, 0.12),
      });
    }
  return out.filter((s) => s.off <= MOST_OFF).sort((a, b) => a.off - b.off);
}
