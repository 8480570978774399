import type { ByAngle } from "./resample";
import type { HeardMesh } from "./train-lines";
import { bandOf, envelopeOf } from "./transform";

/** Fewer turns than this in a recording tell nothing of once a turn. */
export const LEAST_TURNS = 2.2;
/** A swelling that one overtone alone shows may be a neighbour's: so much is added to its spread. */
const UNCONFIRMED = 0.15;
/** Overtones of a mesh that are listened to. */
const OVERTONES = 4;

/**
 * How deep a mesh is modulated by each of its gears. The loudness of the mesh rate and of each overtone,
 * along the angle, is fitted by a constant, by the speed (a housing rings at some
 * speeds), and by cosines of every gear's turn and twice that. A true modulation is the same at all
 * overtones, by size and by angle; what a housing or a chance neighbour makes is not:
 * so the overtones are added up as vectors, each by its certainty.
 */
export function swellsOf(spectrum: readonly number[], sound: ByAngle, hz: number, mesh: HeardMesh) {
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
    const scatter =
      s.each.reduce((sum, e) => sum + e.w * ((e.re - re) ** 2 + (e.im - im) ** 2), 0) /
      s.w /
      Math.max(1, s.each.length - 1);
    return [
      {
        gear,
        depth: Math.hypot(re, im),
        u: Math.sqrt(1 / s.w + (s.each.length > 1 ? scatter : UNCONFIRMED ** 2)),
      },
    ];
  });
}

/**
 * Least squares of a loudness by a constant, the speed's change and its square, and cosines of some orders;
 * as shares of the constant.
 */
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
    cosines: orders.map((_, k) => ({
      re: (x[3 + 2 * k] as number) / level,
      im: (x[4 + 2 * k] as number) / level,
    })),
    u: Math.sqrt((2 * left) / (n / 2.5)) / level,
  };
}

/**
 * Change of the speed against its mean along the angle, scaled to a spread of 1; slow shafts can't be told
 * from a slow change without it.
 */
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
    for (let r = c + 1; r < n; r++)
      if (Math.abs((m[r] as Float64Array)[c] as number) > Math.abs((m[p] as Float64Array)[c] as number))
        p = r;
    [m[c], m[p]] = [m[p] as Float64Array, m[c] as Float64Array];
    const by = (m[c] as Float64Array)[c] as number;
    if (Math.abs(by) < 1e-12) return null;
    for (let r = 0; r < n; r++) {
      if (r === c) continue;
      const f = ((m[r] as Float64Array)[c] as number) / by;
      if (f !== 0)
        for (let k = c; k <= n; k++)
          (m[r] as Float64Array)[k] =
            ((m[r] as Float64Array)[k] as number) - f * ((m[c] as Float64Array)[k] as number);
    }
  }
  return m.map((row, c) => (row[n] as number) / (row[c] as number));
}
