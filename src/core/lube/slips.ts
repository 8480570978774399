import { DEFAULT_DENSITY } from "../grease/charge";
import { GRAMS_PER_OUNCE } from "../quantity/units";

/** From here on an amount is weighed, g; less is a film or a drop. */
export const LEAST_WEIGHED_G = 0.5;

/** The least that a bench scale shows, g: no maker's figure is smaller. */
const LEAST_SHOWN_G = 0.1;

/** What a weight is held against. */
export interface SlipGround {
  /** what was worked out for the point, g */
  readonly aim?: number | undefined;
  /** of the chamber, where it is known, ml */
  readonly freeVolumeMl?: number | null | undefined;
  readonly densityGPerMl?: number | undefined;
  /** what this place took in the model's last job, g */
  readonly before?: number | undefined;
}

/** An amount that is odd. */
export interface Slip {
  /** what may have gone wrong, as a question */
  readonly says: string;
  /** it can be, however unlikely */
  readonly mayBeMeant: boolean;
}

const near = (a: number, b: number, share: number): boolean => Math.abs(a / b - 1) < share;

/**
 * Catches a slip of units when a weight is entered: milligrams for grams, ounces for grams, a dot in the
 * wrong place, more than the room holds, ten times what the
 * model's last job took.
 *
 * @returns a question and whether the weight may be meant all the same; null: nothing is odd about it
 */
export function slipIn(grams: number, ground: SlipGround): Slip | null {
  const slip = impossible(grams, ground);
  if (slip) return { says: slip, mayBeMeant: false };
  const doubt = unlikely(grams, ground);
  return doubt ? { says: doubt, mayBeMeant: true } : null;
}

function impossible(
  grams: number,
  { aim, freeVolumeMl, densityGPerMl = DEFAULT_DENSITY }: SlipGround,
): string | null {
  const full = freeVolumeMl ? freeVolumeMl * densityGPerMl : undefined;
  if (aim !== undefined && aim > 0 && near(grams / aim, 1000, 0.5))
    return `${grams} g is a thousand times the ${aim} g that are asked for. Were milligrams meant? Then it is ${grams / 1000} g.`;
  if (full !== undefined && grams > 1.2 * full)
    return `${grams} g is more than the whole room holds (${full.toFixed(0)} g). Were milligrams meant?`;
  return null;
}

function unlikely(grams: number, { aim, before }: SlipGround): string | null {
  if (aim !== undefined && aim > 0 && grams > 0) {
    if (near(grams * GRAMS_PER_OUNCE, aim, 0.15) && grams < aim / 3)
      return `${grams} g for ${aim} g: were ounces meant? ${grams} oz is ${(grams * GRAMS_PER_OUNCE).toFixed(1)} g.`;
    for (const by of [10, 100, 0.1, 0.01])
      if (near(grams / aim, by, 0.15)) return `${grams} g for ${aim} g: is the dot in the wrong place?`;
  }
  if (before !== undefined && before > 0 && (grams > 10 * before || grams < before / 10))
    return `${grams} g: the last job of this model took ${before} g here. Weigh it again, or look at the unit.`;
  if (aim !== undefined && aim > 0 && (grams < aim / 3 || grams > aim * 3))
    return `${grams} g for ${aim} g: out by a factor of three or more. Weigh it again, or look at the unit.`;
  return null;
}

/** What a maker's figure is held against, as far as it is known. */
export interface MakersGround {
  readonly freeVolumeMl?: number | null | undefined;
  readonly densityGPerMl?: number | undefined;
  /** what the spaces between the teeth of its wheels take, ml */
  readonly teethMl?: number | undefined;
  /** what came out of it, or went into the model's last unit, g */
  readonly before?: number | undefined;
}

/** A maker's figure that cannot be: more than the room holds, or next to nothing for it; else null. */
export function makersSlip(grams: number, ground: MakersGround): string | null {
  const { freeVolumeMl, densityGPerMl = DEFAULT_DENSITY, teethMl, before } = ground;
  if (freeVolumeMl) {
    const full = freeVolumeMl * densityGPerMl;
    if (grams > full)
      return `${grams} g is more than the ${full.toFixed(0)} g that ${freeVolumeMl.toFixed(0)} ml hold. Were milligrams, or another model, meant?`;
    if (grams < 0.002 * full)
      return `${grams} g is next to nothing for ${freeVolumeMl.toFixed(0)} ml. Were ounces meant, or is the dot in the wrong place?`;
  }
  if (grams < LEAST_SHOWN_G)
    return `${grams} g is less than can be weighed in: were milligrams read for grams, or is the dot in the wrong place?`;
  const teeth = (teethMl ?? 0) * densityGPerMl;
  if (grams < teeth / 10)
    return `${grams} g is next to nothing: the teeth alone take about ${teeth.toFixed(1)} g. Were ounces meant, or is the dot in the wrong place?`;
  if (before !== undefined && (grams > 3 * before || grams < before / 3))
    return `${grams} g, and ${before} g came out of it or went into the last one: out by a factor of three or more. Were ounces meant, or another model?`;
  return null;
}
