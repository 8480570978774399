import { Fault } from "../fault";

export interface Rhythm {
  readonly periodMs: number;
  /** one standard deviation of the period, ms */
  readonly u: number;
  readonly hz: number;
  /** taps that count */
  readonly taps: number;
  /** beats that nobody tapped, seen as gaps of two or three periods */
  readonly missed: number;
  /** taps too close to the one before: struck twice */
  readonly dropped: number;
}

/** Spread of a finger that taps along, ms: reported for practised tappers as 20 to 40 ms. */
const FINGER_MS = 30;

/**
 * The period of a rhythm that was tapped along to.
 *
 * Taps closer than 0.45 of the median interval to the one before are doubles; intervals near two or three
 * periods count as missed beats. The period is the slope of
 * tap time against beat number by least squares, so that every tap helps; its spread is the slope's, with at
 * least a finger's 30 ms per tap.
 *
 * @param tapsMs times of the taps, rising
 * @param spreadMs how far off each may be at least, ms: a finger's, unless they were heard by a microphone
 * @throws Fault with fewer than 3 taps, or without a steady beat in them
 * @example rhythm([0, 500, 1000, 2000]).periodMs // 500, one beat missed
 */
export function rhythm(tapsMs: readonly number[], spreadMs = FINGER_MS): Rhythm {
  if (tapsMs.length < 3) throw new Fault("taps", "tap at least three times, better eight or more");
  if (tapsMs.some((t, i) => i > 0 && t < (tapsMs[i - 1] as number)))
    throw new Fault("taps", "the taps do not stand in the order of time");
  const gaps = (ts: readonly number[]): number[] => ts.slice(1).map((t, i) => t - (ts[i] as number));
  const typical = median(gaps(tapsMs));
  const kept = tapsMs.filter((t, i) => i === 0 || t - (tapsMs[i - 1] as number) > 0.45 * typical);
  if (kept.length < 3) throw new Fault("taps", "tap at least three times, better eight or more");
  let period = median(gaps(kept));
  let beats: number[] = [];
  // the median is a first guess; with the slope known better, the gaps are counted again
  for (let i = 0; i < 3; i++) {
    beats = [0];
    for (const gap of gaps(kept))
      beats.push((beats.at(-1) as number) + Math.max(1, Math.round(gap / period)));
    period = slope(beats, kept).by;
  }
  const fit = slope(beats, kept);
  const scatter = Math.sqrt(
    kept.reduce((sum, t, i) => sum + (t - fit.at0 - fit.by * (beats[i] as number)) ** 2, 0) /
      Math.max(1, kept.length - 2),
  );
  if (scatter > 0.25 * fit.by)
    throw new Fault("taps", "there is no steady beat in these taps: turn the output evenly and tap again");
  const u = Math.max(scatter, spreadMs) / Math.sqrt(fit.spread);
  return {
    periodMs: fit.by,
    u,
    hz: 1000 / fit.by,
    taps: kept.length,
    missed: (beats.at(-1) as number) + 1 - kept.length,
    dropped: tapsMs.length - kept.length,
  };
}

function median(xs: readonly number[]): number {
  const sorted = [...xs].sort((a, b) => a - b);
  return ((sorted[(sorted.length - 1) >> 1] as number) + (sorted[sorted.length >> 1] as number)) / 2;
}

/** Least squares line through (x, y). `spread` is Σ (x − mean)². */
function slope(xs: readonly number[], ys: readonly number[]): { by: number; at0: number; spread: number } {
  const mx = xs.reduce((a, b) => a + b, 0) / xs.length;
  const my = ys.reduce((a, b) => a + b, 0) / ys.length;
  const spread = xs.reduce((s, x) => s + (x - mx) ** 2, 0);
  const by = xs.reduce((s, x, i) => s + (x - mx) * ((ys[i] as number) - my), 0) / spread;
  return { by, at0: my - by * mx, spread };
}
