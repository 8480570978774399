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
 * How far from the mean circle a ring's free face begins, as a share of D − d: past the cage of an open
 * bearing, past the shield or seal of a closed one.
 */
const LAND = { open: 0.21, closed: 0.32 } as const;

/**
 * The sleeve that bears on one ring of a deep-groove bearing alone: on the inner where that is tight on its
 * shaft, on the outer where that is tight in its seat. Force through the
 * balls dents the tracks.
 *
 * The bore d and outside D are the standard's; the lands between are not standardised. Balls are about 0.29
 * (D − d) across on the mean circle (d + D)/2, and the
 * lands lie about 0.65 of a ball either side: the inner ring ends near the mean less 0.19 (D − d), the outer
 * begins near the mean plus 0.19. A shield or seal sits in a recess that leaves less: 0.30. The limits keep
 * 0.02 (D − d) more away from seal and balls. Look at the ring all the same.
 *
 * @param closed with shields or seals: the sleeve clears them too
 * @example bearingSleeve({ designation: "608", boreMm: 8, outsideMm: 22, widthMm: 7, … },
 *   "inner").outsideMm[1] // 12.05; closed: 10.5
 */
export function bearingSleeve(b: BearingSize, ring: "inner" | "outer", closed = false): SleeveLimits {
  const mean = (b.boreMm + b.outsideMm) / 2;
  const land = LAND[closed ? "closed" : "open"] * (b.outsideMm - b.boreMm);
  const round = (x: number): number => Math.round(x * 20) / 20;
  const past = closed ? " It clears the shield or seal: pressed in there, it rubs for good." : "";
  if (ring === "inner") {
    const face = mean - land - b.boreMm;
    const bore = [b.boreMm + 0.1, round(b.boreMm + 0.45 * face)] as const;
    const outside = [round(b.boreMm + 0.7 * face), round(mean - land)] as const;
    return {
      ring,
      boreMm: bore,
      outsideMm: outside,
      says: `Press on the inner ring: a sleeve with a bore just over ${b.boreMm} mm and no more than ${outside[1]} mm outside.${past}`,
    };
  }
  const face = b.outsideMm - mean - land;
  const outside = [round(b.outsideMm - 0.3 * face), round(b.outsideMm - Math.min(0.2, 0.2 * face))] as const;
  const bore = [round(mean + land), round(b.outsideMm - 0.55 * face)] as const;
  return {
    ring,
    boreMm: bore,
    outsideMm: outside,
    says: `Press on the outer ring: a sleeve just under ${b.outsideMm} mm outside with a bore of at least ${bore[0]} mm.${past}`,
  };
}

/**
 * Which ring is tight: the one that turns under a load that stands still. It is the one to press on, and the
 * one to pull by.
 *
 * @param turns what turned where the bearing came from
 */
export const tightRing = (turns: "shaft" | "wheel"): "inner" | "outer" =>
  turns === "shaft" ? "inner" : "outer";
