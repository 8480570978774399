import type { FacePlane } from "./face-plane";
import type { Planes } from "./picture";

/** A ring of a face unrolled: `rows` radii from the inside out, `columns` angles once around, for each plane; NaN outside the picture. */
export interface Strip {
  readonly rows: number;
  readonly columns: number;
  readonly radii: Float64Array;
  readonly planes: readonly [Float32Array, Float32Array, Float32Array];
}

/**
 * Unrolls the picture around a face: column j looks along the angle 2πj / columns (from the face's x towards its y, that is clockwise on
 * screen), row i at `radii[i]` tip radii. Values between pixels are bilinear.
 */
export function unrolled(p: Planes, f: FacePlane, radii: ArrayLike<number>, columns: number): Strip {
  const rows = radii.length;
  const out: [Float32Array, Float32Array, Float32Array] = [new Float32Array(rows * columns), new Float32Array(rows * columns), new Float32Array(rows * columns)];
  const { width: w, height: h } = p;
  const [p0, p1, p2] = p.planes;
  for (let j = 0; j < columns; j++) {
    const c = Math.cos((2 * Math.PI * j) / columns);
    const s = Math.sin((2 * Math.PI * j) / columns);
    const ax = f.a[0] * c + f.a[1] * s;
    const ay = f.a[1] * c + f.a[2] * s;
    const lean = f.q[0] * c + f.q[1] * s;
    for (let i = 0; i < rows; i++) {
      const r = radii[i] as number;
      const k = r / (1 + lean * r);
      const x = f.centre[0] + ax * k - 0.5;
      const y = f.centre[1] + ay * k - 0.5;
      const at = i * columns + j;
      if (!(x >= 0 && y >= 0 && x < w - 1 && y < h - 1)) {
        out[0][at] = out[1][at] = out[2][at] = Number.NaN;
        continue;
      }
      const x0 = x | 0;
      const y0 = y | 0;
      const fx = x - x0;
      const fy = y - y0;
      const n = y0 * w + x0;
      const [w00, w10, w01, w11] = [(1 - fx) * (1 - fy), fx * (1 - fy), (1 - fx) * fy, fx * fy];
      out[0][at] = w00 * (p0[n] as number) + w10 * (p0[n + 1] as number) + w01 * (p0[n + w] as number) + w11 * (p0[n + w + 1] as number);
      out[1][at] = w00 * (p1[n] as number) + w10 * (p1[n + 1] as number) + w01 * (p1[n + w] as number) + w11 * (p1[n + w + 1] as number);
      out[2][at] = w00 * (p2[n] as number) + w10 * (p2[n + 1] as number) + w01 * (p2[n + w] as number) + w11 * (p2[n + w + 1] as number);
    }
  }
  return { rows, columns, radii: Float64Array.from(radii), planes: out };
}

/**
 * A row as a wave about zero: its mean over `window` columns taken away, and its height brought to about 1 everywhere, so that a shadow on one
 * side or a screw beside it count no more than the rest. What is outside the picture is 0.
 * @param noise heights below this are noise and are not raised
 */
export function levelled(row: Float32Array, window: number, noise: number): Float32Array {
  const n = row.length;
  const half = Math.max(1, Math.round(window / 2));
  const out = new Float32Array(n);
  let sum = 0;
  let squares = 0;
  let count = 0;
  const add = (j: number, sign: number): void => {
    const v = row[((j % n) + n) % n] as number;
    if (Number.isNaN(v)) return;
    sum += sign * v;
    squares += sign * v * v;
    count += sign;
  };
  for (let j = -half; j < half; j++) add(j, 1);
  for (let j = 0; j < n; j++) {
    add(j + half, 1);
    const v = row[j] as number;
    if (!Number.isNaN(v) && count > half) {
      const mean = sum / count;
      out[j] = Math.max(-2.5, Math.min(2.5, (v - mean) / (Math.sqrt(Math.max(0, squares / count - mean * mean)) + noise)));
    }
    add(j - half, -1);
  }
  return out;
}

/**
 * How much each spot of a strip looks like the gear's own face just inside the root, seen along the same angle: 1 alike, towards 0 the more it
 * differs. A gap is unlike the face whether it shows the bench, a shadow or the gear's wall; where the light changes around the gear, the face
 * it is compared with changes too.
 * @param depth depth of a tooth in tip radii
 * @param pitch columns of one tooth
 */
export function faceLikeness(s: Strip, depth: number, pitch: number): Float32Array {
  const { rows, columns } = s;
  const inner: number[] = [];
  for (let i = 0; i < rows; i++) if ((s.radii[i] as number) < 1 - 1.12 * depth && (s.radii[i] as number) > 1 - 2 * depth) inner.push(i);
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
  for (let i = 0; i < rows; i++)
    for (let j = 0; j < columns; j++) {
      const at = i * columns + j;
      let d = 0;
      for (let c = 0; c < 3; c++) d += ((s.planes[c] as Float32Array)[at] as number) ** 2 - 2 * ((s.planes[c] as Float32Array)[at] as number) * ((means[c] as Float32Array)[j] as number) + ((means[c] as Float32Array)[j] as number) ** 2;
      out[at] = Number.isNaN(d) ? Number.NaN : 1 / (1 + Math.max(0, d) / (4 * (spread[j] as number) + 40));
    }
  return out;
}
