import { Fault } from "../fault";
import type { Recording } from "./wav";

/** Frames of the loudness, a second. */
const FRAMES_HZ = 400;
/** Periods of a click that are looked for, s. */
const PERIODS = { least: 0.05, most: 3 };
/**
 * How much the loudness must look like itself one period later: of noise alone it seldom does by more than 5
 * over the root of the frames.
 */
const SURE = 6;
/** A shorter period counts where it is nearly as good as the best: every second click is a period too. */
const NEARLY = 0.5;
/** No more of a recording is listened to, s. */
const HEARD_S = 60;

export interface HeardClicks {
  /** when each was heard, ms from the beginning */
  readonly clicksMs: readonly number[];
  readonly periodMs: number;
  /** how much the loudness looks like itself one period later, in spreads of what noise does */
  readonly clarity: number;
}

/**
 * Hears a steady click in a recording: a sudden rise of what is high in pitch, again and again at one
 * distance.
 *
 * The signal's differences (which take away hum and rumble) are summed up to a loudness of 400 frames a
 * second; its sudden rises are compared with themselves at every distance from
 * 0.05 to 3 s. The shortest distance that is nearly as good as the best is the period; around each beat of it
 * the strongest rise is a click.
 *
 * @throws Fault where there is no steady click in it
 */
export function clicksIn({ samples, rate }: Recording): HeardClicks {
  const sharp = risesOf(samples.subarray(0, HEARD_S * rate), rate);
  // no train is so even that each click falls into the same frame
  const rises = blurred(sharp);
  const n = rises.length;
  const most = Math.min(Math.floor(n / 3), Math.round(PERIODS.most * FRAMES_HZ));
  const least = Math.round(PERIODS.least * FRAMES_HZ);
  const power = rises.reduce((sum, r) => sum + r * r, 0);
  if (most <= least || power === 0)
    throw new Fault("wav", "no steady click is heard in this recording: ten seconds near the case are good");
  const alike = new Float64Array(most + 2);
  for (let lag = least - 1; lag <= most + 1; lag++) {
    let sum = 0;
    for (let i = lag; i < n; i++) sum += valueAt(rises, i) * valueAt(rises, i - lag);
    alike[lag] = (sum / power) * (n / (n - lag));
  }
  const isTop = (lag: number): boolean =>
    valueAt(alike, lag) >= valueAt(alike, lag - 1) && valueAt(alike, lag) >= valueAt(alike, lag + 1);
  let best = least;
  for (let lag = least; lag <= most; lag++)
    if (isTop(lag) && valueAt(alike, lag) > valueAt(alike, best)) best = lag;
  const clear = (lag: number): number => valueAt(alike, lag) * Math.sqrt(n / BLUR.length);
  const clarity = clear(best);
  if (!isTop(best) || clarity < SURE)
    throw new Fault(
      "wav",
      "no steady click is heard in this recording: hold the microphone at the case, and tap along instead",
    );
  let lag = best;
  for (let l = least; l < best; l++)
    if (isTop(l) && clear(l) > SURE && valueAt(alike, l) > NEARLY * valueAt(alike, best)) {
      lag = l;
      break;
    }
  const clicksMs = beats(sharp, lag).map((i) => ((i + 0.5) * 1000) / FRAMES_HZ);
  if (clicksMs.length < 3) throw new Fault("wav", "fewer than three clicks are heard: record for longer");
  return { clicksMs, periodMs: (lag * 1000) / FRAMES_HZ, clarity };
}

/** A value of a row that has it: the bounds of a loop say so. */
const valueAt = (row: ArrayLike<number>, i: number): number => row[i] ?? 0;

/** How a rise is spread over the frames beside it. */
const BLUR = [1 / 9, 2 / 9, 3 / 9, 2 / 9, 1 / 9] as const;
const blurred = (xs: Float64Array): Float64Array =>
  xs.map((_, i) => BLUR.reduce((sum, w, k) => sum + w * (xs[i + k - 2] ?? 0), 0));

/** Sudden rises of the loudness of what is high in pitch, their mean taken away. */
function risesOf(samples: Float32Array, rate: number): Float64Array {
  const each = rate / FRAMES_HZ;
  const n = Math.floor(samples.length / each);
  const loud = new Float64Array(n);
  for (let f = 0; f < n; f++) {
    const [from, to] = [Math.max(1, Math.floor(f * each)), Math.floor((f + 1) * each)];
    let sum = 0;
    for (let i = from; i < to; i++) sum += (valueAt(samples, i) - valueAt(samples, i - 1)) ** 2;
    loud[f] = Math.sqrt(sum / Math.max(1, to - from));
  }
  const floor = [...loud].sort((a, b) => a - b)[n >> 1] ?? 0;
  const rises = loud.map((l, f) => {
    const before = Math.max(loud[f - 1] ?? floor, loud[f - 2] ?? floor, floor);
    return Math.max(0, Math.log((l + 1e-9) / (before + 1e-9)));
  });
  const mean = rises.reduce((a, b) => a + b, 0) / Math.max(1, n);
  return rises.map((r) => r - mean);
}

/**
 * The strongest rise around each beat of a period, where there is one that stands out; the period is followed
 * as it drifts.
 */
function beats(rises: Float64Array, lag: number): number[] {
  const n = rises.length;
  let phase = 0;
  let best = Number.NEGATIVE_INFINITY;
  for (let p = 0; p < lag; p++) {
    let sum = 0;
    for (let i = p; i < n; i += lag) sum += valueAt(rises, i);
    if (sum > best) [phase, best] = [p, sum];
  }
  const sorted = [...rises].sort((a, b) => b - a);
  const by = (share: number): number => valueAt(sorted, Math.floor(n * share));
  // a third of a usual click, and more than noise does: half of its frames do not rise, a quarter by this
  const usual = sorted[Math.max(1, Math.floor(n / lag / 2))] ?? 0;
  const strong = Math.max(0.3 * usual, by(0.75) + 5 * (by(0.25) - by(0.75)));
  const reach = Math.max(1, Math.round(0.12 * lag));
  const out: number[] = [];
  for (let at = phase; at < n; ) {
    let top = at;
    for (let i = Math.max(0, at - reach); i <= Math.min(n - 1, at + reach); i++)
      if (valueAt(rises, i) > valueAt(rises, top)) top = i;
    const isHeard = valueAt(rises, top) > strong;
    if (isHeard) out.push(top);
    at = (isHeard ? top : at) + lag;
  }
  return out;
}
