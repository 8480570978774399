import { Fault } from "../fault";
import { type Gear, gearDimensions } from "../gear/dimensions";

/** The two schools of filling a gear case; docs of the trade differ, the shop sets its way. */
export type FillSchool = "measured" | "packed";

/** Density used where the maker gives none, g/ml. */
export const DEFAULT_DENSITY = 0.9;

/**
 * The share of the free volume that is filled: [least, most].
 *
 * Measured school: 30 to 50 % for worm and slow gears, 25 to 35 % above 5 m/s at the pitch line; packed school: 60 to 80 %.
 * Source: the shop's lubrication reference; a maker's figure for the model stands above it.
 */
export function fillShare(school: FillSchool, pitchLineSpeed: number): readonly [number, number] {
  if (school === "packed") return [0.6, 0.8];
  return pitchLineSpeed > 5 ? [0.25, 0.35] : [0.3, 0.5];
}

/** Speed at the pitch line, m/s: v = π d n/60 000, with d in mm and n in 1/min. */
export const pitchLineSpeed = (referenceDiameterMm: number, rpm: number): number => (Math.PI * referenceDiameterMm * rpm) / 60_000;

/**
 * The free volume of a case, ml: what it holds inside, less what the gears and shafts in it take up.
 *
 * @param insideMm length, width and depth inside
 * @param gears the gears in it with their face widths; each counts as a cylinder of its reference diameter
 * @example freeVolumeMl({ lengthMm: 100, widthMm: 80, depthMm: 30 }, []) // 240
 */
export function freeVolumeMl(
  insideMm: { lengthMm: number; widthMm: number; depthMm: number },
  gears: readonly { readonly gear: Gear; readonly faceWidthMm: number }[],
): number {
  const { lengthMm, widthMm, depthMm } = insideMm;
  for (const [name, v] of Object.entries(insideMm)) if (!(v > 0 && v < 2000)) throw new Fault(name, "must lie above 0 and below 2000 mm");
  const solid = gears.reduce((sum, g) => sum + (Math.PI / 4) * gearDimensions(g.gear).referenceDiameterMm ** 2 * g.faceWidthMm, 0);
  const free = (lengthMm * widthMm * depthMm - solid) / 1000;
  if (!(free > 0)) throw new Fault("freeVolume", "the gears would fill the whole case: measure the inside again");
  return free;
}

export interface Charge {
  readonly grams: number;
  readonly minGrams: number;
  readonly maxGrams: number;
  readonly reasons: readonly { readonly rule: string; readonly says: string }[];
}

/**
 * Grease for a case: free volume × fill × density, in the middle of the school's range.
 *
 * @param makersGrams the maker's figure for the model, which stands above any rule
 * @example greaseCharge({ freeVolumeMl: 100, school: "measured", pitchLineSpeed: 1, densityGPerMl: 0.9 }).grams // 36
 */
export function greaseCharge(ask: { freeVolumeMl: number; school: FillSchool; pitchLineSpeed: number; densityGPerMl?: number; makersGrams?: number }): Charge {
  if (!(ask.freeVolumeMl > 0)) throw new Fault("freeVolumeMl", "must be above 0 ml");
  const density = ask.densityGPerMl ?? DEFAULT_DENSITY;
  if (!(density > 0.3 && density < 3)) throw new Fault("density", "a grease weighs between 0.3 and 3 g/ml");
  const [min, max] = fillShare(ask.school, ask.pitchLineSpeed);
  const gramsAt = (share: number): number => Math.round(ask.freeVolumeMl * share * density * 10) / 10;
  const reasons = [
    {
      rule: "free volume × fill × density",
      says: `${ask.freeVolumeMl.toFixed(0)} ml free × ${Math.round(min * 100)} to ${Math.round(max * 100)} % × ${density} g/ml`,
    },
  ];
  if (ask.makersGrams !== undefined) {
    reasons.unshift({ rule: "maker's figure", says: `the maker names ${ask.makersGrams} g for this model; that stands above any rule` });
    return { grams: ask.makersGrams, minGrams: ask.makersGrams * 0.9, maxGrams: ask.makersGrams * 1.1, reasons };
  }
  reasons.push(
    ask.school === "packed"
      ? { rule: "packed school", says: "packed generously, run, and what seeps is wiped off; never where the cover has no room" }
      : {
          rule: "measured school",
          says:
            ask.pitchLineSpeed > 5
              ? "fast teeth throw grease off: less of it stays cooler"
              : "after one turn the teeth carry only what sticks; more than this leaks past the seals",
        },
  );
  return { grams: gramsAt((min + max) / 2), minGrams: gramsAt(min), maxGrams: gramsAt(max), reasons };
}

/**
 * Grease that a gear's teeth hold: half the tooth spaces, ½ (d_a² − d_f²)/4 · π · b, in grams.
 */
export function gramsOnTeeth(g: Gear, faceWidthMm: number, densityGPerMl = DEFAULT_DENSITY): number {
  const { tipDiameterMm: da, rootDiameterMm: df } = gearDimensions(g);
  return ((((0.5 * (da * da - df * df)) / 4) * Math.PI * faceWidthMm) / 1000) * densityGPerMl;
}

/** Refill of a rolling bearing, grams: G = 0.005 D B, outside diameter and width in mm. @example bearingRefillGrams(22, 7) // 0.77 */
export const bearingRefillGrams = (outsideMm: number, widthMm: number): number => 0.005 * outsideMm * widthMm;

/**
 * Catches a slip of units when a weight is entered: milligrams for grams, ounces for grams, a dot forgotten. A quantity under 0.2 % or
 * over 120 % of what the free volume holds cannot be meant.
 *
 * @returns a sentence that asks, or null
 */
export function slipOfUnits(grams: number, freeVolume: number, densityGPerMl = DEFAULT_DENSITY): string | null {
  const full = freeVolume * densityGPerMl;
  if (grams > 1.2 * full) return `${grams} g is more than the whole case holds (${full.toFixed(0)} g). Were milligrams meant?`;
  if (grams < 0.002 * full) return `${grams} g is next to nothing for ${freeVolume.toFixed(0)} ml. Were ounces meant, or is the dot in the wrong place?`;
  return null;
}
