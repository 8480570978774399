/** How usual shifts are: none at all, a whole tenth, anything around a usual one. */
export interface ShiftPrior {
  /** share of gears without shift */
  readonly none: number;
  /** the shifted lie around this, normally */
  readonly around: number;
  readonly u: number;
  /** whole tenths with their shares */
  readonly tenths: readonly { readonly x: number; readonly share: number }[];
}

export const SHIFT_RANGE = [-0.5, 0.9] as const;
const TENTHS = [-0.4, -0.3, -0.2, -0.1, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7] as const;
/** Of the shifted, so many at a whole tenth, the others anywhere. */
const AT_TENTHS = 0.6;

/**
 * @param none share without shift; the others lie around `around`, normally by u, and rather at whole tenths
 */
export function shiftPrior(none: number, around: number, u: number): ShiftPrior {
  const weights = TENTHS.map((x) => Math.exp(-0.5 * ((x - around) / u) ** 2));
  const sum = weights.reduce((a, b) => a + b, 0);
  return {
    none,
    around,
    u,
    tenths: TENTHS.map((x, i) => ({ x, share: ((1 - none) * AT_TENTHS * (weights[i] as number)) / sum })),
  };
}
/**
 * Small pinions are shifted against undercut and for strength, nearly always outwards; large gears seldom,
 * and then a little to meet a centre distance.
 */
const PINION = shiftPrior(0.5, 0.25, 0.25);
const WHEEL = shiftPrior(0.93, 0, 0.2);
export const shiftsOf = (teeth: number): ShiftPrior => (teeth < 24 ? PINION : WHEEL);

/** Readings as a parabola in the shift: −½ (C − 2 B x + A x²) + scale is their log likelihood. */
export interface ShiftParabola {
  A: number;
  B: number;
  C: number;
  scale: number;
}

export interface ShiftAnswer {
  log: number;
  /** the likeliest shift */
  x: number;
  /** how far the readings by themselves leave it open */
  u: number;
  /** how much of the whole the likeliest shift has to itself, 0 to 1: all but 0 where it may be anything */
  share: number;
}

/**
 * log ∫ p(readings | x) p(x) dx, and the likeliest x. The readings are normal and linear in x, so that the
 * integral is in closed form: the sum of the point masses at zero and
 * at whole tenths, and a normal over the range for the rest.
 *
 * @param hopeless where even the best x gives a log below this, that bound is returned and the sum is not
 *   formed
 */
export function overShift(
  { A, B, C, scale }: ShiftParabola,
  prior: ShiftPrior,
  hopeless = Number.NEGATIVE_INFINITY,
): ShiftAnswer {
  if (A < 1e-12) return { log: scale - 0.5 * C, x: 0, u: prior.u, share: prior.none };
  const mean = B / A;
  const bound = scale - 0.5 * (C - B * mean);
  if (bound < hopeless) return { log: bound, x: clampShift(mean), u: prior.u, share: 0 };
  const exponent = (x: number): number => -0.5 * (C - 2 * B * x + A * x * x);
  const top = bound - scale;
  let sum = prior.none * Math.exp(exponent(0) - top);
  let bestX = 0;
  let best = sum;
  for (const { x, share } of prior.tenths) {
    const term = share * Math.exp(exponent(x) - top);
    sum += term;
    if (term > best) {
      best = term;
      bestX = x;
    }
  }
  // the product of two normals
  const w = 1 / (prior.u * prior.u);
  const [a, b] = [A + w, B + w * prior.around];
  const smooth =
    ((1 - prior.none) *
      (1 - AT_TENTHS) *
      Math.exp(-0.5 * (C + w * prior.around * prior.around - (b * b) / a) - top)) /
    (prior.u * Math.sqrt(a));
  sum += smooth;
  if (smooth > best) {
    bestX = clampShift(b / a);
    best = 0;
  }
  // far outside the range nothing is left of the sum: the log stays finite, and as bad as it is
  return {
    log:
      sum > 0
        ? scale + top + Math.log(sum)
        : scale + Math.max(exponent(SHIFT_RANGE[0]), exponent(SHIFT_RANGE[1])) - 20,
    x: Math.round(bestX * 100) / 100,
    u: 1 / Math.sqrt(a),
    share: sum > 0 ? best / sum : 0,
  };
}

/** The same prior as points, for what has no closed form: zero, the tenths, and a fine row for the rest. */
export function shiftPoints({
  none,
  around,
  u,
  tenths,
}: ShiftPrior): { readonly x: number; readonly share: number }[] {
  const step = 0.1;
  const row: { x: number; share: number }[] = [];
  for (let x = SHIFT_RANGE[0] + step / 2; x < SHIFT_RANGE[1]; x += step)
    row.push({ x, share: Math.exp(-0.5 * ((x - around) / u) ** 2) });
  const sum = row.reduce((a, r) => a + r.share, 0);
  return [
    { x: 0, share: none },
    ...tenths,
    ...row.map((r) => ({ x: r.x, share: ((1 - none) * (1 - AT_TENTHS) * r.share) / sum })),
  ].filter((p) => p.share > 1e-6);
}

export const clampShift = (x: number): number => Math.min(SHIFT_RANGE[1], Math.max(SHIFT_RANGE[0], x));

/** Readings that do not hang together, each with its own line in x, as the parabola. */
export interface ShiftRow {
  readonly at0: number;
  readonly slope: number;
  readonly seen: number;
  readonly u: number;
}
export function parabolaOf(rows: readonly ShiftRow[]): ShiftParabola {
  const p: ShiftParabola = { A: 0, B: 0, C: 0, scale: 0 };
  for (const row of rows) {
    const d = row.seen - row.at0;
    const w = 1 / (row.u * row.u);
    p.A += w * row.slope * row.slope;
    p.B += w * row.slope * d;
    p.C += w * d * d;
    p.scale -= Math.log(row.u);
  }
  return p;
}
