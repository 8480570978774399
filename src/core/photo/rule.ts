import { Fault } from "../fault";
import type { Spot } from "./face-plane";
import type { Planes } from "./picture";

/**
 * How many divisions of a rule lie between two places: the light along a few lines side by side is compared
 * with waves of every whole and broken
 * number of periods, and the plainest is taken.
 *
 * @returns the number of divisions, not rounded: a hand does not hit the marks exactly
 * @throws Fault where no even division is seen between the places
 */
export function ticksBetween(p: Planes, a: Spot, b: Spot): number {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  if (length < 40)
    throw new Fault("marks", "the two marks stand too close together: put them further apart along the rule");
  const [nx, ny] = [-(b[1] - a[1]) / length, (b[0] - a[0]) / length];
  const n = Math.round(length * 2);
  const lines: Float64Array[] = [];
  for (let line = -4; line <= 4; line++) {
    const row = new Float64Array(n);
    for (let i = 0; i < n; i++) {
      const t = i / (n - 1);
      const x = Math.round(a[0] + (b[0] - a[0]) * t + nx * line * 2);
      const y = Math.round(a[1] + (b[1] - a[1]) * t + ny * line * 2);
      row[i] = x < 0 || y < 0 || x >= p.width || y >= p.height ? 0 : (p.planes[0][y * p.width + x] as number);
    }
    lines.push(flattened(row));
  }
  /** share of the lines' change that is a wave of z periods */
  const plainness = (z: number): number => {
    let sum = 0;
    const step = (2 * Math.PI * z) / (n - 1);
    for (const line of lines) {
      let re = 0;
      let im = 0;
      let all = 0;
      for (let i = 0; i < n; i++) {
        const v = line[i] as number;
        re += v * Math.cos(step * i);
        im += v * Math.sin(step * i);
        all += v * v;
      }
      sum += (2 * (re * re + im * im)) / ((all || 1) * n) / lines.length;
    }
    return sum;
  };
  let best = 5;
  let share = 0;
  const look = (from: number, to: number, by: number): void => {
    for (let z = from; z <= to; z += by) {
      const now = plainness(z);
      if (now > share) [best, share] = [z, now];
    }
  };
  look(5, length / 3.5, 0.5);
  look(best - 0.5, best + 0.5, 0.05);
  if (share < 0.2)
    throw new Fault(
      "rule",
      "no even division is seen between the two marks: lay them along the edge of the rule, where its lines are",
    );
  return best;
}

/** A line of light without its slow changes, faded out at both ends. */
function flattened(row: Float64Array): Float64Array {
  const n = row.length;
  const window = Math.max(8, Math.round(n / 12));
  return Float64Array.from(row, (v, i) => {
    const [from, to] = [Math.max(0, i - window), Math.min(n - 1, i + window)];
    let s = 0;
    for (let k = from; k <= to; k++) s += row[k] as number;
    return (v - s / (to - from + 1)) * Math.sin((Math.PI * (i + 0.5)) / n);
  });
}
