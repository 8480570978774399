import FFT from "fft.js";
import { axesOf, type FacePlane, resized } from "./face-plane";
import type { Planes } from "./picture";
import { levelled, unrolled } from "./strip";

/**
 * A ring that repeats: about how many times around, its plane (radius 1 at the tips), and how plainly (0 to
 * 1).
 */
export interface RingRhythm {
  readonly plane: FacePlane;
  readonly teeth: number;
  readonly plainness: number;
}

export const FEWEST = 6;
export const MOST = 140;
const COLUMNS = 1024;
const fft = new FFT(COLUMNS);
const wave = fft.createComplexArray();
const spectrum = fft.createComplexArray();

/** Share of the tip radius that a standard tooth is deep: 2.25 modules of (z + 2) / 2 modules (ISO 53). */
export const toothDepth = (teeth: number): number => 4.5 / (teeth + 2);

/** Adds the power spectrum of two real rows (one transform does both). */
function addPower(power: Float64Array, a: Float32Array, b: Float32Array): void {
  for (let j = 0; j < COLUMNS; j++) {
    wave[2 * j] = a[j] as number;
    wave[2 * j + 1] = b[j] as number;
  }
  fft.transform(spectrum, wave);
  // slow changes are light and shadow, not teeth
  for (let k = FEWEST - 1; k < COLUMNS / 2; k++) {
    const m = COLUMNS - k;
    power[k] =
      (power[k] as number) +
      (spectrum[2 * k] as number) ** 2 +
      (spectrum[2 * k + 1] as number) ** 2 +
      (spectrum[2 * m] as number) ** 2 +
      (spectrum[2 * m + 1] as number) ** 2;
  }
}

/**
 * How plainly a wave with this power repeats `z` times: its correlation with itself one, two and three
 * pitches on, less that at half pitches
 * between. A wave of z periods gives 1 at z, less at 2z and at z/2. It does not matter that the centre is a
 * little off: the pitch may change
 * around the ring, as long as it changes slowly.
 */
function plainnessOf(power: Float64Array): (z: number) => number {
  for (let k = 0; k < COLUMNS; k++) {
    wave[2 * k] = k < COLUMNS / 2 ? (power[k] as number) : 0;
    wave[2 * k + 1] = 0;
  }
  fft.transform(spectrum, wave);
  const own = Float64Array.from({ length: COLUMNS / 2 + 1 }, (_, k) => spectrum[2 * k] as number);
  const all = own[0] || 1;
  const at = (lag: number): number => {
    const k = lag | 0;
    return (own[k] as number) + (lag - k) * ((own[k + 1] as number) - (own[k] as number));
  };
  return (z) => {
    const pitch = COLUMNS / z;
    const third = z >= 7 ? at(3 * pitch) - at(2.5 * pitch) : 0;
    return (at(pitch) + at(2 * pitch) - at(pitch / 2) - at(1.5 * pitch) + third) / (z >= 7 ? 6 : 4) / all;
  };
}

/** Lightness, and both colour differences in one: enough to find a rhythm. */
const twoWaves = (
  planes: readonly [Float32Array, Float32Array, Float32Array],
  i: number,
  window: number,
): [Float32Array, Float32Array] => {
  const colour = new Float32Array(COLUMNS);
  for (let j = 0; j < COLUMNS; j++)
    colour[j] = (planes[1][i * COLUMNS + j] as number) + (planes[2][i * COLUMNS + j] as number);
  return [
    levelled(planes[0].subarray(i * COLUMNS, (i + 1) * COLUMNS), window, 1.5),
    levelled(colour, window, 2.5),
  ];
};

/**
 * The rings around a place that repeat most plainly, each as deep as teeth of that number are, and no two at
 * about the same radius.
 * @param plane radius 1 is one unit of `from` and `to`
 */
export function ringRhythms(
  p: Planes,
  plane: FacePlane,
  from: number,
  to: number,
  max: number,
): RingRhythm[] {
  const pixel = Math.sqrt(plane.a[0] * plane.a[2]);
  const radii: number[] = [];
  for (let r = from; r <= to; r += Math.max(2 / pixel, 0.014 * r)) radii.push(r);
  const strip = unrolled(p, plane, radii, COLUMNS);
  const rows: Float32Array[] = [];
  for (let i = 0; i < radii.length; i++) {
    let outside = 0;
    for (let j = 0; j < COLUMNS; j++) if (Number.isNaN(strip.planes[0][i * COLUMNS + j])) outside++;
    if (outside > COLUMNS * 0.55) break;
    const power = new Float64Array(COLUMNS / 2);
    addPower(power, ...twoWaves(strip.planes, i, COLUMNS / 8));
    const plainness = plainnessOf(power);
    const row = new Float32Array(MOST + 1);
    for (let z = FEWEST; z <= MOST; z++) row[z] = plainness(z);
    rows.push(row);
  }
  const found: { z: number; radius: number; plainness: number }[] = [];
  for (let z = FEWEST; z <= MOST; z++)
    for (let i = 2; i < rows.length; i++) {
      const radius = radii[i] as number;
      // the middle of the tooth's depth: the root's fillet and the tips' edge say little
      const depth = Math.min(0.5, toothDepth(z)) * radius;
      let sum = 0;
      let n = 0;
      for (let k = i; k >= 0 && (radii[k] as number) > radius - 0.85 * depth; k--)
        if ((radii[k] as number) < radius - 0.1 * depth || k === i - 1) {
          sum += (rows[k] as Float32Array)[z] as number;
          n++;
        }
      if (n) found.push({ z, radius, plainness: sum / n });
    }
  found.sort((a, b) => b.plainness - a.plainness);
  const kept: typeof found = [];
  for (const f of found) {
    if (kept.length === max) break;
    if (!kept.some((g) => Math.abs(Math.log(g.radius / f.radius)) < 0.14)) kept.push(f);
  }
  return kept.map((f) => ({ plane: resized(plane, f.radius), teeth: f.z, plainness: f.plainness }));
}

/**
 * How plainly the band of teeth just inside radius 1 repeats, and about how often: the best number near
 * `near`.
 */
function bandRhythm(p: Planes, plane: FacePlane, near: number): { teeth: number; plainness: number } {
  const depth = Math.min(0.5, toothDepth(near));
  const radii = [0.18, 0.36, 0.54, 0.72].map((t) => 1 - t * depth);
  const strip = unrolled(p, plane, radii, COLUMNS);
  const power = new Float64Array(COLUMNS / 2);
  for (let i = 0; i < radii.length; i++)
    addPower(power, ...twoWaves(strip.planes, i, COLUMNS / Math.max(5, near / 4)));
  const plainness = plainnessOf(power);
  let best = { teeth: near, plainness: -1 };
  for (let z = Math.max(FEWEST, Math.floor(near * 0.8)); z <= Math.min(MOST, Math.ceil(near * 1.25)); z++) {
    const now = plainness(z);
    if (now > best.plainness) best = { teeth: z, plainness: now };
  }
  return best;
}

/** The five numbers of an ellipse, each moved alone. */
const MOVES = [
  [1, 0, 0, 0, 0],
  [0, 1, 0, 0, 0],
  [0, 0, 1, 0, 1],
  [0, 0, 1, 0, -1],
  [0, 0, 0, 1, 0],
] as const;

/**
 * Moves and stretches a ring until its teeth repeat as plainly as they can: a search along each of its five
 * numbers with ever smaller steps.
 */
export function centred(
  p: Planes,
  ring: RingRhythm,
  steps: readonly number[] = [0.06, 0.03, 0.015],
): RingRhythm {
  const size = Math.sqrt(ring.plane.a[0] * ring.plane.a[2]);
  let best: RingRhythm = { ...ring, ...bandRhythm(p, ring.plane, ring.teeth) };
  // a hub or pinion that stands up from the face is seen beside the face's centre, along the short axis: the
  // centre that edges pointed at may be its
  const { direction, tiltDeg } = axesOf(ring.plane);
  if (tiltDeg > 8)
    for (const share of [-0.14, -0.07, 0.07, 0.14]) {
      const f = ring.plane;
      const plane: FacePlane = {
        ...f,
        centre: [
          f.centre[0] - Math.sin(direction) * share * size,
          f.centre[1] + Math.cos(direction) * share * size,
        ],
      };
      const r = bandRhythm(p, plane, ring.teeth);
      if (r.plainness > best.plainness) best = { ...r, plane };
    }
  for (const step of steps)
    for (let round = 0; round < 2; round++) {
      let better = false;
      for (const m of MOVES)
        for (const sign of [1, -1]) {
          const k = sign * step * size;
          const f = best.plane;
          const plane: FacePlane = {
            ...f,
            centre: [f.centre[0] + m[0] * k, f.centre[1] + m[1] * k],
            a: [f.a[0] + m[2] * k, f.a[1] + m[3] * k, f.a[2] + m[4] * k],
          };
          const r = bandRhythm(p, plane, best.teeth);
          if (r.plainness <= best.plainness + 0.002) continue;
          best = { ...r, plane };
          better = true;
          break;
        }
      if (!better) break;
    }
  return best;
}
