import { Fault } from "../fault";
import { radians } from "../quantity/units";
import {
  cosBaseHelix,
  dedendumOf,
  type Gear,
  gearDimensions,
  involute,
  transversePressureAngle,
} from "./dimensions";
import type { Point } from "./outline";

/** An internal ring as it is to be made. */
export interface RingToMake extends Gear {
  readonly inside: true;
  readonly faceWidthMm: number;
  readonly outsideMm: number;
  /**
   * by how much its teeth are thinner than nominal along the base tangent, so that the pair has backlash, mm;
   * 0 unless said
   */
  readonly thinnedMm?: number;
}

/** What is left round in the corners of a gap, in modules, where there is room for it. */
const CORNER = 0.2;
/** Points along a flank by which the round is fitted, and along the round itself. */
const FINE = 160;
const ROUND = 5;

/**
 * The radii of a ring's teeth, mm: tips inside at d/2 − m (1 − x), roots at d/2 + m (h_f + x) (ISO 21771,
 * 4.2, with the signs of an internal gear).
 *
 * @param made as it can be made: a tip that would reach inside the base circle, where there is no involute,
 *   ends on it
 */
export function ringRadii(
  g: Gear,
  made = false,
): { readonly tipMm: number; readonly rootMm: number; readonly baseMm: number } {
  const { referenceDiameterMm, baseDiameterMm } = gearDimensions(g);
  const tip = referenceDiameterMm / 2 - g.moduleMm * (1 - g.profileShift);
  return {
    tipMm: made ? Math.max(tip, baseDiameterMm / 2) : tip,
    rootMm: referenceDiameterMm / 2 + g.moduleMm * (dedendumOf(g) + g.profileShift),
    baseMm: baseDiameterMm / 2,
  };
}

/**
 * Half the angle of a ring's gap at each radius: that of the tooth of an external gear with the same numbers,
 * and what the thinning of its own teeth adds.
 */
export function ringGap(g: Gear, thinnedMm = 0): (radiusMm: number) => number {
  const alphaT = transversePressureAngle(g);
  const { baseMm } = ringRadii(g);
  const atBase =
    (Math.PI / 2 + 2 * g.profileShift * Math.tan(radians(g.pressureAngleDeg))) / g.teeth +
    involute(alphaT) +
    thinnedMm / (2 * baseMm * cosBaseHelix(g));
  return (r) => Math.max(0, r <= baseMm ? atBase : atBase - involute(Math.acos(baseMm / r)));
}

const polar = (r: number, angle: number): Point => [r * Math.sin(angle), r * Math.cos(angle)];

/**
 * One gap from the tip of its left tooth round its bottom to that of its right one, its middle upright, mm.
 */
function gapOutline(g: Gear, points: number, thinnedMm: number): Point[] {
  const { tipMm, rootMm } = ringRadii(g, true);
  const gap = ringGap(g, thinnedMm);
  const flankTo = (r: number, steps: number): Point[] =>
    Array.from({ length: steps + 1 }, (_, i) => {
      const at = tipMm + ((r - tipMm) * i) / steps;
      return polar(at, gap(at));
    });
  const fine = flankTo(rootMm, FINE);
  const from = ([x, y]: Point): number[] => fine.map((p) => Math.hypot(p[0] - x, p[1] - y));
  // a round that touches flank and bottom; where the gap is too narrow for it, one that fills it
  let rho = CORNER * g.moduleMm;
  while (rho > 0.01 * g.moduleMm && Math.min(...from(polar(rootMm - rho, 0))) < rho) rho *= 0.93;
  let [low, high] = [0, gap(rootMm - rho)];
  for (let i = 0; i < 40; i++) {
    const mid = (low + high) / 2;
    if (Math.min(...from(polar(rootMm - rho, mid))) > rho) low = mid;
    else high = mid;
  }
  const centre = polar(rootMm - rho, low);
  const apart = from(centre);
  const touch = fine[apart.indexOf(Math.min(...apart))] as Point;
  const start = Math.atan2(touch[1] - centre[1], touch[0] - centre[0]);
  const end = Math.atan2(centre[1], centre[0]);
  const round = Array.from({ length: ROUND }, (_, i): Point => {
    const t = start + ((end - start) * (i + 1)) / ROUND;
    return [centre[0] + rho * Math.cos(t), centre[1] + rho * Math.sin(t)];
  });
  const right = [...flankTo(Math.hypot(touch[0], touch[1]), points), ...round];
  const left = right.map(([x, y]): Point => [-x, y]);
  const last = right.at(-1) as Point;
  return [...left, ...(Math.abs(last[0]) < 1e-9 ? right.slice(0, -1) : right).reverse()];
}

/**
 * The toothed hole of a ring as one closed polygon, mm, y up, clockwise from the gap at the top: involute
 * flanks, corners rounded by a fifth of the module, tips round the middle.
 *
 * @throws Fault where the teeth would come to nothing, or the gaps would
 * @example ringOutline({ teeth: 60, moduleMm: 1, … }) // between two 1.7 mm pins in opposite gaps: 57.61 mm
 */
export function ringOutline(g: Gear, points = 12, thinnedMm = 0): Point[] {
  const { tipMm, rootMm } = ringRadii(g, true);
  const gap = ringGap(g, thinnedMm);
  if (!(tipMm < rootMm) || gap(rootMm) <= 0 || gap(tipMm) >= Math.PI / g.teeth)
    throw new Fault("teeth", "come to nothing with these numbers: count and measure the ring again");
  const one = gapOutline(g, points, thinnedMm);
  return Array.from({ length: g.teeth }, (_, i) => {
    const [c, s] = [Math.cos((2 * Math.PI * i) / g.teeth), Math.sin((2 * Math.PI * i) / g.teeth)];
    return one.map(([x, y]): Point => [x * c + y * s, y * c - x * s]);
  }).flat();
}
