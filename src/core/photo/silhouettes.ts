import { type FacePlane, faceFromAxes, sizeOf } from "./face-plane";
import { leastSquares } from "./least-squares";
import type { Planes } from "./picture";

/**
 * How strongly each pixel differs from the bench: the bench is taken to be what lies along the picture's
 * edge, changing slowly across it.
 */
function unlikeBench(p: Planes): { withLight: Float32Array; byColour: Float32Array } {
  const { width: w, height: h } = p;
  const border = Math.round(Math.min(w, h) * 0.08);
  const spots: number[] = [];
  for (let y = 1; y < h; y += 3)
    for (let x = 1; x < w; x += 3)
      if (x < border || y < border || x >= w - border || y >= h - border) spots.push(y * w + x);
  const rows = spots.map((i) => surface((i % w) / w - 0.5, ((i / w) | 0) / h - 0.5));
  const withLight = new Float32Array(w * h);
  const byColour = new Float32Array(w * h);
  for (const [c, plane] of p.planes.entries()) {
    const values = spots.map((i) => plane[i] as number);
    let weights = new Float64Array(spots.length).fill(1);
    let k: number[] = [];
    let spread = 1;
    for (let round = 0; round < 4; round++) {
      k = leastSquares(rows, values, weights);
      const off = Float64Array.from(rows, (row, i) =>
        Math.abs((values[i] as number) - row.reduce((s, v, j) => s + v * (k[j] as number), 0)),
      );
      spread = 1.48 * (Float64Array.from(off).sort()[off.length >> 1] as number) + 1.2;
      weights = off.map((o) => 1 / (1 + (o / (2 * spread)) ** 2) ** 2);
    }
    const [k0, k1, k2, k3, k4, k5] = k as [number, number, number, number, number, number];
    for (let y = 0, i = 0; y < h; y++) {
      const v = y / h - 0.5;
      for (let x = 0; x < w; x++, i++) {
        const u = x / w - 0.5;
        const d =
          ((plane[i] as number) - (k0 + k1 * u + k2 * v + k3 * u * u + k4 * u * v + k5 * v * v)) / spread;
        withLight[i] = (withLight[i] as number) + d * d;
        if (c > 0) byColour[i] = (byColour[i] as number) + d * d;
      }
    }
  }
  return { withLight, byColour };
}

const surface = (u: number, v: number): number[] => [1, u, v, u * u, u * v, v * v];

/**
 * Distance of every pixel of a mask to the nearest pixel outside it, in pixels (two passes with steps of 1
 * and √2).
 */
function depthInside(mask: Uint8Array, w: number, h: number): Float32Array {
  // a frame as deep as can be stands around: the picture's edge is not an edge of the thing
  const wide = w + 2;
  const d = new Float32Array(wide * (h + 2)).fill(1e6);
  for (let y = 0; y < h; y++) for (let x = 0; x < w; x++) if (!mask[y * w + x]) d[(y + 1) * wide + x + 1] = 0;
  const pass = (from: number, to: number, by: number): void => {
    for (let y = from; y !== to + by; y += by)
      for (let n = 0, i = y * wide + (by > 0 ? 1 : w); n < w; n++, i += by) {
        const own = d[i] as number;
        if (own === 0) continue;
        const straight = Math.min(d[i - by] as number, d[i - by * wide] as number) + 1;
        const slant = Math.min(d[i - by * wide - 1] as number, d[i - by * wide + 1] as number) + Math.SQRT2;
        d[i] = Math.min(own, straight, slant);
      }
  };
  pass(1, h, 1);
  pass(h, 1, -1);
  const out = new Float32Array(w * h);
  for (let y = 0; y < h; y++) out.set(d.subarray((y + 1) * wide + 1, (y + 1) * wide + 1 + w), y * w);
  return out;
}

/** What of a mask's ones, or of its zeros, hangs together with the seeds. */
function connected(mask: Uint8Array, of: 0 | 1, w: number, h: number, seeds: Iterable<number>): Uint8Array {
  const out = new Uint8Array(w * h);
  const stack = new Int32Array(w * h);
  let n = 0;
  const visit = (i: number): void => {
    if (mask[i] === of && !out[i]) {
      out[i] = 1;
      stack[n++] = i;
    }
  };
  for (const s of seeds) visit(s);
  while (n > 0) {
    const i = stack[--n] as number;
    const x = i % w;
    if (x > 0) visit(i - 1);
    if (x < w - 1) visit(i + 1);
    if (i >= w) visit(i - w);
    if (i < w * (h - 1)) visit(i + w);
  }
  return out;
}

/** Holes closed: what cannot be reached from the picture's edge belongs to the thing. */
function filled(mask: Uint8Array, w: number, h: number): Uint8Array {
  const edge: number[] = [];
  for (let x = 0; x < w; x++) edge.push(x, (h - 1) * w + x);
  for (let y = 0; y < h; y++) edge.push(y * w, y * w + w - 1);
  const out = connected(mask, 0, w, h, edge);
  for (let i = 0; i < out.length; i++) out[i] = 1 - (out[i] as number);
  return out;
}

/**
 * Round things that stand out from the bench, as faces: the largest discs that fit into what differs from the
 * bench's colour, each
 * with what hangs together around it after thin things (screws, shadows' ends) are worn away. By colour alone
 * too, so that a shadow does not count.
 *
 * @param p a small picture
 * @returns those that were seen at several levels, and large ones, first
 */
export function silhouettes(p: Planes): FacePlane[] {
  const { width: w, height: h } = p;
  const out: FacePlane[] = [];
  const { withLight, byColour } = unlikeBench(p);
  for (const [unlike, levels] of [
    [withLight, [4, 8, 16]],
    [byColour, [5, 10]],
  ] as const) {
    for (const level of levels) {
      const differs = new Uint8Array(w * h);
      for (let i = 0; i < differs.length; i++) differs[i] = (unlike[i] as number) > level * level ? 1 : 0;
      const mask = filled(differs, w, h);
      for (let things = 0; things < 2; things++) {
        const depth = depthInside(mask, w, h);
        let best = 0;
        for (let i = 1; i < depth.length; i++) if ((depth[i] as number) > (depth[best] as number)) best = i;
        const r = depth[best] as number;
        if (r < Math.min(w, h) / 16 || r > Math.max(w, h)) break;
        // worn away by half of the disc, what hangs together, and its moments grown back
        const deep = new Uint8Array(w * h);
        for (let i = 0; i < deep.length; i++) deep[i] = (depth[i] as number) > 0.5 * r ? 1 : 0;
        const core = connected(deep, 1, w, h, [best]);
        out.push(
          momentEllipse(core, w, h, 0.5 * r),
          faceFromAxes([best % w, (best / w) | 0], r * 1.06, r * 1.06, 0),
        );
        for (let y = 0; y < h; y++)
          for (let x = 0; x < w; x++)
            if ((x - (best % w)) ** 2 + (y - ((best / w) | 0)) ** 2 < (1.5 * r) ** 2) mask[y * w + x] = 0;
      }
    }
  }
  const kept: { readonly face: FacePlane; times: number }[] = [];
  for (const f of out) {
    if (f.a[0] >= 0.8 * Math.max(w, h)) continue;
    const same = kept.find(
      ({ face: g }) =>
        Math.hypot(g.centre[0] - f.centre[0], g.centre[1] - f.centre[1]) < 0.03 * f.a[0] &&
        Math.abs(g.a[0] / f.a[0] - 1) < 0.05 &&
        Math.abs(g.a[2] / f.a[2] - 1) < 0.05,
    );
    if (same) same.times++;
    else kept.push({ face: f, times: 1 });
  }
  return kept.sort((a, b) => b.times * sizeOf(b.face) - a.times * sizeOf(a.face)).map((k) => k.face);
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
  return faceFromAxes(
    [cx, cy],
    2 * Math.sqrt(mean + half) + grow,
    2 * Math.sqrt(Math.max(0, mean - half)) + grow,
    Math.atan2(xy, (xx - yy) / 2) / 2,
  );
}
