import type { Recording } from "./wav";

/** No line of a gear train is looked for above half of this, Hz. */
export const HEARING_HZ = 24_000;

/** The recording at no more samples a second than are listened to: a windowed sinc at a whole divisor. */
export function thinned({ samples, rate }: Pick<Recording, "samples" | "rate">): {
  readonly samples: Float32Array;
  readonly rate: number;
} {
  const by = Math.floor(rate / (HEARING_HZ * 0.9));
  if (by < 2) return { samples, rate };
  const reach = 8 * by;
  const taps = Float64Array.from({ length: 2 * reach + 1 }, (_, k) => {
    const x = ((k - reach) / by) * 0.92;
    return (
      (x === 0 ? 1 : Math.sin(Math.PI * x) / (Math.PI * x)) *
      (0.5 + 0.5 * Math.cos((Math.PI * (k - reach)) / reach))
    );
  });
  const sum = taps.reduce((a, b) => a + b, 0);
  const out = new Float32Array(Math.floor(samples.length / by));
  for (let i = 0; i < out.length; i++) {
    let y = 0;
    for (let k = 0; k <= 2 * reach; k++) y += (taps[k] as number) * (samples[i * by + k - reach] ?? 0);
    out[i] = y / sum;
  }
  return { samples: out, rate: rate / by };
}

/** A signal by the angle of the motor instead of time. */
export interface ByAngle {
  readonly samples: Float64Array;
  /** samples for one turn of the motor */
  readonly perTurn: number;
  /** whole recording, in turns */
  readonly turns: number;
  /** the moment of every sample, in samples of the recording */
  readonly when: Float64Array;
}

/**
 * Samples taken again so that each turn of the motor has the same number of them.
 *
 * @param turns of the motor at every sample of the signal, rising
 */
export function byAngle(samples: ArrayLike<number>, turns: Float64Array): ByAngle {
  const n = samples.length;
  const [first, last] = [turns[0] as number, turns[n - 1] as number];
  const total = last - first;
  const perTurn = (n / total) * 1.05;
  const count = Math.floor(total * perTurn);
  const out = new Float64Array(count);
  const when = new Float64Array(count);
  let i = 0;
  for (let k = 0; k < count; k++) {
    const at = first + k / perTurn;
    while (i < n - 2 && (turns[i + 1] as number) < at) i++;
    const [a, b] = [turns[i] as number, turns[i + 1] as number];
    const t = b > a ? (at - a) / (b - a) : 0;
    out[k] = cubic(
      samples[i - 1] ?? (samples[i] as number),
      samples[i] as number,
      samples[i + 1] as number,
      samples[i + 2] ?? (samples[i + 1] as number),
      t,
    );
    when[k] = i + t;
  }
  return { samples: out, perTurn, turns: total, when };
}

/** Catmull and Rom's curve through b and c. */
const cubic = (a: number, b: number, c: number, d: number, t: number): number =>
  b + 0.5 * t * (c - a + t * (2 * a - 5 * b + 4 * c - d + t * (3 * (b - c) + d - a)));
