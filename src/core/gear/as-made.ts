import { z } from "zod";
import type { Measured } from "../quantity/measured";

/** How a gear was made. Unknown stands for all of them together. */
export const MAKINGS = ["cut", "sintered", "moulded", "unknown"] as const;
export const making = z.enum(MAKINGS);
export type Making = z.infer<typeof making>;

/** What gears of one making are off by when they are new, against their nominal. */
export interface AsMade {
  readonly says: string;
  /** by how much a span reads low on a gear of module 1, mm: teeth are thinned so that a pair has backlash */
  readonly thinned: Measured;
  /** by how much the tip diameter is low, mm */
  readonly tipLow: Measured;
  /** how far all sizes are off together, as a share: shrinkage of a mould or in the furnace */
  readonly scale: number;
  /** how far one tooth or one gear is off by itself, in modules */
  readonly madeTo: number;
}

/**
 * New gears as they are really made.
 *
 * No standard gives one figure: DIN 3967 has a family of allowances that a maker picks from, DIN 58405 and
 * ISO 1328 qualities, makers of sintered and moulded gears tables of their own. These are what is usual in
 * appliances and power tools;
 * each is a mean with its spread (one standard deviation), so that the whole of 0 to 0.1 mm at module 1 stays
 * possible.
 */
export const AS_MADE: Readonly<Record<Making, AsMade>> = {
  cut: {
    says: "cut",
    thinned: { value: 0.05, u: 0.015 },
    tipLow: { value: 0.04, u: 0.025 },
    scale: 0.0002,
    madeTo: 0.01,
  },
  sintered: {
    says: "sintered",
    thinned: { value: 0.05, u: 0.02 },
    tipLow: { value: 0.04, u: 0.025 },
    scale: 0.001,
    madeTo: 0.015,
  },
  moulded: {
    says: "moulded",
    thinned: { value: 0.05, u: 0.03 },
    tipLow: { value: 0.05, u: 0.03 },
    scale: 0.003,
    madeTo: 0.02,
  },
  unknown: {
    says: "made how?",
    thinned: { value: 0.05, u: 0.02 },
    tipLow: { value: 0.04, u: 0.025 },
    scale: 0.0005,
    madeTo: 0.015,
  },
};

/**
 * Some are not thinned at all: ground masters, prints and cuts from a drawing without backlash, gears whose
 * mate was thinned for both. So often, and give or take so much at module 1, mm.
 */
export const UNTHINNED = { share: 0.15, u: 0.01 } as const;

/**
 * By how much a span of a new gear reads low, mm, with its spread. Thinning grows with the tooth, but slower
 * than it: as the root of the module.
 */
export function thinnedBy(moduleMm: number, how: Making = "unknown"): Measured {
  const { thinned } = AS_MADE[how];
  const grows = Math.sqrt(moduleMm);
  return { value: thinned.value * grows, u: thinned.u * grows };
}

/**
 * Small pinions with positive shift are topped, so that a land is left on their tips: by up to a quarter of
 * the shift, in modules on either side.
 *
 * @returns how often a pinion with so many teeth is topped at all
 */
export const toppedShare = (teeth: number): number => (teeth < 17 ? 0.5 : teeth < 24 ? 0.1 : 0);
/** Of the shift, on either side. */
export const TOPPED = { value: 0.15, u: 0.07 } as const;

/** What worn tips read low by, in modules on the diameter. */
export const WORN_TIPS = { value: 0.25, u: 0.2 } as const;
/** How often tips are worn although nobody said so. */
export const WORN_SHARE = 0.02;

/**
 * How often the flanks of a gear that comes to a bench are worn, and by how much its spans are low then
 * beside the thinning, in modules.
 */
export const WORN_FLANKS = { share: 0.1, value: 0.12, u: 0.08 } as const;

/**
 * How far the root lies from 1.25 modules below the reference circle, in modules on the diameter: racks A to
 * D of ISO 53 have a clearance of 0.25 to 0.4.
 */
export const ROOT_SPREAD = 0.1;
