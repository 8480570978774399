/** The shape of a belt. */
export const BELT_SHAPES = ["toothed", "ribbed", "V"] as const;
export type BeltShape = (typeof BELT_SHAPES)[number];
/** Flanks of a tooth. */
export const FLANKS = ["straight", "round"] as const;
export type Flank = (typeof FLANKS)[number];

/** A belt's profile, mm. */
export interface BeltProfile {
  readonly name: string;
  readonly shape: BeltShape;
  readonly standard: string;
  /** of teeth or ribs */
  readonly pitchMm?: number;
  readonly toothHeightMm?: number;
  readonly flank?: Flank;
  /** of a V-belt: across its top, and its height */
  readonly topMm?: number;
  readonly heightMm?: number;
}

const toothed = (flank: Flank, standard: string, rows: string): BeltProfile[] =>
  rows.split(";").map((row) => {
    const [name = "", pitchMm, toothHeightMm] = row.split(" ");
    return {
      name,
      shape: "toothed",
      standard,
      flank,
      pitchMm: Number(pitchMm),
      toothHeightMm: Number(toothHeightMm),
    };
  });
const ribbed = (rows: string): BeltProfile[] =>
  rows.split(";").map((row) => {
    const [name = "", pitchMm] = row.split(" ");
    return { name, shape: "ribbed", standard: "ISO 9982", pitchMm: Number(pitchMm) };
  });
const vee = (standard: string, rows: string): BeltProfile[] =>
  rows.split(";").map((row) => {
    const [name = "", topMm, heightMm] = row.split(" ");
    return { name, shape: "V", standard, topMm: Number(topMm), heightMm: Number(heightMm) };
  });

/**
 * Profiles: toothed belts with straight flanks by the inch (ISO 5296) and metric (ISO 17396), with round
 * flanks (ISO 13050, by their pitch); ribbed belts (ISO 9982); V-belts (ISO 4184 and the small ones of DIN
 * 2215).
 */
export const BELTS: readonly BeltProfile[] = [
  ...toothed("straight", "ISO 5296", "MXL 2.032 0.51;XL 5.08 1.27;L 9.525 1.91;H 12.7 2.29"),
  ...toothed("straight", "ISO 17396", "T2.5 2.5 0.7;T5 5 1.2;T10 10 2.5"),
  ...toothed("round", "ISO 13050", "3M 3 1.22;5M 5 2.06;8M 8 3.38"),
  ...ribbed("PH 1.6;PJ 2.34;PK 3.56;PL 4.7;PM 9.4"),
  ...vee("DIN 2215", "5 5 3;6 6 4;8 8 5"),
  ...vee("ISO 4184", "Z 10 6;A 13 8;B 17 11;SPZ 9.7 8;SPA 12.7 10"),
];

/**
 * How a belt is ordered, from what was counted and measured of it: pitch length and teeth, or ribs and
 * length.
 *
 * @param teeth of a toothed belt: its pitch length is teeth × pitch
 * @param widthMm of a ribbed one: ribs are width / pitch
 */
export function beltOrdered(
  p: BeltProfile,
  { teeth, widthMm }: { readonly teeth?: number; readonly widthMm?: number },
): string[] {
  const out: string[] = [];
  if (p.shape === "toothed" && p.pitchMm)
    out.push(
      teeth
        ? `${teeth} teeth: pitch length ${Math.round(teeth * p.pitchMm * 100) / 100} mm. Ordered by profile, teeth and width.`
        : "Count the teeth all round: teeth × pitch is the length it is ordered by.",
    );
  if (p.shape === "ribbed" && p.pitchMm)
    out.push(
      widthMm
        ? `About ${Math.max(1, Math.round(widthMm / p.pitchMm))} ribs. Ordered by ribs, profile and effective length.`
        : "Count its ribs: ordered by ribs, profile and effective length.",
    );
  if (p.shape === "V")
    out.push("Ordered by profile and length; makers print inside, datum or outside length: read which.");
  return out;
}
