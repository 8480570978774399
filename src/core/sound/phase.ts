import { at, HIGHEST, LOWEST_HZ } from "./follow";
import { byAngle } from "./resample";
import { bandOf, envelopeOf, spectrumOf } from "./transform";

/**
 * Turns put right by how much faster the motor turned than was thought, told by the angle: `faster(k)` at
 * sample k of the signal by angle.
 */
export function corrected(
  turns: Float64Array,
  when: Float64Array,
  perTurn: number,
  faster: (k: number) => number,
): Float64Array {
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

/**
 * The last correction: the phase of every line that is plain tells how far ahead the motor is. Loud lines of
 * high order tell most.
 */
export function byPhase(
  samples: Float32Array,
  rate: number,
  turns: Float64Array,
  orders: readonly { order: number }[],
): { turns: Float64Array; u: number } {
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
      const [a, b, c, d] = [
        band.re[i] as number,
        band.im[i] as number,
        band.re[i - 1] as number,
        band.im[i - 1] as number,
      ];
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
  const u = Math.sqrt(
    means.reduce((s, m) => s + m.weight * (m.off - mean) ** 2, 0) / Math.max(1e-12, weight),
  );
  return {
    turns: corrected(turns, angle.when, angle.perTurn, (k) => 1 + at(faster, (k / length) * count - 0.5)),
    u,
  };
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
