import type { Wave } from "./train-lines";
import { powerOf, powerOfTwo } from "./transform";

/** Below, microphones of a bench hear mains and tables, Hz. */
export const LOWEST_HZ = 60;
/** Share of the rate up to which lines are looked for. */
export const HIGHEST = 0.46;

/** Value between two places of a row, the last one held. */
export const at = (row: ArrayLike<number>, x: number): number => {
  const i = Math.max(0, Math.min(row.length - 1, Math.floor(x)));
  const [a, b] = [row[i] as number, row[Math.min(row.length - 1, i + 1)] as number];
  return a + (b - a) * Math.max(0, Math.min(1, x - i));
};

/** How a speed is looked for. */
interface Span {
  /** speeds looked through, against the middle one, and the step between two of them */
  readonly least: number;
  readonly most: number;
  readonly step: number;
  /** windows so many times as long as for a speed that changes freely */
  readonly slower: number;
}

/**
 * The way of the speed through time that makes the most of the lines it passes, and does not jump
 * (Viterbi's).
 * @returns rpm at every hop, and its clarity
 */
export function follow(
  samples: ArrayLike<number>,
  rate: number,
  orders: readonly Wave[],
  rpm: number,
  span: Span,
) {
  const hop = Math.round(rate * 0.04 * Math.sqrt(span.slower));
  const frames = Math.max(1, Math.floor(samples.length / hop));
  const speeds = Array.from(
    { length: Math.round((span.most - span.least) / span.step) + 1 },
    (_, s) => rpm * (span.least + s * span.step),
  );
  // what is low in pitch changes little by a change of the speed, and is listened to for longer
  const heard = WINDOWS.map((w) =>
    whitened(samples, rate, powerOfTwo(w.seconds * span.slower * rate * 0.75), hop, frames, w.upTo),
  );
  const fitAt = (frame: number, turnHz: number, of = orders): number => {
    let sum = 0;
    let weight = 0;
    for (const o of of) {
      const f = turnHz * o.order;
      if (f < LOWEST_HZ || f > HIGHEST * rate) continue;
      const h = heard[f < WINDOWS[0].upTo ? 0 : f < WINDOWS[1].upTo ? 1 : 2] as Whitened;
      const row = h.rows[frame] as Float32Array;
      const x = f * h.perHz;
      const i = x | 0;
      const a = row[i] as number;
      sum += o.weight * (a + ((row[i + 1] as number) - a) * (x - i));
      weight += o.weight;
    }
    return weight ? sum / weight : 0;
  };
  const score = Array.from({ length: frames }, (_, t) => Float64Array.from(speeds, (s) => fitAt(t, s / 60)));
  const path = bestPath(score, 0.05);
  const found = path.map((s) => speeds[s] as number);
  // the same way at other speeds
  const scales: number[] = [];
  for (let c = 0.72; c <= 1.39; c *= 1.006) if (Math.abs(c - 1) > 0.025) scales.push(c);
  const of = (c: number): number => found.reduce((sum, r, t) => sum + fitAt(t, (c * r) / 60), 0) / frames;
  const others = scales.map(of);
  const mean = others.reduce((a, b) => a + b, 0) / others.length;
  const spread = Math.sqrt(others.reduce((a, b) => a + (b - mean) ** 2, 0) / others.length);
  const meshes = [...new Set(orders.map((o) => o.mesh))].map((mesh) => {
    const own = orders.filter((o) => o.mesh === mesh);
    return found.reduce((sum, r, t) => sum + fitAt(t, r / 60, own), 0) / frames;
  });
  return {
    rpm: smoothed(found, 2),
    hop,
    meshes,
    height: of(1) - mean,
    clarity: (of(1) - mean) / Math.max(1e-6, spread),
  };
}

/** How long is listened for what lies below these, Hz. */
const WINDOWS = [
  { seconds: 0.36, upTo: 300 },
  { seconds: 0.18, upTo: 1200 },
  { seconds: 0.09, upTo: Number.POSITIVE_INFINITY },
] as const;

interface Whitened {
  readonly rows: readonly Float32Array[];
  readonly perHz: number;
}

/**
 * Loudness of every frequency against its neighbourhood, in powers of e, held within what one line may count.
 */
function whitened(
  samples: ArrayLike<number>,
  rate: number,
  size: number,
  hop: number,
  frames: number,
  upToHz: number,
): Whitened {
  const last = Math.min(size / 2, Math.ceil((upToHz * 1.3 * size) / rate) + 10);
  const window = Float64Array.from(
    { length: size },
    (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * (i + 0.5)) / size),
  );
  const power = new Float64Array(size / 2 + 1);
  const part = new Float64Array(size);
  const log = new Float64Array(size / 2 + 1);
  const sums = new Float64Array(size / 2 + 2);
  const rows = Array.from({ length: frames }, (_, t) => {
    const from = Math.round((t + 0.5) * hop - size / 2);
    for (let i = 0; i < size; i++) part[i] = (window[i] as number) * (samples[from + i] ?? 0);
    powerOf(part, size, power);
    for (let k = 0; k <= last; k++) {
      log[k] = Math.log((power[k] as number) + 1e-12);
      sums[k + 1] = (sums[k] as number) + (log[k] as number);
    }
    const row = new Float32Array(last + 2);
    for (let k = 0; k <= last; k++) {
      const reach = Math.max(8, Math.round((120 * size) / rate), Math.round(0.12 * k));
      const [a, b] = [Math.max(0, k - reach), Math.min(last, k + reach)];
      const around = ((sums[b + 1] as number) - (sums[a] as number)) / (b - a + 1);
      row[k] = Math.max(-1, Math.min(3.5, (log[k] as number) - around));
    }
    return row;
  });
  return { rows, perHz: size / rate };
}

/** Place at every frame: highest sum of scores, less `penalty` times the square of each jump. */
function bestPath(score: readonly Float64Array[], penalty: number): number[] {
  const n = score[0]?.length ?? 0;
  const reach = 6;
  let best = Float64Array.from(score[0] ?? []);
  const from: Int16Array[] = [];
  for (let t = 1; t < score.length; t++) {
    const next = new Float64Array(n);
    const back = new Int16Array(n);
    for (let s = 0; s < n; s++) {
      let top = Number.NEGATIVE_INFINITY;
      for (let d = -reach; d <= reach; d++) {
        const p = s + d;
        if (p < 0 || p >= n) continue;
        const v = (best[p] as number) - penalty * d * d;
        if (v > top) {
          top = v;
          back[s] = p;
        }
      }
      next[s] = top + ((score[t] as Float64Array)[s] as number);
    }
    best = next;
    from.push(back);
  }
  let s = best.indexOf(Math.max(...best));
  const path = [s];
  for (let t = from.length - 1; t >= 0; t--) {
    s = (from[t] as Int16Array)[s] as number;
    path.push(s);
  }
  return path.reverse();
}

const smoothed = (xs: readonly number[], reach: number): number[] =>
  xs.map((_, i) => {
    const near = xs.slice(Math.max(0, i - reach), i + reach + 1);
    return near.reduce((a, b) => a + b, 0) / near.length;
  });
