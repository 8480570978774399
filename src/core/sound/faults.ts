import type { ByAngle } from "./resample";
import type { HeardGear, HeardMesh, TrainLines } from "./train-lines";
import { bandOf, envelopeOf } from "./transform";

/** What one gear does to the sound. */
export interface GearSigns {
  readonly gear: HeardGear;
  /** by how much the mesh swells and ebbs with this gear, as a share of its loudness, and one standard deviation; null where it turns too slowly, or its mesh is not heard */
  readonly swell: { readonly depth: number; readonly u: number } | null;
  /** a knock once a turn: how plainly (against what noise does), and how loud against what is heard between; null where it turns too slowly */
  readonly knock: { readonly plain: number; readonly loud: number } | null;
}

/** Fewer turns than this in a recording tell nothing of once a turn. */
const LEAST_TURNS = 2.2;
/** A swelling that one overtone alone shows may be a neighbour's: so much is added to its spread. */
const UNCONFIRMED = 0.15;
/** Overtones of a mesh that are listened to. */
const OVERTONES = 4;

/**
 * What every gear of a train does to its sound: swelling with its turn, and knocking once a turn.
 *
 * @param spectrum of the recording by angle
 * @param hz turns of the motor a second
 */
export function signsOf(spectrum: readonly number[], sound: ByAngle, hz: number, lines: TrainLines): GearSigns[] {
  const swells = new Map(lines.meshes.flatMap((m) => swellsOf(spectrum, sound, hz, m)).map((s) => [s.gear, s]));
  const knocks = knocksOf(spectrum, sound, hz, lines);
  return lines.meshes.flatMap((m) =>
    m.gears.map((gear) => {
      const s = swells.get(gear);
      return { gear, swell: s ? { depth: s.depth, u: s.u } : null, knock: knocks.get(gear.knocks) ?? null };
    }),
  );
}

/**
 * How deep a mesh is modulated by each of its gears. The loudness of the mesh rate and of each overtone, along the angle, is fitted by a constant, by the speed (a housing rings at some
 * speeds), and by cosines of every gear's turn and twice that. A true modulation is the same at all overtones, by size and by angle; what a housing or a chance neighbour makes is not:
 * so the overtones are added up as vectors, each by its certainty.
 */
function swellsOf(spectrum: readonly number[], sound: ByAngle, hz: number, mesh: HeardMesh) {
  const gears = mesh.gears.filter((g) => g.swells * sound.turns >= LEAST_TURNS);
  if (!gears.length) return [];
  const fastest = Math.max(...gears.map((g) => g.swells));
  const sums = gears.map(() => ({ re: 0, im: 0, w: 0, each: [] as { re: number; im: number; w: number }[] }));
  for (let h = 1; h <= OVERTONES; h++) {
    const order = mesh.order * h;
    if (order * hz < 50 || (order + 2 * fastest) / sound.perTurn > 0.47) continue;
    const half = Math.min(2.4 * fastest, 0.45 * mesh.order);
    const band = bandOf(spectrum, order / sound.perTurn, half / sound.perTurn, sound.samples.length);
    const loud = envelopeOf(band);
    const orders = gears.flatMap((g) => [g.swells, 2 * g.swells].filter((o) => o < half));
    const fit = fitted(loud, band.step / sound.perTurn, orders, sound, band.step);
    if (!fit) continue;
    gears.forEach((g, i) => {
      const k = orders.indexOf(g.swells);
      const c = fit.cosines[k];
      if (!c) return;
      const w = 1 / (fit.u * fit.u + 0.0016);
      const sum = sums[i] as (typeof sums)[number];
      sum.re += w * c.re;
      sum.im += w * c.im;
      sum.w += w;
      sum.each.push({ ...c, w });
    });
  }
  return gears.flatMap((gear, i) => {
    const s = sums[i] as (typeof sums)[number];
    if (!s.each.length) return [];
    const [re, im] = [s.re / s.w, s.im / s.w];
    const scatter = s.each.reduce((sum, e) => sum + e.w * ((e.re - re) ** 2 + (e.im - im) ** 2), 0) / s.w / Math.max(1, s.each.length - 1);
    return [{ gear, depth: Math.hypot(re, im), u: Math.sqrt(1 / s.w + (s.each.length > 1 ? scatter : UNCONFIRMED ** 2)) }];
  });
}

/** Least squares of a loudness by a constant, the speed's change and its square, and cosines of some orders; as shares of the constant. */
function fitted(
  loud: Float64Array,
  turnsEach: number,
  orders: readonly number[],
  sound: ByAngle,
  step: number,
): { cosines: { re: number; im: number }[]; u: number } | null {
  const n = loud.length;
  const mean = loud.reduce((a, b) => a + b, 0) / n;
  if (!(mean > 0)) return null;
  const top = 2.6 * mean;
  const speed = speedAlong(sound, step, n);
  const width = 3 + 2 * orders.length;
  const m = Array.from({ length: width }, () => new Float64Array(width + 1));
  const row = new Float64Array(width);
  const fill = (i: number): void => {
    row[0] = 1;
    row[1] = speed[i] as number;
    row[2] = (speed[i] as number) ** 2;
    orders.forEach((o, k) => {
      const a = 2 * Math.PI * o * i * turnsEach;
      row[3 + 2 * k] = Math.cos(a);
      row[4 + 2 * k] = Math.sin(a);
    });
  };
  let squares = 0;
  for (let i = 0; i < n; i++) {
    fill(i);
    // something laid down on the bench is no part of it
    const y = Math.min(top, loud[i] as number) / mean;
    squares += y * y;
    for (let a = 0; a < width; a++) {
      const into = m[a] as Float64Array;
      for (let b = a; b < width; b++) into[b] = (into[b] as number) + (row[a] as number) * (row[b] as number);
      into[width] = (into[width] as number) + (row[a] as number) * y;
    }
  }
  for (let a = 0; a < width; a++) {
    for (let b = 0; b < a; b++) (m[a] as Float64Array)[b] = (m[b] as Float64Array)[a] as number;
    (m[a] as Float64Array)[a] = ((m[a] as Float64Array)[a] as number) + 1e-9 * n;
  }
  const right = m.map((r) => r[width] as number);
  const x = solved(m);
  if (!x) return null;
  const left = Math.max(0, squares - x.reduce((s, v, a) => s + v * (right[a] as number), 0)) / n;
  const level = x[0] as number;
  if (!(level > 0.05)) return null;
  // samples next to one another are not independent: a band has two numbers for each of its hertz
  return {
    cosines: orders.map((_, k) => ({ re: (x[3 + 2 * k] as number) / level, im: (x[4 + 2 * k] as number) / level })),
    u: Math.sqrt((2 * left) / (n / 2.5)) / level,
  };
}

/** Change of the speed against its mean along the angle, scaled to a spread of 1; slow shafts can't be told from a slow change without it. */
function speedAlong(sound: ByAngle, step: number, n: number): Float64Array {
  const out = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    const a = Math.min(sound.when.length - 2, Math.floor(i * step));
    const b = Math.min(sound.when.length - 1, Math.floor(a + Math.max(1, step)));
    out[i] = (b - a) / Math.max(1e-9, (sound.when[b] as number) - (sound.when[a] as number));
  }
  const mean = out.reduce((x, y) => x + y, 0) / n;
  const spread = Math.sqrt(out.reduce((x, y) => x + (y - mean) ** 2, 0) / n);
  return out.map((v) => (spread > 1e-5 * mean ? (v - mean) / spread : 0));
}

/** Gauss with pivots, of rows with their right side behind them. */
function solved(m: Float64Array[]): number[] | null {
  const n = m.length;
  for (let c = 0; c < n; c++) {
    let p = c;
    for (let r = c + 1; r < n; r++) if (Math.abs((m[r] as Float64Array)[c] as number) > Math.abs((m[p] as Float64Array)[c] as number)) p = r;
    [m[c], m[p]] = [m[p] as Float64Array, m[c] as Float64Array];
    const by = (m[c] as Float64Array)[c] as number;
    if (Math.abs(by) < 1e-12) return null;
    for (let r = 0; r < n; r++) {
      if (r === c) continue;
      const f = ((m[r] as Float64Array)[c] as number) / by;
      if (f !== 0) for (let k = c; k <= n; k++) (m[r] as Float64Array)[k] = ((m[r] as Float64Array)[k] as number) - f * ((m[c] as Float64Array)[k] as number);
    }
  }
  return m.map((row, c) => (row[n] as number) / (row[c] as number));
}

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
 * Knocks once a turn, for every rate at which a tooth of some gear comes round. The lines of the meshes and of the motor are taken out; what is left is cut into bands, and the loudness of
 * each is laid over itself, turn by turn. What knocks stands at one place of the turn in several bands; a mere breathing (once a turn, smoothly) is taken away.
 */
function knocksOf(spectrum: readonly number[], sound: ByAngle, hz: number, lines: TrainLines): Map<number, { plain: number; loud: number }> {
  const orders = [...new Set(lines.meshes.flatMap((m) => m.gears.map((g) => g.knocks)))];
  const out = new Map<number, { plain: number; loud: number }>();
  const keep = withoutLines(spectrum, sound, lines);
  const bands = BANDS.flatMap(([low, high]) => {
    const [middle, half] = [(low + high) / 2 / hz / sound.perTurn, (high - low) / 2 / hz / sound.perTurn];
    if (middle + half > 0.5) return [];
    const band = bandOf(spectrum, middle, half, sound.samples.length, keep);
    return [loudness(band.re, band.im, Math.max(1, Math.round((hz * sound.perTurn) / band.step / FRAMES_HZ)), band.step)];
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

/** Bins that are no line of a mesh, of what its gears make beside it, nor of the motor where one stands out of its neighbours. */
function withoutLines(spectrum: readonly number[], sound: ByAngle, lines: TrainLines): (bin: number) => boolean {
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
    const all = Array.from({ length: Math.floor(sound.perTurn / 2 / order) }, (_, k) => power((k + 1) * order));
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

/** The loudness laid over itself turn by turn: mean of every part of the turn against all, less what swells smoothly once a turn; and one standard deviation of such a mean. */
function profileOf({ values, step }: Loudness, turnsPerSample: number, parts: number): { means: Float64Array; u: number } {
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
  const u = Math.sqrt(spread / Math.max(1, values.length) / Math.max(1, Math.min(turns, values.length / parts)));
  let [c, s] = [0, 0];
  means.forEach((m, i) => {
    c += (2 / parts) * m * Math.cos((2 * Math.PI * (i + 0.5)) / parts);
    s += (2 / parts) * m * Math.sin((2 * Math.PI * (i + 0.5)) / parts);
  });
  if (parts >= 8)
    for (let i = 0; i < parts; i++)
      means[i] = (means[i] as number) - 0.5 * (c * Math.cos((2 * Math.PI * (i + 0.5)) / parts) + s * Math.sin((2 * Math.PI * (i + 0.5)) / parts));
  return { means, u: Math.max(1e-6, u) };
}
