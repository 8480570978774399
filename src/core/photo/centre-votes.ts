import { type FacePlane, faceFromAxes } from "./face-plane";
import type { Planes } from "./picture";

/** A place that many edges around it point at, as a face of radius 1 pixel, and how many do. */
export interface CentreVote {
  readonly plane: FacePlane;
  readonly votes: number;
}

/** Tilts that are tried: share of the short axis, number of directions. */
const LEANS: readonly (readonly [share: number, directions: number])[] = [
  [1, 1],
  [0.94, 6],
  [0.86, 8],
];
/** Pixels between two places that an edge votes for: the field is smoothed over more than that. */
const STEP = 3;
/** Edges that vote, at most: the heaviest. */
const VOTERS = 4000;

interface Edges {
  readonly x: Float32Array;
  readonly y: Float32Array;
  readonly dx: Float32Array;
  readonly dy: Float32Array;
  readonly weight: Float32Array;
  readonly count: number;
}

/**
 * Edges of lightness or colour, each weighed against what is usual around it: an edge between two blacks
 * counts like one between white and black.
 */
function edgesOf(p: Planes): Edges {
  const { width: w, height: h } = p;
  const n = w * h;
  const gx = new Float32Array(n);
  const gy = new Float32Array(n);
  const size = new Float32Array(n);
  for (const plane of p.planes)
    for (let y = 1; y < h - 1; y++)
      for (let i = y * w + 1; i < y * w + w - 1; i++) {
        const nw = plane[i - w - 1] as number;
        const no = plane[i - w] as number;
        const ne = plane[i - w + 1] as number;
        const sw = plane[i + w - 1] as number;
        const so = plane[i + w] as number;
        const se = plane[i + w + 1] as number;
        const dx = (ne + se - nw - sw + 2 * ((plane[i + 1] as number) - (plane[i - 1] as number))) / 8;
        const dy = (sw + se - nw - ne + 2 * (so - no)) / 8;
        const m = Math.sqrt(dx * dx + dy * dy);
        if (m > (size[i] as number)) {
          size[i] = m;
          gx[i] = dx;
          gy[i] = dy;
        }
      }
  const usual = boxMean(size, w, h, Math.round(Math.max(w, h) / 14));
  const sorted = Float32Array.from(size).sort();
  const noise = 1.5 * (sorted[n >> 1] as number) + 0.5;
  const e = {
    x: new Float32Array(n),
    y: new Float32Array(n),
    dx: new Float32Array(n),
    dy: new Float32Array(n),
    weight: new Float32Array(n),
  };
  let count = 0;
  for (let i = 0; i < n; i++) {
    const m = size[i] as number;
    if (m < noise || m < 1.2 * (usual[i] as number)) continue;
    e.x[count] = i % w;
    e.y[count] = (i / w) | 0;
    e.dx[count] = (gx[i] as number) / m;
    e.dy[count] = (gy[i] as number) / m;
    e.weight[count] = Math.min(1, m / (3 * (usual[i] as number) + noise));
    count++;
  }
  if (count <= VOTERS) return { ...e, count };
  const min = e.weight.slice(0, count).sort()[count - VOTERS] as number;
  let kept = 0;
  for (let i = 0; i < count && kept < VOTERS; i++) {
    if ((e.weight[i] as number) < min) continue;
    for (const field of [e.x, e.y, e.dx, e.dy, e.weight]) field[kept] = field[i] as number;
    kept++;
  }
  return { ...e, count: kept };
}

/** Mean over a square of 2r + 1, by running sums. */
function boxMean(from: Float32Array, w: number, h: number, r: number): Float32Array {
  const rows = new Float32Array(from.length);
  for (let y = 0; y < h; y++) {
    let sum = 0;
    const row = y * w;
    for (let x = 0; x < Math.min(r, w); x++) sum += from[row + x] as number;
    for (let x = 0; x < w; x++) {
      if (x + r < w) sum += from[row + x + r] as number;
      if (x - r - 1 >= 0) sum -= from[row + x - r - 1] as number;
      rows[row + x] = sum / (Math.min(w - 1, x + r) - Math.max(0, x - r) + 1);
    }
  }
  const out = new Float32Array(from.length);
  for (let x = 0; x < w; x++) {
    let sum = 0;
    for (let y = 0; y < Math.min(r, h); y++) sum += rows[y * w + x] as number;
    for (let y = 0; y < h; y++) {
      if (y + r < h) sum += rows[(y + r) * w + x] as number;
      if (y - r - 1 >= 0) sum -= rows[(y - r - 1) * w + x] as number;
      out[y * w + x] = sum / (Math.min(h - 1, y + r) - Math.max(0, y - r) + 1);
    }
  }
  return out;
}

/**
 * Where the centres of round things are: every edge votes along its own normal, since the normals of a circle
 * meet in its centre (the Hough
 * transform for circles of unknown radius). A tilted circle is an ellipse, whose normals do not meet: so it
 * is tried with a few tilts undone.
 * Bore, hub, web and the tips of a gear all vote for one place.
 *
 * @param p a small picture, 240 to 400 pixels on the longer side
 * @returns the best places, best first, in pixels of `p`
 */
export function centreVotes(p: Planes, max = 6): CentreVote[] {
  const { width: w, height: h } = p;
  const e = edgesOf(p);
  const reach = 0.55 * Math.max(w, h);
  const found: (CentreVote & { share: number })[] = [];
  for (const [share, directions] of LEANS)
    for (let k = 0; k < directions; k++) {
      const direction = (Math.PI * k) / directions;
      const [c, s] = [Math.cos(direction), Math.sin(direction)];
      const field = new Float32Array(w * h);
      for (let i = 0; i < e.count; i++) {
        // in the face's own plane the short axis is stretched back; a normal changes by the inverse, and the
        // walk is made in the picture
        const along = (e.dx[i] as number) * c + (e.dy[i] as number) * s;
        const across = ((e.dy[i] as number) * c - (e.dx[i] as number) * s) * share * share;
        const m = Math.sqrt(along * along + across * across);
        const sx = (STEP * (along * c - across * s)) / m;
        const sy = (STEP * (along * s + across * c)) / m;
        const weight = e.weight[i] as number;
        for (const sign of [-1, 1]) {
          const [ux, uy] = [sign * sx, sign * sy];
          let x = (e.x[i] as number) + ux * 2 + 0.5;
          let y = (e.y[i] as number) + uy * 2 + 0.5;
          for (let r = 2 * STEP; r < reach; r += STEP) {
            if (!(x >= 0 && y >= 0 && x < w && y < h)) break;
            const at = (y | 0) * w + (x | 0);
            field[at] = (field[at] as number) + weight;
            x += ux;
            y += uy;
          }
        }
      }
      const smooth = boxMean(boxMean(field, w, h, 2), w, h, 2);
      const broad = boxMean(field, w, h, Math.round(reach / 8));
      for (let i = 0; i < smooth.length; i++) smooth[i] = (smooth[i] as number) - (broad[i] as number);
      for (let peaks = 0; peaks < 3; peaks++) {
        let best = 0;
        for (let i = 1; i < smooth.length; i++)
          if ((smooth[i] as number) > (smooth[best] as number)) best = i;
        const [x, y] = [best % w, (best / w) | 0];
        found.push({
          plane: faceFromAxes([x, y], 1, share, direction),
          votes: smooth[best] as number,
          share,
        });
        for (let v = Math.max(0, y - 12); v < Math.min(h, y + 13); v++)
          smooth.fill(Number.NEGATIVE_INFINITY, v * w + Math.max(0, x - 12), v * w + Math.min(w, x + 13));
      }
    }
  found.sort((a, b) => b.votes - a.votes);
  const kept: CentreVote[] = [];
  for (const f of found) {
    const near = kept.filter(
      (g) => Math.hypot(g.plane.centre[0] - f.plane.centre[0], g.plane.centre[1] - f.plane.centre[1]) < 14,
    );
    if (near.length < 2) kept.push({ plane: f.plane, votes: f.votes });
    if (kept.length === max) break;
  }
  return kept;
}
