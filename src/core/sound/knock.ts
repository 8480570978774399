import type { ByAngle } from "./resample";
import { LEAST_TURNS } from "./swell";
import type { TrainLines } from "./train-lines";
import { bandOf } from "./transform";

/** Bands that knocks are looked for in, Hz: a housing rings somewhere in them. */
const BANDS = [
  [250, 600],
  [600, 1200],
  [1200, 2400],
  [2400, 4500],
  [4500, 9500],
] as const;
/** Loudness of a band, samples a second. */
const FRAMES_HZ = 1200;
/** Parts of a turn. */
const MOST_PARTS = 64;

/**
 * Knocks once a turn, for every rate at which a tooth of some gear comes round. The lines of the meshes and
 * of the motor are taken out; what is left is cut into bands, and the loudness of
 * each is laid over itself, turn by turn. What knocks stands at one place of the turn in several bands; a
 * mere breathing (once a turn, smoothly) is taken away.
 */
export function knocksOf(
  spectrum: readonly number[],
  sound: ByAngle,
  hz: number,
  lines: TrainLines,
): Map<number, { plain: number; loud: number }> {
  const orders = [...new Set(lines.meshes.flatMap((m) => m.gears.map((g) => g.knocks)))];
  const out = new Map<number, { plain: number; loud: number }>();
  const keep = withoutLines(spectrum, sound, lines);
  const bands = BANDS.flatMap(([low, high]) => {
    const [middle, half] = [(low + high) / 2 / hz / sound.perTurn, (high - low) / 2 / hz / sound.perTurn];
    if (middle + half > 0.5) return [];
    const band = bandOf(spectrum, middle, half, sound.samples.length, keep);
    return [
      loudness(
        band.re,
        band.im,
        Math.max(1, Math.round((hz * sound.perTurn) / band.step / FRAMES_HZ)),
        band.step,
      ),
    ];
  });
  for (const order of orders) {
    if (order * sound.turns < LEAST_TURNS) continue;
    const framesEach = ((bands[0]?.step ?? 1) * order) / sound.perTurn;
    const parts = Math.max(4, Math.min(MOST_PARTS, Math.floor(1 / framesEach)));
    const profiles = bands.map((b) => profileOf(b, order / sound.perTurn, parts));
    let plain = 0;
    let loud = 0;
    for (const width of [1, 2, 4]) {
      if (width > parts / 3) continue;
      for (let at = 0; at < parts; at++) {
        let sum = 0;
        let high = 0;
        for (const p of profiles) {
          let rise = 0;
          for (let k = 0; k < width; k++) rise += p.means[(at + k) % parts] as number;
          rise /= width;
          const z = rise / (p.u / Math.sqrt(width));
          if (z > 0) {
            sum += z * z;
            high = Math.max(high, rise);
          }
        }
        if (sum > plain) [plain, loud] = [sum, high];
      }
    }
    out.set(order, { plain: Math.sqrt(plain / Math.max(1, profiles.length)), loud });
  }
  return out;
}

/**
 * Bins that are no line of a mesh, of what its gears make beside it, nor of the motor where one stands out of
 * its neighbours.
 */
function withoutLines(
  spectrum: readonly number[],
  sound: ByAngle,
  lines: TrainLines,
): (bin: number) => boolean {
  const size = spectrum.length / 2;
  const perOrder = size / sound.perTurn;
  const out = new Uint8Array(size / 2 + 1);
  const strike = (order: number, reach: number): void => {
    const k = Math.round(order * perOrder);
    for (let i = Math.max(0, k - reach); i <= Math.min(size / 2, k + reach); i++) out[i] = 1;
  };
  const power = (order: number): number => {
    const k = Math.round(order * perOrder);
    let sum = 0;
    for (let i = Math.max(1, k - 2); i <= Math.min(size / 2, k + 2); i++)
      sum = Math.max(sum, (spectrum[2 * i] as number) ** 2 + (spectrum[2 * i + 1] as number) ** 2);
    return sum;
  };
  const reach = Math.max(3, Math.round(perOrder * 0.01));
  for (const m of lines.meshes)
    for (let h = 1; h * m.order < sound.perTurn / 2; h++) {
      strike(h * m.order, reach);
      for (const g of m.gears) for (const d of [-2, -1, 1, 2]) strike(h * m.order + d * g.swells, reach);
    }
  // lines of the motor (commutator, fan) that stand out of those beside them: a knock is in all of them alike
  for (const { order } of lines.shafts) {
    if (order * sound.turns < 60) continue;
    const all = Array.from({ length: Math.floor(sound.perTurn / 2 / order) }, (_, k) =>
      power((k + 1) * order),
    );
    all.forEach((p, k) => {
      const near = all.slice(Math.max(0, k - 5), k + 6).sort((a, b) => a - b);
      if (p > 6 * (near[near.length >> 1] as number)) strike((k + 1) * order, reach);
    });
  }
  return (k) => !out[k];
}

interface Loudness {
  /** logarithm of the power, its middle taken away */
  readonly values: Float64Array;
  /** samples of the signal for one */
  readonly step: number;
}

function loudness(re: Float64Array, im: Float64Array, each: number, step: number): Loudness {
  const n = Math.floor(re.length / each);
  const power = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    let sum = 0;
    for (let k = i * each; k < (i + 1) * each; k++) sum += (re[k] as number) ** 2 + (im[k] as number) ** 2;
    power[i] = sum / each;
  }
  const middle = [...power].sort((a, b) => a - b)[n >> 1] || 1e-30;
  const values = power.map((p) => Math.log(Math.min(40, p / middle) + 0.1));
  return { values, step: step * each };
}

/**
 * The loudness laid over itself turn by turn: mean of every part of the turn against all, less what swells
 * smoothly once a turn; and one standard deviation of such a mean.
 */
function profileOf(
  { values, step }: Loudness,
  turnsPerSample: number,
  parts: number,
): { means: Float64Array; u: number } {
  const sums = new Float64Array(parts);
  const counts = new Float64Array(parts);
  let mean = 0;
  for (let i = 0; i < values.length; i++) {
    const angle = (i + 0.5) * step * turnsPerSample;
    const part = Math.min(parts - 1, Math.floor((angle - Math.floor(angle)) * parts));
    sums[part] = (sums[part] as number) + (values[i] as number);
    counts[part] = (counts[part] as number) + 1;
    mean += values[i] as number;
  }
  mean /= Math.max(1, values.length);
  const means = sums.map((s, i) => ((counts[i] as number) ? s / (counts[i] as number) - mean : 0));
  let spread = 0;
  for (let i = 0; i < values.length; i++) {
    const angle = (i + 0.5) * step * turnsPerSample;
    const part = Math.min(parts - 1, Math.floor((angle - Math.floor(angle)) * parts));
    spread += ((values[i] as number) - mean - (means[part] as number)) ** 2;
  }
  const turns = values.length * step * turnsPerSample;
  // loudness rings on: neighbours are alike, and only turns are independent
  const u = Math.sqrt(
    spread / Math.max(1, values.length) / Math.max(1, Math.min(turns, values.length / parts)),
  );
  let [c, s] = [0, 0];
  means.forEach((m, i) => {
    c += (2 / parts) * m * Math.cos((2 * Math.PI * (i + 0.5)) / parts);
    s += (2 / parts) * m * Math.sin((2 * Math.PI * (i + 0.5)) / parts);
  });
  if (parts >= 8)
    for (let i = 0; i < parts; i++)
      means[i] =
        (means[i] as number) -
        0.5 *
          (c * Math.cos((2 * Math.PI * (i + 0.5)) / parts) + s * Math.sin((2 * Math.PI * (i + 0.5)) / parts));
  return { means, u: Math.max(1e-6, u) };
}
