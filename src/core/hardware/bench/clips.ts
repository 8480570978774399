/**
 * Retaining rings: DIN 471 for shafts, DIN 472 for bores, DIN 6799 (E-rings, pushed on from the side). Sizes
 * in mm.
 */
export interface Circlip {
  readonly standard: "DIN 471" | "DIN 472" | "DIN 6799";
  /** shaft or bore; of an E-ring the groove, which it is named by */
  readonly nominalMm: number;
  readonly grooveMm: number;
  readonly thicknessMm: number;
  /** of an E-ring: the shafts it goes on, and how large it is when it sits */
  readonly shaftMm?: readonly [least: number, most: number];
  readonly outsideMm?: number;
}
const rings = (standard: "DIN 471" | "DIN 472", rows: string): Circlip[] =>
  rows.split(";").map((row) => {
    const [nominalMm, grooveMm, thicknessMm] = row.split(" ").map(Number) as [number, number, number];
    return { standard, nominalMm, grooveMm, thicknessMm };
  });
/** Shaft, groove, thickness. */
const SHAFT =
  "3 2.8 0.4;4 3.8 0.4;5 4.8 0.6;6 5.7 0.7;7 6.7 0.8;8 7.6 0.8;9 8.6 1;10 9.6 1;11 10.5 1;12 11.5 1;13 12.4 1;14 13.4 1;15 14.3 1;16 15.2 1;17 16.2 1;18 17 1.2;19 18 1.2;20 19 1.2;21 20 1.2;22 21 1.2;24 22.9 1.2;25 23.9 1.2;26 24.9 1.2;28 26.6 1.5;30 28.6 1.5;32 30.3 1.5;35 33 1.5;40 37.5 1.75";
/** Bore, groove, thickness. */
const BORE =
  "8 8.4 0.8;9 9.4 0.8;10 10.4 1;11 11.4 1;12 12.5 1;13 13.6 1;14 14.6 1;15 15.7 1;16 16.8 1;17 17.8 1;18 19 1;19 20 1;20 21 1;21 22 1;22 23 1;24 25.2 1.2;25 26.2 1.2;26 27.2 1.2;28 29.4 1.2;30 31.4 1.2;32 33.7 1.2;35 37 1.5;37 39 1.5;40 42.5 1.75;42 44.5 1.75;47 49.5 1.75";
/** Groove, shaft from, to, thickness, outside when it sits. */
const E_RING =
  "0.8 1 1.4 0.2 2.25;1.2 1.4 2 0.3 3.25;1.5 2 2.5 0.4 4.25;1.9 2.5 3 0.5 4.8;2.3 3 4 0.6 6.3;3.2 4 5 0.6 7.3;4 5 7 0.7 9.3;5 6 8 0.7 11.3;6 7 9 0.7 12.3;7 8 11 0.9 14.3;8 9 12 1 16.3;9 10 14 1.1 18.8;10 11 15 1.2 20.4;12 13 18 1.3 23.4;15 16 24 1.5 29.4";
const eRings: Circlip[] = E_RING.split(";").map((row) => {
  const [nominalMm, least, most, thicknessMm, outsideMm] = row.split(" ").map(Number) as [
    number,
    number,
    number,
    number,
    number,
  ];
  return {
    standard: "DIN 6799",
    nominalMm,
    grooveMm: nominalMm,
    thicknessMm,
    shaftMm: [least, most],
    outsideMm,
  };
});
export const CIRCLIPS: readonly Circlip[] = [
  ...rings("DIN 471", SHAFT),
  ...rings("DIN 472", BORE),
  ...eRings,
];

/**
 * Pliers for circlips: what they reach (shaft of DIN 5254, bore of DIN 5256), and the tips that fit the
 * ring's eyes, mm.
 */
const TIPS = { "DIN 471": [[3, 10, 0.9], [10, 25, 1.3], [19, 60, 1.8], [40, 100, 2.3]], "DIN 472": [[8, 13, 0.9], [12, 25, 1.3], [19, 60, 1.8], [40, 100, 2.3]] } as const; // biome-ignore format: two short rows

/**
 * What spreads or closes a ring: the smallest pliers that reach it.
 *
 * @example pliersFor({ standard: "DIN 471", nominalMm: 15, … }) // "outside pliers for shafts 10 to 25 mm,
 *   tips 1.3 mm"
 */
export function pliersFor(c: Pick<Circlip, "standard" | "nominalMm">): string {
  if (c.standard === "DIN 6799")
    return "pushed off from behind with a small screwdriver, pushed on with pliers or a slotted tool";
  const fit = TIPS[c.standard].find(([from, to]) => c.nominalMm >= from && c.nominalMm <= to);
  const [which, what] = c.standard === "DIN 471" ? ["outside", "shafts"] : ["inside", "bores"];
  return fit
    ? `${which} pliers for ${what} ${fit[0]} to ${fit[1]} mm, tips ${fit[2]} mm`
    : `${which} pliers for ${what} of ${c.nominalMm} mm`;
}
