import { Fault } from "../fault";
import { byAngle } from "./resample";
import type { TrainLines } from "./train-lines";
import { wavesOf } from "./train-lines";
import { bandOf, envelopeOf, powerOf, powerOfTwo, spectrumOf } from "./transform";

/** How the motor really turned. */
export interface HeardSpeed {
  /** mean, rpm, and one standard deviation of it */
  readonly rpm: { readonly value: number; readonly u: number };
  /** turns of the motor at every sample of the recording */
  readonly turns: Float64Array;
  /** of how many meshes the teeth were heard: one alone may be some other machine's */
  readonly meshesHeard: number;
}

/** A motor turns within this of its plate: lightly loaded above it, on low mains or worn brushes below. */
export const OF_PLATE = { least: 0.78, most: 1.17 };
/** Below, microphones of a bench hear mains and tables, Hz. */
const LOWEST_HZ = 60;
/** Share of the rate up to which lines are looked for. */
const HIGHEST = 0.46;
/** What a pattern must keep to be this train's: how far it stands above what is around its lines (powers of e), and above what other speeds find in the same recording (their spreads). */
const PATTERN = { height: 1.5, clarity: 3 };
/** A mesh whose lines stand less high is not heard. */
const MESH_HEIGHT = 1;

/**
 * Finds how fast the motor turned, by fitting the whole pattern of the train's mesh rates and their overtones to the recording: first roughly along time, then in the recording taken again
 * by that angle, then by the phase of the lines themselves. Single lines may stand for anything; all of them together at one speed seldom do.
 *
 * @param plateRpm what the plate of the motor says
 * @throws Fault without a plate, where the train sings nothing that a microphone hears, or nothing in the recording fits it
 */
export function hearSpeed(samples: Float32Array, rate: number, lines: TrainLines, plateRpm: number): HeardSpeed {
  if (plateRpm <= 0) throw new Fault("train.input.rpm", "say how fast the motor turns by its plate: the speed is looked for around it");
  const orders = wavesOf(lines, 4);
  if (!orders.length) throw new Fault("train.meshes", "no gears, toothed belts or chains in this train: nothing of it sings at a rate of its own");
  const rough = follow(samples, rate, orders, plateRpm, { least: OF_PLATE.least, most: OF_PLATE.most, step: 0.001, slower: 1 });
  const audible = rough.meshes.filter((h) => h !== 0);
  const meshesHeard = audible.filter((h) => h >= MESH_HEIGHT).length;
  // of a long train one mesh may be drowned by the others
  if (rough.height < PATTERN.height || rough.clarity < PATTERN.clarity || meshesHeard < Math.min(audible.length, 2, Math.max(1, audible.length - 1)))
    throw new Fault("wav", "nothing of this train's pattern is heard in the recording: hold the microphone at the gear case, and record while it runs");
  let turns = turnsOf(rough.rpm, rough.hop, rate, samples.length);
  for (const [span, step, slower] of [
    [0.012, 0.0004, 2],
    [0.005, 0.0002, 4],
  ] as const) {
    const angle = byAngle(samples, turns);
    const even = (angle.turns / samples.length) * rate * 60;
    const finer = follow(angle.samples, angle.perTurn * (even / 60), orders, even, { least: 1 - span, most: 1 + span, step, slower });
    turns = corrected(turns, angle.when, angle.perTurn, (k) => at(finer.rpm, k / finer.hop) / even);
  }
  const phases = byPhase(samples, rate, turns, orders);
  const value = (((phases.turns[samples.length - 1] as number) - (phases.turns[0] as number)) / (samples.length - 1)) * rate * 60;
  return { rpm: { value, u: Math.max(1e-4, phases.u) * value }, turns: phases.turns, meshesHeard };
}

/** Value between two places of a row, the last one held. */
const at = (row: ArrayLike<number>, x: number): number => {
  const i = Math.max(0, Math.min(row.length - 1, Math.floor(x)));
  const [a, b] = [row[i] as number, row[Math.min(row.length - 1, i + 1)] as number];
  return a + (b - a) * Math.max(0, Math.min(1, x - i));
};

/** A line that is looked for. */
interface Wave {
  readonly mesh: string;
  readonly order: number;
  readonly weight: number;
}

interface Span {
  /** speeds looked through, against the middle one, and the step between two of them */
  readonly least: number;
  readonly most: number;
  readonly step: number;
  /** windows so many times as long as for a speed that changes freely */
  readonly slower: number;
}

/**
 * The way of the speed through time that makes the most of the lines it passes, and does not jump (Viterbi's).
 * @returns rpm at every hop, and its clarity
 */
function follow(samples: ArrayLike<number>, rate: number, orders: readonly Wave[], rpm: number, span: Span) {
  const hop = Math.round(rate * 0.04 * Math.sqrt(span.slower));
  const frames = Math.max(1, Math.floor(samples.length / hop));
  const speeds = Array.from({ length: Math.round((span.most - span.least) / span.step) + 1 }, (_, s) => rpm * (span.least + s * span.step));
  // what is low in pitch changes little by a change of the speed, and is listened to for longer
  const heard = WINDOWS.map((w) => whitened(samples, rate, powerOfTwo(w.seconds * span.slower * rate * 0.75), hop, frames, w.upTo));
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
  return { rpm: smoothed(found, 2), hop, meshes, height: of(1) - mean, clarity: (of(1) - mean) / Math.max(1e-6, spread) };
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

/** Loudness of every frequency against its neighbourhood, in powers of e, held within what one line may count. */
function whitened(samples: ArrayLike<number>, rate: number, size: number, hop: number, frames: number, upToHz: number): Whitened {
  const last = Math.min(size / 2, Math.ceil((upToHz * 1.3 * size) / rate) + 10);
  const window = Float64Array.from({ length: size }, (_, i) => 0.5 - 0.5 * Math.cos((2 * Math.PI * (i + 0.5)) / size));
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

/** Turns at every sample, of a speed at the middle of every hop. */
function turnsOf(rpm: readonly number[], hop: number, rate: number, n: number): Float64Array {
  const turns = new Float64Array(n);
  let sum = 0;
  for (let i = 0; i < n; i++) {
    turns[i] = sum;
    sum += at(rpm, i / hop - 0.5) / 60 / rate;
  }
  return turns;
}

/** Turns put right by how much faster the motor turned than was thought, told by the angle: `faster(k)` at sample k of the signal by angle. */
function corrected(turns: Float64Array, when: Float64Array, perTurn: number, faster: (k: number) => number): Float64Array {
  const right = new Float64Array(when.length);
  let sum = 0;
  for (let k = 0; k < when.length; k++) {
    right[k] = sum;
    sum += faster(k) / perTurn;
  }
  return onTime(turns, perTurn, right);
}

/** Turns put right at the samples by angle, told at the samples in time. */
function onTime(turns: Float64Array, perTurn: number, right: Float64Array): Float64Array {
  const first = turns[0] as number;
  const last = right.length - 1;
  return turns.map((turn) => {
    const k = (turn - first) * perTurn;
    // beyond the end it goes on as it was
    return k <= last ? at(right, k) : (right[last] as number) + (k - last) / perTurn;
  });
}

/** Half of what is listened to around a line when its phase is followed, Hz. */
const PHASE_HZ = 7;

/** The last correction: the phase of every line that is plain tells how far ahead the motor is. Loud lines of high order tell most. */
function byPhase(samples: Float32Array, rate: number, turns: Float64Array, orders: readonly { order: number }[]): { turns: Float64Array; u: number } {
  const angle = byAngle(samples, turns);
  const hz = (angle.turns / samples.length) * rate;
  const spectrum = spectrumOf(angle.samples);
  const length = angle.samples.length;
  const half = PHASE_HZ / hz / angle.perTurn;
  const count = 400;
  const sum = new Float64Array(count);
  const weights = new Float64Array(count);
  const means: { off: number; weight: number }[] = [];
  for (const { order } of orders) {
    const middle = order / angle.perTurn;
    if (order * hz < LOWEST_HZ || middle > HIGHEST) continue;
    const size = spectrum.length / 2;
    // the bin that is nearest to the line turns a little of its own
    const own = middle - Math.round(middle * size) / size;
    const band = bandOf(spectrum, middle, half, length);
    const floor = noiseBeside(spectrum, middle, half, length);
    let off = 0;
    let loud = 0;
    const n = band.re.length;
    for (let i = 1; i < n; i++) {
      const [a, b, c, d] = [band.re[i] as number, band.im[i] as number, band.re[i - 1] as number, band.im[i - 1] as number];
      const step = Math.atan2(b * c - a * d, a * c + b * d) / (2 * Math.PI) / band.step - own;
      const power = Math.hypot(a, b) * Math.hypot(c, d);
      if (power < 4 * floor) continue;
      const w = (power / floor) * order * order;
      const place = Math.min(count - 1, Math.floor((i / n) * count));
      sum[place] = (sum[place] as number) + (w * step) / middle;
      weights[place] = (weights[place] as number) + w;
      off += (w * step) / middle;
      loud += w;
    }
    if (loud > 0) means.push({ off: off / loud, weight: loud });
  }
  // two thirds of a tenth of a second are smoothed over
  const reach = Math.max(1, Math.round((0.05 * count * rate) / samples.length));
  const faster = smoothedBy(sum, weights, reach);
  const weight = means.reduce((w, m) => w + m.weight, 0);
  const mean = means.reduce((s, m) => s + m.off * m.weight, 0) / Math.max(1e-12, weight);
  const u = Math.sqrt(means.reduce((s, m) => s + m.weight * (m.off - mean) ** 2, 0) / Math.max(1e-12, weight));
  return { turns: corrected(turns, angle.when, angle.perTurn, (k) => 1 + at(faster, (k / length) * count - 0.5)), u };
}

function smoothedBy(sum: Float64Array, weights: Float64Array, reach: number): Float64Array {
  return sum.map((_, i) => {
    let s = 0;
    let w = 1e-9;
    for (let j = Math.max(0, i - reach); j <= Math.min(sum.length - 1, i + reach); j++) {
      s += sum[j] as number;
      w += weights[j] as number;
    }
    return s / w;
  });
}

/** Power of what is heard beside a line, in a band of the same width on each side: the quieter of the two. */
function noiseBeside(spectrum: readonly number[], middle: number, half: number, length: number): number {
  const sides = [-3, 3].map((d) => {
    if (middle + d * half <= half) return Number.POSITIVE_INFINITY;
    const e = envelopeOf(bandOf(spectrum, middle + d * half, half, length));
    return e.reduce((s, x) => s + x * x, 0) / Math.max(1, e.length);
  });
  return Math.max(1e-18, Math.min(...sides));
}
