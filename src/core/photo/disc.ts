import { Fault } from "../fault";
import type { Spot } from "./face-plane";
import { leastSquares } from "./least-squares";
import type { Planes } from "./picture";

/**
 * A coin-like disc as it is seen: its centre and the half axes of its ellipse, pixels, and how far its edge
 * strays from that.
 */
export interface SeenDisc {
  readonly centre: Spot;
  readonly longPx: number;
  readonly shortPx: number;
  readonly direction: number;
  readonly spreadPx: number;
}

const RAYS = 120;

/**
 * Sharpness of the edge along a ray at each pixel of it: the greatest change of any plane over three pixels.
 */
function sharpness(p: Planes, [x, y]: Spot, angle: number, reach: number): Float64Array {
  const out = new Float64Array(reach);
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const at = (plane: Float32Array, r: number): number => {
    const u = Math.round(x + c * r);
    const v = Math.round(y + s * r);
    return u < 0 || v < 0 || u >= p.width || v >= p.height ? Number.NaN : (plane[v * p.width + u] as number);
  };
  for (let r = 3; r < reach; r++)
    for (const plane of p.planes)
      out[r] = Math.max(out[r] as number, Math.abs(at(plane, r + 1.5) - at(plane, r - 1.5)) || 0);
  return out;
}

/**
 * The disc that a spot lies on. Rays are cast from the spot; the radius at which most of them meet a sharp
 * edge begins the search; then the
 * sharpest edge near the ellipse is taken on every ray and the ellipse fitted to them again, those far off
 * left out.
 *
 * @throws Fault where no round edge lies around the spot
 */
export function discAt(p: Planes, spot: Spot): SeenDisc {
  let centre = spot;
  let radiusAt = (_angle: number): number => 0;
  let fit: SeenDisc | null = null;
  for (let round = 0; round < 6; round++) {
    const reach = Math.round(Math.min(p.width, p.height) * 0.45);
    const rays = Array.from({ length: RAYS }, (_, i) =>
      sharpness(p, centre, (2 * Math.PI * i) / RAYS, reach),
    );
    if (round === 0) {
      const sum = new Float64Array(reach);
      for (const ray of rays) {
        const max = Math.max(...ray) || 1;
        for (let r = 0; r < reach; r++)
          sum[r] = (sum[r] as number) + Math.min(1, (2 * (ray[r] as number)) / max);
      }
      // the tap is a little off the middle: look for the ring in a band
      let best = 8;
      const band = (r: number): number => {
        let t = 0;
        const half = Math.max(3, Math.round(r * 0.12));
        for (let k = Math.max(4, r - half); k <= Math.min(reach - 1, r + half); k++) t += sum[k] as number;
        return t / (2 * half + 1);
      };
      for (let r = 9; r < reach - 4; r++) if (band(r) > band(best)) best = r;
      const start = best;
      radiusAt = () => start;
    }
    const spots: Spot[] = [];
    const width = round < 2 ? 0.3 : 0.1;
    for (const [i, ray] of rays.entries()) {
      const angle = (2 * Math.PI * i) / RAYS;
      const near = radiusAt(angle);
      let at = -1;
      for (
        let r = Math.max(4, Math.floor(near * (1 - width)));
        r <= Math.min(reach - 2, Math.ceil(near * (1 + width)));
        r++
      )
        if ((ray[r] as number) > (at < 0 ? 8 : (ray[at] as number))) at = r;
      if (at < 0) continue;
      // between pixels: the top of a parabola through the three around it
      const [l, m, n] = [ray[at - 1] as number, ray[at] as number, ray[at + 1] as number];
      const r = at + (l - n) / (2 * (l - 2 * m + n) || 1);
      spots.push([centre[0] + r * Math.cos(angle), centre[1] + r * Math.sin(angle)]);
    }
    fit = spots.length > RAYS * 0.5 ? ellipseThrough(spots, centre) : null;
    if (!fit)
      throw new Fault(
        "disc",
        "there is no round edge around that place: tap the middle of the disc, and see that it stands out from what it lies on",
      );
    centre = fit.centre;
    const { longPx: a, shortPx: b, direction } = fit;
    radiusAt = (angle) =>
      (a * b) / Math.hypot(b * Math.cos(angle - direction), a * Math.sin(angle - direction));
  }
  const found = fit as SeenDisc;
  if (found.spreadPx > Math.max(2.5, 0.04 * found.longPx))
    throw new Fault("disc", "what lies there is not round enough to be a disc");
  return found;
}

/**
 * The ellipse through spots, by weighted least squares on the conic a x² + b xy + c y² + d x + e y = 1 about
 * a place inside; far spots lose their say.
 */
function ellipseThrough(spots: readonly Spot[], about: Spot): SeenDisc | null {
  const scale = Math.sqrt(
    spots.reduce((s, [x, y]) => s + (x - about[0]) ** 2 + (y - about[1]) ** 2, 0) / spots.length,
  );
  const local = spots.map(([x, y]) => [(x - about[0]) / scale, (y - about[1]) / scale] as const);
  let weights = new Float64Array(spots.length).fill(1);
  let out: SeenDisc | null = null;
  for (let round = 0; round < 6; round++) {
    const [a, b, c, d, e] = leastSquares(
      local.map(([x, y]) => [x * x, x * y, y * y, x, y]),
      new Float64Array(local.length).fill(1),
      weights,
    ) as [number, number, number, number, number];
    const det = 4 * a * c - b * b;
    if (!(det > 0)) return null;
    const x0 = (b * e - 2 * c * d) / det;
    const y0 = (b * d - 2 * a * e) / det;
    const k = 1 + a * x0 * x0 + b * x0 * y0 + c * y0 * y0;
    const mean = (a + c) / 2;
    const half = Math.hypot((a - c) / 2, b / 2);
    const [long, short] = [Math.sqrt(k / (mean - half)), Math.sqrt(k / (mean + half))];
    if (!(long > 0 && short > 0 && long / short < 3)) return null;
    const direction = Math.atan2(-b, c - a) / 2;
    const off = local.map(([x, y]) => {
      const angle = Math.atan2(y - y0, x - x0) - direction;
      return (
        Math.hypot(x - x0, y - y0) -
        (long * short) / Math.hypot(short * Math.cos(angle), long * Math.sin(angle))
      );
    });
    const usual = 1.48 * (off.map(Math.abs).sort((p, q) => p - q)[off.length >> 1] as number) + 1e-4;
    weights = Float64Array.from(off, (o) => 1 / (1 + (o / (2 * usual)) ** 2) ** 2);
    out = {
      centre: [about[0] + x0 * scale, about[1] + y0 * scale],
      longPx: long * scale,
      shortPx: short * scale,
      direction,
      spreadPx: usual * scale,
    };
  }
  return out;
}
