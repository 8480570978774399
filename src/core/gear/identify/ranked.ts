import type { Measured } from "../../quantity/measured";

export interface Residual {
  readonly what: string;
  readonly measured: number;
  readonly expected: number;
  readonly sigmas: number;
}

/** How far a reading lies from what was expected, mm and in spreads; nothing where it was not taken. */
export function residual(what: string, seen: Measured | undefined, expected: number): Residual[] {
  if (!seen) return [];
  return [
    {
      what,
      measured: seen.value,
      expected: Math.round(expected * 1000) / 1000,
      sigmas: Math.round(((seen.value - expected) / seen.u) * 10) / 10,
    },
  ];
}

/** Of the gears that come to a bench, so many are of no size in the list. */
const UNLISTED = 0.1;
/** What weighs that a gear is of no size in the list: then each reading may be anything of its order. */
export const noneOfThem = (listed: number, readings: readonly (Measured | undefined)[]): number =>
  Math.log(UNLISTED * listed) - readings.reduce((sum, r) => sum + (r ? Math.log(Math.LN10 * r.value) : 0), 0);

/** A reading so many spreads off does not go with what was named. */
export const FAR_OFF = 4;

/**
 * Weights in log as probabilities: the likeliest first, at most eight, none below one in ten thousand.
 *
 * @param blunt an exponent up to 1 that takes the edge off: how usual each thing is, and how far a caliper
 *   spreads, is itself known only about, and a weight worked out from such figures is surer than it should be
 * @param outside what weighs that it is none of them, in log; see {@link noneOfThem}
 */
export function ranked<T extends { readonly log: number }>(
  weighed: readonly T[],
  blunt = 1,
  outside = Number.NEGATIVE_INFINITY,
): { readonly of: T; readonly probability: number }[] {
  const possible = weighed.filter((w) => w.log > Number.NEGATIVE_INFINITY);
  const best = Math.max(...possible.map((w) => w.log));
  const weight = (w: T): number => Math.exp(blunt * (w.log - best));
  const total = possible.reduce((sum, w) => sum + weight(w), Math.exp(blunt * (outside - best)));
  return possible
    .map((of) => ({ of, probability: weight(of) / total }))
    .filter((h) => h.probability > 1e-4)
    .sort((a, b) => b.probability - a.probability)
    .slice(0, 8);
}
