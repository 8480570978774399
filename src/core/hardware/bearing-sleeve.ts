import type { BearingSize } from "./bearings";

/** Limits of a sleeve to press a bearing with, mm. */
export interface SleeveLimits {
  readonly ring: "inner" | "outer";
  /** the sleeve's bore lies between */
  readonly boreMm: readonly [least: number, most: number];
  /** its outside lies between */
  readonly outsideMm: readonly [least: number, most: number];
  readonly says: string;
}

/**
 * The sleeve that bears on one ring of a deep-groove bearing alone: on the inner where that is tight on its shaft, on the outer where that is tight in its seat. Force through the
 * balls dents the tracks.
 *
 * The bore d and outside D are the standard's; the lands between are not standardised. Balls are about 0.29 (D − d) across on the mean circle (d + D)/2, and the
 * lands lie about 0.65 of a ball either side: the inner ring ends near the mean less 0.19 (D − d), the outer begins near the mean plus 0.19. The limits keep 0.02 (D − d) more away from seal
 * and balls. Look at the ring all the same.
 *
 * @example bearingSleeve({ designation: "608", boreMm: 8, outsideMm: 22, widthMm: 7 }, "inner").outsideMm[1] // 12.1
 */
export function bearingSleeve(b: BearingSize, ring: "inner" | "outer"): SleeveLimits {
  const mean = (b.boreMm + b.outsideMm) / 2;
  const land = 0.21 * (b.outsideMm - b.boreMm);
  const round = (x: number): number => Math.round(x * 10) / 10;
  if (ring === "inner") {
    const bore = [b.boreMm + 0.1, round(b.boreMm + 0.45 * (mean - land - b.boreMm))] as const;
    const outside = [round(b.boreMm + 0.7 * (mean - land - b.boreMm)), round(mean - land)] as const;
    return {
      ring,
      boreMm: bore,
      outsideMm: outside,
      says: `Press on the inner ring: a sleeve with a bore just over ${b.boreMm} mm and no more than ${outside[1]} mm outside.`,
    };
  }
  const outside = [round(b.outsideMm - 0.3 * (b.outsideMm - mean - land)), round(b.outsideMm - 0.2)] as const;
  const bore = [round(mean + land), round(b.outsideMm - 0.55 * (b.outsideMm - mean - land))] as const;
  return {
    ring,
    boreMm: bore,
    outsideMm: outside,
    says: `Press on the outer ring: a sleeve just under ${b.outsideMm} mm outside with a bore of at least ${bore[0]} mm.`,
  };
}
