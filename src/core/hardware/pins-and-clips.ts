/**
 * Slotted spring pins, heavy duty, ISO 8752: nominal size (which is the hole) and the free diameter, least and most, mm.
 */
export interface SpringPin {
  readonly nominalMm: number;
  readonly freeLeastMm: number;
  readonly freeMostMm: number;
}
const PIN_ROWS = "1 1.2 1.3;1.5 1.7 1.8;2 2.3 2.4;2.5 2.8 2.9;3 3.3 3.5;3.5 3.8 4;4 4.4 4.6;5 5.4 5.6;6 6.4 6.7;8 8.5 8.8";
export const SPRING_PINS: readonly SpringPin[] = PIN_ROWS.split(";").map((row) => {
  const [nominalMm, freeLeastMm, freeMostMm] = row.split(" ").map(Number) as [number, number, number];
  return { nominalMm, freeLeastMm, freeMostMm };
});

export interface Punch {
  readonly says: string;
  readonly mm: number;
}
/** Pin punches: metric as sold (DIN 6450), and the inch ones found in old chests. */
export const PUNCHES: readonly Punch[] = [
  ...[0.9, 1.4, 1.8, 2.4, 2.9, 3.4, 3.9, 4.9, 5.9, 7.9].map((mm) => ({ says: `${mm} mm`, mm })),
  ...(
    [
      ["1/16 in", 1 / 16],
      ["5/64 in", 5 / 64],
      ["3/32 in", 3 / 32],
      ["1/8 in", 1 / 8],
      ["5/32 in", 5 / 32],
      ["3/16 in", 3 / 16],
      ["1/4 in", 1 / 4],
    ] as const
  ).map(([says, inch]) => ({ says, mm: inch * 25.4 })),
];

/**
 * The punches for a hole, best first: the largest that still goes in with 0.04 mm to spare, metric and inch. A punch much smaller than the pin spreads its end and wedges it.
 *
 * @example punchesFor(3).map((p) => p.says) // ["2.9 mm", "3/32 in"]
 */
export function punchesFor(holeMm: number): Punch[] {
  const fits = PUNCHES.filter((p) => p.mm <= holeMm - 0.04 && p.mm >= 0.6 * holeMm);
  const largest = (inch: boolean): Punch[] =>
    fits
      .filter((p) => p.says.endsWith("in") === inch)
      .sort((a, b) => b.mm - a.mm)
      .slice(0, 1);
  return [...largest(false), ...largest(true)].sort((a, b) => b.mm - a.mm);
}

/** Retaining rings: DIN 471 for shafts, DIN 472 for bores. Nominal (shaft or bore), groove diameter, ring thickness, mm. */
export interface Circlip {
  readonly standard: "DIN 471" | "DIN 472";
  readonly nominalMm: number;
  readonly grooveMm: number;
  readonly thicknessMm: number;
}
const rings = (standard: Circlip["standard"], rows: string): Circlip[] =>
  rows.split(";").map((row) => {
    const [nominalMm, grooveMm, thicknessMm] = row.split(" ").map(Number) as [number, number, number];
    return { standard, nominalMm, grooveMm, thicknessMm };
  });
export const CIRCLIPS: readonly Circlip[] = [
  ...rings(
    "DIN 471",
    "6 5.7 0.7;7 6.7 0.8;8 7.6 0.8;9 8.6 1;10 9.6 1;12 11.5 1;13 12.4 1;14 13.4 1;15 14.3 1;16 15.2 1;17 16.2 1;18 17 1.2;20 19 1.2;22 21 1.2;25 23.9 1.2;30 28.6 1.5",
  ),
  ...rings("DIN 472", "19 20 1;22 23 1;24 25.2 1.2;26 27.2 1.2;28 29.4 1.2;30 31.4 1.2;32 33.7 1.2;35 37 1.5;40 42.5 1.75;42 44.5 1.75;47 49.5 1.75"),
];
