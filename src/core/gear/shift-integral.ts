import { normalBetween } from "./normal-distribution";

/** A reading as a line in the profile shift: it would show at0 + slope · x, and showed `seen`, give or take u. All mm. */
export interface ShiftRow {
  at0: number;
  slope: number;
  seen: number;
  u: number;
}

/** How usual a shift is: none at all, a whole tenth, anything. */
export interface ShiftPrior {
  /** share of gears without shift */
  readonly none: number;
}

export const SHIFT_RANGE = [-0.5, 0.9] as const;
const TENTHS = [-0.4, -0.3, -0.2, -0.1, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7] as const;
const HALF_LOG_2PI = 0.5 * Math.log(2 * Math.PI);

export interface ShiftAnswer {
  log: number;
  /** the likeliest shift */
  x: number;
}

/**
 * log ∫ p(readings | x) p(x) dx, and the likeliest x. The readings are normal and linear in x, so that the integral is in closed form: the sum of the point masses at zero and
 * at whole tenths, and a normal over the range for the rest.
 *
 * @param hopeless where even the best x gives a log below this, that bound is returned and the sum is not formed
 */
export function overShift(rows: readonly ShiftRow[], prior: ShiftPrior, hopeless = Number.NEGATIVE_INFINITY): ShiftAnswer {
  let A = 0;
  let B = 0;
  let C = 0;
  let scale = 0;
  for (const row of rows) {
    const d = row.seen - row.at0;
    const w = 1 / (row.u * row.u);
    A += w * row.slope * row.slope;
    B += w * row.slope * d;
    C += w * d * d;
    scale -= Math.log(row.u);
  }
  if (A < 1e-12) return { log: scale - 0.5 * C, x: 0 };
  const mean = B / A;
  const bound = scale - 0.5 * (C - B * mean);
  if (bound < hopeless) return { log: bound, x: clampShift(mean) };
  const exponent = (x: number): number => -0.5 * (C - 2 * B * x + A * x * x);
  const sd = 1 / Math.sqrt(A);
  const { none } = prior;
  const top = bound - scale;
  let sum = none * Math.exp(exponent(0) - top);
  let bestX = 0;
  let best = sum;
  for (const x of TENTHS) {
    const term = (((1 - none) * 0.6 * (x > 0 ? 1.3 : 0.4)) / TENTHS.length) * Math.exp(exponent(x) - top);
    sum += term;
    if (term > best) {
      best = term;
      bestX = x;
    }
  }
  const inRange = normalBetween((SHIFT_RANGE[0] - mean) / sd, (SHIFT_RANGE[1] - mean) / sd);
  const smooth = (((1 - none) * 0.4) / (SHIFT_RANGE[1] - SHIFT_RANGE[0])) * Math.exp(HALF_LOG_2PI) * sd * inRange;
  sum += smooth;
  if (smooth > best) bestX = clampShift(mean);
  // far outside the range nothing is left of the sum: the log stays finite, and as bad as it is
  return {
    log: sum > 0 ? scale + top + Math.log(sum) : scale + Math.max(exponent(SHIFT_RANGE[0]), exponent(SHIFT_RANGE[1])) - 20,
    x: Math.round(bestX * 100) / 100,
  };
}

export const clampShift = (x: number): number => Math.min(SHIFT_RANGE[1], Math.max(SHIFT_RANGE[0], x));
