import { type FacePlane, faceFromAxes } from "./face-plane";
import type { Planes } from "./picture";

/** How strongly each pixel differs from the bench: the bench is taken to be what lies along the picture's edge, changing slowly across it. */
function unlikeBench(p: Planes, useLight: boolean): Float32Array {
  const { width: w, height: h } = p;
  const out = new Float32Array(w * h);
  const border = Math.round(Math.min(w, h) * 0.08);
  const terms = (x: number, y: number): number[] => {
    const u = x / w - 0.5;
    const v = y / h - 0.5;
    return [1, u, v, u * u, u * v, v * v];
  };
  const spots: number[] = [];
  for (let y = 0; y < h; y += 2) for (let x = 0; x < w; x += 2) if (x < border || y < border || x >= w - border || y >= h - border) spots.push(y * w + x);
  for (const [c, plane] of p.planes.entries()) {
    if (c === 0 && !useLight) continue;
    let weights = new Float64Array(spots.length).fill(1);
    let k: number[] = [];
    let spread = 1;
    for (let round = 0; round < 5; round++) {
      k = leastSquares(
        spots.map((i) => terms(i % w, (i / w) | 0)),
        spots.map((i) => plane[i] as number),
        weights,
      );
      const off = spots.map((i) => Math.abs((plane[i] as number) - dot(terms(i % w, (i / w) | 0), k)));
      spread = 1.48 * (Float64Array.from(off).sort()[off.length >> 1] as number) + 1.2;
      weights = Float64Array.from(off, (o) => 1 / (1 + (o / (2 * spread)) ** 2) ** 2);
    }
    for (let y = 0; y < h; y++)
      for (let x = 0; x < w; x++) {
        const i = y * w + x;
        const d = ((plane[i] as number) - dot(terms(x, y), k)) / spread;
        out[i] = (out[i] as number) + d * d;
      }
  }
  for (let i = 0; i < out.length; i++) out[i] = Math.sqrt(out[i] as number);
  return out;
}

const dot = (a: readonly number[], b: readonly number[]): number => a.reduce((s, v, i) => s + v * (b[i] as number), 0);

/** Weighted least squares for a few coefficients (normal equations, Gauss). */
export function leastSquares(rows: readonly (readonly number[])[], values: readonly number[], weights: ArrayLike<number>): number[] {
  const n = rows[0]?.length ?? 0;
  const m = Array.from({ length: n }, () => new Array<number>(n).fill(0));
  const b = new Array<number>(n).fill(0);
  for (const [r, row] of rows.entries())
    for (let i = 0; i < n; i++) {
      const wi = (weights[r] as number) * (row[i] as number);
      b[i] = (b[i] as number) + wi * (values[r] as number);
      for (let j = 0; j < n; j++) (m[i] as number[])[j] = ((m[i] as number[])[j] as number) + wi * (row[j] as number);
    }
  for (let i = 0; i < n; i++) (m[i] as number[])[i] = ((m[i] as number[])[i] as number) + 1e-9;
  return solved(m, b);
}

/** Solves a small system m x = b (Gauss with pivots); both are used up. */
export function solved(m: number[][], b: number[]): number[] {
  const n = b.length;
  for (let i = 0; i < n; i++) {
    let pivot = i;
    for (let r = i + 1; r < n; r++) if (Math.abs((m[r] as number[])[i] as number) > Math.abs((m[pivot] as number[])[i] as number)) pivot = r;
    [m[i], m[pivot]] = [m[pivot] as number[], m[i] as number[]];
    [b[i], b[pivot]] = [b[pivot] as number, b[i] as number];
    const row = m[i] as number[];
    for (let r = i + 1; r < n; r++) {
      const other = m[r] as number[];
      const k = (other[i] as number) / (row[i] as number);
      for (let c = i; c < n; c++) other[c] = (other[c] as number) - k * (row[c] as number);
      b[r] = (b[r] as number) - k * (b[i] as number);
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let c = i + 1; c < n; c++) b[i] = (b[i] as number) - ((m[i] as number[])[c] as number) * (b[c] as number);
    b[i] = (b[i] as number) / ((m[i] as number[])[i] as number);
  }
  return b;
}

/** Distance of every pixel of a mask to the nearest pixel outside it, in pixels (two passes with steps of 1 and √2). */
function depthInside(mask: Uint8Array, w: number, h: number): Float32Array {
  const d = new Float32Array(w * h);
  const step = (i: number, from: number, by: number): void => {
    d[i] = Math.min(d[i] as number, (d[from] as number) + by);
  };
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) {
      const i = y * w + x;
      if (!mask[i]) continue;
      d[i] = 1e6;
      // the picture's edge is not an edge of the thing
      if (x > 0) step(i, i - 1, 1);
      if (y > 0) {
        step(i, i - w, 1);
        if (x > 0) step(i, i - w - 1, Math.SQRT2);
        if (x < w - 1) step(i, i - w + 1, Math.SQRT2);
      }
    }
  for (let y = h - 1; y >= 0; y--)
    for (let x = w - 1; x >= 0; x--) {
      const i = y * w + x;
      if (!mask[i]) continue;
      if (x < w - 1) step(i, i + 1, 1);
      if (y < h - 1) {
        step(i, i + w, 1);
        if (x < w - 1) step(i, i + w + 1, Math.SQRT2);
        if (x > 0) step(i, i + w - 1, Math.SQRT2);
      }
    }
  return d;
}

/** What of a mask hangs together with a seed. */
function connected(mask: Uint8Array, w: number, h: number, seed: number): Uint8Array {
  const out = new Uint8Array(w * h);
  const stack = [seed];
  out[seed] = 1;
  while (stack.length) {
    const i = stack.pop() as number;
    const x = i % w;
    for (const [j, ok] of [
      [i - 1, x > 0],
      [i + 1, x < w - 1],
      [i - w, i >= w],
      [i + w, i < w * (h - 1)],
    ] as const)
      if (ok && mask[j] && !out[j]) {
        out[j] = 1;
        stack.push(j);
      }
  }
  return out;
}

/** Holes closed: what cannot be reached from the picture's edge belongs to the thing. */
function filled(mask: Uint8Array, w: number, h: number): Uint8Array {
  const outside = new Uint8Array(w * h);
  const stack: number[] = [];
  const visit = (i: number): void => {
    if (!mask[i] && !outside[i]) {
      outside[i] = 1;
      stack.push(i);
    }
  };
  for (let x = 0; x < w; x++) {
    visit(x);
    visit((h - 1) * w + x);
  }
  for (let y = 0; y < h; y++) {
    visit(y * w);
    visit(y * w + w - 1);
  }
  while (stack.length) {
    const i = stack.pop() as number;
    const x = i % w;
    if (x > 0) visit(i - 1);
    if (x < w - 1) visit(i + 1);
    if (i >= w) visit(i - w);
    if (i < w * (h - 1)) visit(i + w);
  }
  return outside.map((o) => 1 - o);
}

/**
 * Round things that stand out from the bench, as faces: the largest discs that fit into what differs from the bench's colour, each
 * with what hangs together around it after thin things (screws, shadows' ends) are worn away. By colour alone too, so that a shadow does not count.
 *
 * @param p a small picture
 */
export function silhouettes(p: Planes): FacePlane[] {
  const { width: w, height: h } = p;
  const out: FacePlane[] = [];
  for (const [useLight, levels] of [
    [true, [4, 8, 16]],
    [false, [5, 10]],
  ] as const) {
    const unlike = unlikeBench(p, useLight);
    for (const level of levels) {
      const mask = filled(
        Uint8Array.from(unlike, (d) => (d > level ? 1 : 0)),
        w,
        h,
      );
      for (let things = 0; things < 2; things++) {
        const depth = depthInside(mask, w, h);
        let best = 0;
        for (let i = 1; i < depth.length; i++) if ((depth[i] as number) > (depth[best] as number)) best = i;
        const r = depth[best] as number;
        if (r < Math.min(w, h) / 16 || r > Math.max(w, h)) break;
        // worn away by half of the disc, what hangs together, and its moments grown back
        const core = connected(
          Uint8Array.from(depth, (d) => (d > 0.5 * r ? 1 : 0)),
          w,
          h,
          best,
        );
        out.push(momentEllipse(core, w, h, 0.5 * r), faceFromAxes([best % w, (best / w) | 0], r * 1.06, r * 1.06, 0));
        for (let y = 0; y < h; y++) for (let x = 0; x < w; x++) if ((x - (best % w)) ** 2 + (y - ((best / w) | 0)) ** 2 < (1.5 * r) ** 2) mask[y * w + x] = 0;
      }
    }
  }
  const kept: FacePlane[] = [];
  for (const f of out)
    if (f.a[0] < 0.8 * Math.max(w, h) && !kept.some((g) => Math.hypot(g.centre[0] - f.centre[0], g.centre[1] - f.centre[1]) < 0.03 * f.a[0] && Math.abs(g.a[0] / f.a[0] - 1) < 0.05 && Math.abs(g.a[2] / f.a[2] - 1) < 0.05))
      kept.push(f);
  return kept;
}

/** The ellipse with a mask's area moments, its axes longer by `grow`. */
function momentEllipse(mask: Uint8Array, w: number, h: number, grow: number): FacePlane {
  let n = 0;
  let sx = 0;
  let sy = 0;
  for (let i = 0; i < w * h; i++)
    if (mask[i]) {
      n++;
      sx += i % w;
      sy += (i / w) | 0;
    }
  const cx = sx / n;
  const cy = sy / n;
  let xx = 0;
  let xy = 0;
  let yy = 0;
  for (let i = 0; i < w * h; i++)
    if (mask[i]) {
      const dx = (i % w) - cx;
      const dy = ((i / w) | 0) - cy;
      xx += dx * dx;
      xy += dx * dy;
      yy += dy * dy;
    }
  const mean = (xx + yy) / 2 / n;
  const half = Math.hypot((xx - yy) / 2, xy) / n;
  return faceFromAxes([cx, cy], 2 * Math.sqrt(mean + half) + grow, 2 * Math.sqrt(Math.max(0, mean - half)) + grow, Math.atan2(xy, (xx - yy) / 2) / 2);
}
