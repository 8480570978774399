import { circleOf } from "./circle";
import type { FacePlane } from "./face-plane";
import type { Planes } from "./picture";

/**
 * A ring of a face unrolled: `rows` radii from the inside out, `columns` angles once around, for each plane;
 * NaN outside the picture.
 */
export interface Strip {
  readonly rows: number;
  readonly columns: number;
  readonly radii: Float64Array;
  readonly planes: readonly [Float32Array, Float32Array, Float32Array];
}

/**
 * Unrolls the picture around a face: column j looks along the angle 2πj / columns (from the face's x towards
 * its y, that is clockwise on
 * screen), row i at `radii[i]` tip radii. Values between pixels are bilinear.
 */
export function unrolled(p: Planes, f: FacePlane, radii: ArrayLike<number>, columns: number): Strip {
  const rows = radii.length;
  const size = rows * columns;
  const [o0, o1, o2] = [new Float32Array(size), new Float32Array(size), new Float32Array(size)];
  const { width: w, height: h } = p;
  const [p0, p1, p2] = p.planes;
  const [cx, cy] = f.centre;
  const [a0, a1, a2] = f.a;
  const [q0, q1] = f.q;
  const [cos, sin] = circleOf(columns);
  for (let i = 0; i < rows; i++) {
    const r = radii[i] as number;
    for (let j = 0, at = i * columns; j < columns; j++, at++) {
      const c = cos[j] as number;
      const s = sin[j] as number;
      const k = r / (1 + (q0 * c + q1 * s) * r);
      const x = cx + (a0 * c + a1 * s) * k - 0.5;
      const y = cy + (a1 * c + a2 * s) * k - 0.5;
      if (!(x >= 0 && y >= 0 && x < w - 1 && y < h - 1)) {
        o0[at] = Number.NaN;
        o1[at] = Number.NaN;
        o2[at] = Number.NaN;
        continue;
      }
      const x0 = x | 0;
      const y0 = y | 0;
      const fx = x - x0;
      const fy = y - y0;
      const n = y0 * w + x0;
      const w11 = fx * fy;
      const w01 = fy - w11;
      const w10 = fx - w11;
      const w00 = 1 - fx - w01;
      o0[at] =
        w00 * (p0[n] as number) +
        w10 * (p0[n + 1] as number) +
        w01 * (p0[n + w] as number) +
        w11 * (p0[n + w + 1] as number);
      o1[at] =
        w00 * (p1[n] as number) +
        w10 * (p1[n + 1] as number) +
        w01 * (p1[n + w] as number) +
        w11 * (p1[n + w + 1] as number);
      o2[at] =
        w00 * (p2[n] as number) +
        w10 * (p2[n + 1] as number) +
        w01 * (p2[n + w] as number) +
        w11 * (p2[n + w + 1] as number);
    }
  }
  return { rows, columns, radii: Float64Array.from(radii), planes: [o0, o1, o2] };
}

/**
 * A row as a wave about zero: its mean over `window` columns taken away, and its height brought to about 1
 * everywhere, so that a shadow on one
 * side or a screw beside it count no more than the rest. What is outside the picture is 0.
 * @param noise heights below this are noise and are not raised
 */
export const levelled = (row: Float32Array, window: number, noise: number): Float32Array =>
  levelling(row.length, window, noise)(row);

/** `levelled` for many rows of n columns, one after the other: what one call gives is used up by the next. */
export function levelling(n: number, window: number, noise: number): (row: Float32Array) => Float32Array {
  const half = Math.max(1, Math.min(n >> 1, Math.round(window / 2)));
  // the row with its ends joined, so that a window can run over [j - half, j + half) without asking where it
  // is
  const values = new Float32Array(n + 2 * half);
  const there = new Uint8Array(n + 2 * half);
  const out = new Float32Array(n);
  return (row) => {
    for (let j = 0; j < n; j++) {
      const v = row[j] as number;
      const seen = !Number.isNaN(v);
      values[j + half] = seen ? v : 0;
      there[j + half] = seen ? 1 : 0;
    }
    for (const ring of [values, there]) {
      ring.copyWithin(0, n, n + half);
      ring.copyWithin(n + half, half, 2 * half);
    }
    let sum = 0;
    let squares = 0;
    let count = 0;
    for (let i = 0; i < 2 * half; i++) {
      const v = values[i] as number;
      sum += v;
      squares += v * v;
      count += there[i] as number;
    }
    let share = 1 / count;
    for (let j = 0; j < n; j++) {
      let wave = 0;
      if (there[j + half] && count > half) {
        const mean = sum * share;
        wave =
          ((values[j + half] as number) - mean) /
          (Math.sqrt(Math.max(0, squares * share - mean * mean)) + noise);
      }
      out[j] = Math.max(-2.5, Math.min(2.5, wave));
      const comes = values[j + 2 * half] as number;
      const goes = values[j] as number;
      sum += comes - goes;
      squares += comes * comes - goes * goes;
      const change = (there[j + 2 * half] as number) - (there[j] as number);
      if (change) {
        count += change;
        share = 1 / count;
      }
    }
    return out;
  };
}

/**
 * How much each spot of a strip looks like the gear's own face just inside the root, seen along the same
 * angle: 1 alike, towards 0 the more it
 * differs. A gap is unlike the face whether it shows the bench, a shadow or the gear's wall; where the light
 * changes around the gear, the face
 * it is compared with changes too.
 * @param depth depth of a tooth in tip radii
 * @param pitch columns of one tooth
 */
export function faceLikeness(s: Strip, depth: number, pitch: number): Float32Array {
  const { rows, columns } = s;
  const inner: number[] = [];
  // no further in than the rim: hub and web are another matter
  for (let i = 0; i < rows; i++)
    if (
      (s.radii[i] as number) < 1 - 1.12 * depth &&
      (s.radii[i] as number) > 1 - 1.12 * depth - Math.min(0.88 * depth, 0.13)
    )
      inner.push(i);
  const out = new Float32Array(rows * columns);
  const spread = new Float32Array(columns);
  const means: Float32Array[] = [];
  const half = Math.round(pitch * 1.5);
  for (const plane of s.planes) {
    const sums = new Float64Array(columns);
    const squares = new Float64Array(columns);
    const counts = new Float64Array(columns);
    for (const i of inner)
      for (let j = 0; j < columns; j++) {
        const v = plane[i * columns + j] as number;
        if (Number.isNaN(v)) continue;
        sums[j] = (sums[j] as number) + v;
        squares[j] = (squares[j] as number) + v * v;
        counts[j] = (counts[j] as number) + 1;
      }
    const mean = new Float32Array(columns);
    let [a, b, n] = [0, 0, 0];
    const add = (j: number, sign: number): void => {
      const k = ((j % columns) + columns) % columns;
      a += sign * (sums[k] as number);
      b += sign * (squares[k] as number);
      n += sign * (counts[k] as number);
    };
    for (let j = -half; j < half; j++) add(j, 1);
    for (let j = 0; j < columns; j++) {
      add(j + half, 1);
      mean[j] = a / Math.max(1, n);
      spread[j] = (spread[j] as number) + Math.max(0, b / Math.max(1, n) - (a / Math.max(1, n)) ** 2);
      add(j - half, -1);
    }
    means.push(mean);
  }
  const [p0, p1, p2] = s.planes;
  const [m0, m1, m2] = means as [Float32Array, Float32Array, Float32Array];
  for (let i = 0; i < rows; i++)
    for (let j = 0; j < columns; j++) {
      const at = i * columns + j;
      const d0 = (p0[at] as number) - (m0[j] as number);
      const d1 = (p1[at] as number) - (m1[j] as number);
      const d2 = (p2[at] as number) - (m2[j] as number);
      out[at] = 1 / (1 + (d0 * d0 + d1 * d1 + d2 * d2) / (4 * (spread[j] as number) + 40));
    }
  return out;
}
