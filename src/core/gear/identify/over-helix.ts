import type { Measured } from "../../quantity/measured";
import { logSum } from "./normal-distribution";

/** Of a helix that nobody measured: most lie between 10 and 30°, and hardly any under 5. */
export const UNTOLD_HELIX: Measured = { value: 19, u: 7 };

/**
 * The angles that are looked at: four spreads either way, degrees; under 2° nothing is slanted, over 50°
 * nobody cuts parallel gears.
 */
export const helixRange = (told: Measured): readonly [low: number, high: number] => [
  Math.min(50, Math.max(2, Math.abs(told.value) - 4 * told.u)),
  Math.max(2, Math.min(50, Math.abs(told.value) + 4 * told.u)),
];

/**
 * log ∫ over the helix angle: whole degrees carry half the prior, a smooth spread around the told angle the
 * other half.
 * Whole degrees and a row between are looked at first; where none comes near, the peak between them is not
 * sought.
 *
 * @param told the angle as it was measured, or as little as is known, degrees
 * @param log of the readings at an angle
 * @param hopeless a log below which the answer needs not be exact
 * @returns the log, the likeliest angle, and how wide its peak is (one standard deviation), degrees
 */
export function overHelix(
  told: Measured,
  log: (beta: number) => number,
  hopeless: number,
): { log: number; beta: number; u: number } {
  const [low, high] = helixRange(told);
  const norm = Math.log(told.u * Math.sqrt(2 * Math.PI));
  const f = (b: number): number => log(b) - 0.5 * ((b - Math.abs(told.value)) / told.u) ** 2 - norm;
  const scanned: { b: number; at: number }[] = [];
  let best = { beta: low, log: Number.NEGATIVE_INFINITY };
  let sum = Number.NEGATIVE_INFINITY;
  const halves = high - low <= FINE_RANGE_DEG;
  for (let twice = Math.ceil(2 * low); twice <= 2 * high; twice++) {
    const whole = twice % 2 === 0;
    if (!whole && !halves) continue;
    const b = twice / 2;
    const here = f(b);
    scanned.push({ b, at: here });
    if (!whole) continue;
    sum = logSum(sum, here + HALF);
    if (here + HALF > best.log) best = { beta: b, log: here + HALF };
  }
  if (!scanned.length) scanned.push({ b: (low + high) / 2, at: f((low + high) / 2) });
  // the log falls like a parabola on either side of one peak: it lies beside the best of a scan, and three
  // points tell its height
  let top = 0;
  scanned.forEach((s, i) => {
    if (s.at > (scanned[top] as { at: number }).at) top = i;
  });
  const peakOf = scanned[top] as { b: number; at: number };
  const reach = (p: { at: number } | undefined): number => (p ? Math.abs(p.at - peakOf.at) : 0);
  // even if the peak rose above the scan as far as its neighbours lie below, would it matter?
  if (peakOf.at + Math.max(reach(scanned[top - 1]), reach(scanned[top + 1])) < hopeless)
    return { log: logSum(sum, peakOf.at), beta: peakOf.b, u: told.u };
  const { m, fm } = peakIn(f, scanned[top - 1]?.b ?? low, peakOf, scanned[top + 1]?.b ?? high);
  // Laplace: the width of the peak from its curvature
  const h = 0.02;
  const curve = (f(m + h) - 2 * fm + f(m - h)) / (h * h);
  const width = curve < -1e-9 ? Math.min(Math.sqrt((2 * Math.PI) / -curve), high - low) : high - low;
  const smooth = fm + Math.log(width) + HALF;
  // a whole degree that weighs half as much as all angles between is a better answer than any one of them
  if (smooth + HALF > best.log) best = { beta: m, log: smooth };
  return {
    log: logSum(sum, smooth),
    beta: Math.round(best.beta * 100) / 100,
    u: Math.min(told.u, width / Math.sqrt(2 * Math.PI)),
  };
}

/** Half of all helices are at whole degrees. */
const HALF = Math.log(0.5);
/** In a range as small as this, degrees, half degrees are looked at too. */
const FINE_RANGE_DEG = 16;
/** A peak is found to this, degrees. */
const FOUND_DEG = 2e-3;
const GOLDEN = 0.381966;

/**
 * The peak of f between a and c, where `start` lies above both: by the parabola through three points where
 * that steps inside, else by the golden section (Brent).
 */
function peakIn(
  f: (b: number) => number,
  a: number,
  start: { readonly b: number; readonly at: number },
  c: number,
): { m: number; fm: number } {
  let [low, high] = [a, c];
  let [m, fm] = [start.b, start.at];
  let [w, fw, v, fv] = [m, fm, m, fm];
  for (let i = 0; i < 40 && high - low > FOUND_DEG; i++) {
    const r = (m - w) * (fm - fv);
    const q = (m - v) * (fm - fw);
    const step = i > 1 && q !== r ? -((m - v) * q - (m - w) * r) / (2 * (q - r)) : Number.NaN;
    let p = m + step;
    if (!(p > low + FOUND_DEG / 2 && p < high - FOUND_DEG / 2))
      p = high - m > m - low ? m + GOLDEN * (high - m) : m - GOLDEN * (m - low);
    else if (Math.abs(step) < FOUND_DEG / 2) p = m + Math.sign(step || 1) * (FOUND_DEG / 2);
    const fp = f(p);
    if (fp >= fm) {
      if (p > m) low = m;
      else high = m;
      [v, fv, w, fw, m, fm] = [w, fw, m, fm, p, fp];
    } else {
      if (p > m) high = p;
      else low = p;
      if (fp >= fw || w === m) [v, fv, w, fw] = [w, fw, p, fp];
      else if (fp >= fv || v === m || v === w) [v, fv] = [p, fp];
    }
  }
  return { m, fm };
}
