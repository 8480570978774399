import type { Measured } from "../../quantity/measured";
import { logSum } from "./normal-distribution";

/** The angles that are looked at: four spreads either way, degrees; under 2° nothing is slanted, over 50° nobody cuts parallel gears. */
export const helixRange = (told: Measured): readonly [low: number, high: number] => [
  Math.min(50, Math.max(2, Math.abs(told.value) - 4 * told.u)),
  Math.max(2, Math.min(50, Math.abs(told.value) + 4 * told.u)),
];

/**
 * log ∫ over the helix angle: whole degrees carry half the prior, a smooth spread around the told angle the other half.
 * Whole degrees and a row between are looked at first; where none comes near, the peak between them is not sought.
 *
 * @param told the angle as it was measured, or as little as is known, degrees
 * @param log of the readings at an angle
 * @param hopeless a log below which the answer needs not be exact
 * @returns the log, the likeliest angle, and how wide its peak is (one standard deviation), degrees
 */
export function overHelix(told: Measured, log: (beta: number) => number, hopeless: number): { log: number; beta: number; u: number } {
  const [low, high] = helixRange(told);
  const norm = Math.log(told.u * Math.sqrt(2 * Math.PI));
  const f = (b: number): number => log(b) - 0.5 * ((b - Math.abs(told.value)) / told.u) ** 2 - norm;
  const scanned: { b: number; at: number }[] = [];
  let best = { beta: low, log: Number.NEGATIVE_INFINITY };
  let sum = Number.NEGATIVE_INFINITY;
  for (let b = Math.ceil(low); b <= high; b++) {
    const here = f(b);
    scanned.push({ b, at: here });
    sum = logSum(sum, here + Math.log(0.5));
    if (here + Math.log(0.5) > best.log) best = { beta: b, log: here + Math.log(0.5) };
  }
  // the log falls like a parabola on either side of one peak: it lies beside the best of a scan, and three points tell its height
  const step = (high - low) / 24;
  for (let i = 0; i <= 24; i++) scanned.push({ b: low + i * step, at: f(low + i * step) });
  scanned.sort((x, y) => x.b - y.b);
  let top = 0;
  scanned.forEach((s, i) => {
    if (s.at > (scanned[top] as { at: number }).at) top = i;
  });
  const peakOf = scanned[top] as { b: number; at: number };
  let [a, m, c] = [(scanned[Math.max(0, top - 1)] as { b: number }).b, peakOf.b, (scanned[Math.min(scanned.length - 1, top + 1)] as { b: number }).b];
  let fm = peakOf.at;
  const reach = (p: { b: number; at: number } | undefined): number => (p ? Math.abs(p.at - fm) : 0);
  // even if the peak rose above the scan as far as its neighbours lie below, would it matter?
  if (fm + Math.max(reach(scanned[top - 1]), reach(scanned[top + 1])) < hopeless) return { log: logSum(sum, fm), beta: peakOf.b, u: told.u };
  // three points of a parabola tell its top; where they do not, the golden section does
  const golden = 0.381966;
  for (let i = 0; i < 40 && c - a > 2e-3; i++) {
    const right = c - m > m - a;
    const p = right ? m + golden * (c - m) : m - golden * (m - a);
    const fp = f(p);
    if (fp > fm) {
      if (right) a = m;
      else c = m;
      m = p;
      fm = fp;
    } else if (right) c = p;
    else a = p;
  }
  // Laplace: the width of the peak from its curvature
  const h = 0.02;
  const curve = (f(m + h) - 2 * fm + f(m - h)) / (h * h);
  const width = curve < -1e-9 ? Math.min(Math.sqrt((2 * Math.PI) / -curve), high - low) : high - low;
  const smooth = fm + Math.log(width * 0.5);
  if (smooth > best.log) best = { beta: m, log: smooth };
  return { log: logSum(sum, smooth), beta: Math.round(best.beta * 100) / 100, u: Math.min(told.u, width / Math.sqrt(2 * Math.PI)) };
}
