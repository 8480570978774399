import { z } from "zod";
import { Fault } from "../fault";
import { type Measured, measured, measuredInput } from "../quantity/measured";
import { radians } from "../quantity/units";
import { ADDENDUM, DEDENDUM, type Gear } from "./dimensions";
import { type NextReading, nextReading } from "./next-reading";
import { overPins } from "./over-pins";
import { spanOver } from "./span-measurement";
import { TOOTH_SIZES, type ToothSize } from "./standard-sizes";

/** Default spread of a reading nobody gave one for: a digital caliper in a workshop, mm. */
const CALIPER_U = { tip: 0.03, root: 0.05, span: 0.02, pins: 0.02, centre: 0.05 } as const;
/** Spread of a helix angle read by rolling the gear over paper, degrees. */
const HELIX_U = 1.5;

const mm = (what: string) => measuredInput.refine((v) => (typeof v === "number" ? v : v.value) > 0, `${what} must be above 0 mm`);

export const identifyInput = z.strictObject({
  kind: z.enum(["spur", "helical"], { error: 'is neither "spur" nor "helical"' }),
  teeth: z.int("must be a whole number").min(4, "a gear has 4 teeth or more").max(400, "more than 400 teeth").nullable().optional(),
  tipDiameter: mm("a tip diameter").optional(),
  rootDiameter: mm("a root diameter").optional(),
  spans: z
    .array(
      z.strictObject({
        teeth: z.int("must be a whole number").min(1, "a span is over 1 tooth or more").max(60),
        value: z.number().positive("must be above 0 mm"),
        u: z.number().positive().optional(),
      }),
    )
    .optional(),
  overPins: z.strictObject({ pin: z.number().positive(), value: z.number().positive(), u: z.number().positive().optional() }).optional(),
  helixAngle: measuredInput.optional(),
  hand: z.enum(["left", "right"]).optional(),
  mate: z.strictObject({ teeth: z.int().min(4).max(400), centreDistance: mm("a centre distance") }).optional(),
  tipsWorn: z.boolean().optional(),
});
export type IdentifyInput = z.infer<typeof identifyInput>;

export interface Residual {
  readonly what: string;
  readonly measured: number;
  readonly expected: number;
  readonly sigmas: number;
}
export interface Hypothesis {
  readonly system: ToothSize["system"];
  readonly module: number;
  readonly diametralPitch: number | null;
  readonly teeth: number;
  readonly pressureAngle: number;
  readonly helixAngle: number;
  readonly profileShift: number;
  readonly probability: number;
  readonly residuals: readonly Residual[];
}
export interface Identification {
  readonly hypotheses: readonly Hypothesis[];
  readonly next: NextReading | null;
}

/** One reading: what a gear with these numbers would show, and what was shown. */
interface Reading {
  readonly what: string;
  readonly seen: Measured;
  readonly of: (g: Gear) => number;
}

/**
 * Names a gear from caliper readings: which standard tooth it has, with honest probabilities, and which reading to take next.
 *
 * Bayes over the standard teeth of {@link TOOTH_SIZES}. For each, profile shift x and helix angle β are free and integrated out: x is
 * zero most of the time, in small gears often a tenth, seldom anything else; β lies around what was measured, whole degrees
 * preferred. Readings are taken as normal with their spread. As tip diameter and span are linear in x, that integral is in closed
 * form; β is scanned and then refined. Tips said to be worn read low by a quarter of a module, give or take a fifth; two in a hundred
 * are taken to be worn although nobody said so.
 *
 * Refuses input that decides nothing: at least a tip diameter, two spans, or a count with one reading is needed.
 *
 * @example identifyGear({ kind: "spur", teeth: 20, tipDiameter: 22.01, spans: [{ teeth: 3, value: 7.66 }] }).hypotheses[0].module // 1
 */
export function identifyGear(input: IdentifyInput): Identification {
  const readings = readingsFrom(input);
  if (readings.length === 0 || (input.teeth == null && readings.length < 2))
    throw new Fault("", "there is too little to go on: give the tooth count and a tip diameter or a span, or at least two readings");
  const weighed = TOOTH_SIZES.flatMap((size) => teethToTry(input, size).map((teeth) => weigh(input, size, teeth, readings))).filter(
    (w) => w.logWeight > Number.NEGATIVE_INFINITY,
  );
  const best = Math.max(...weighed.map((w) => w.logWeight));
  const total = weighed.reduce((sum, w) => sum + Math.exp(w.logWeight - best), 0);
  const hypotheses = weighed
    .map((w) => ({ w, probability: Math.exp(w.logWeight - best) / total }))
    .filter((h) => h.probability > 1e-4)
    .sort((a, b) => b.probability - a.probability)
    .slice(0, 8)
    .map(({ w, probability }) => hypothesis(w, probability, readings));
  return { hypotheses, next: nextReading(input, hypotheses) };
}

function readingsFrom(input: IdentifyInput): Reading[] {
  const out: Reading[] = [];
  if (input.tipDiameter !== undefined) {
    out.push({
      what: "tip diameter",
      seen: measured(input.tipDiameter, CALIPER_U.tip),
      of: (g) => (g.teeth * g.moduleMm) / Math.cos(radians(g.helixAngleDeg)) + 2 * g.moduleMm * (ADDENDUM + g.profileShift),
    });
  }
  if (input.rootDiameter !== undefined) {
    out.push({
      what: "root diameter",
      seen: measured(input.rootDiameter, CALIPER_U.root),
      of: (g) => (g.teeth * g.moduleMm) / Math.cos(radians(g.helixAngleDeg)) - 2 * g.moduleMm * (DEDENDUM - g.profileShift),
    });
  }
  for (const s of input.spans ?? []) out.push({ what: `span over ${s.teeth}`, seen: measured(s, CALIPER_U.span), of: (g) => spanOver(g, s.teeth) });
  if (input.overPins) {
    const { pin } = input.overPins;
    out.push({ what: `over ${pin} mm pins`, seen: measured(input.overPins, CALIPER_U.pins), of: (g) => overPins(g, pin) });
  }
  return out;
}

/** The counts worth trying: the one given, or those that the tip diameter (or the spans' length) leaves open. */
function teethToTry(input: IdentifyInput, size: ToothSize): number[] {
  if (input.teeth != null) return [input.teeth];
  const helix = input.kind === "helical" ? measured(input.helixAngle ?? { value: 15, u: 10 }, HELIX_U) : { value: 0, u: 0 };
  const tip = input.tipDiameter === undefined ? undefined : measured(input.tipDiameter, CALIPER_U.tip).value;
  if (tip === undefined) return Array.from({ length: 143 }, (_, i) => i + 8);
  const count = (beta: number): number => (tip * Math.cos(radians(beta))) / size.moduleMm - 2;
  const low = Math.max(6, Math.floor(count(Math.min(60, helix.value + 2.5 * helix.u)) - 1.6));
  const high = Math.min(400, Math.ceil(count(Math.max(0, helix.value - 2.5 * helix.u)) + 1 + (input.tipsWorn ? 1 : 0)));
  return high - low > 120 ? [] : Array.from({ length: Math.max(0, high - low + 1) }, (_, i) => low + i);
}

interface Weighed {
  readonly size: ToothSize;
  readonly teeth: number;
  readonly helixAngleDeg: number;
  readonly profileShift: number;
  readonly logWeight: number;
}

function weigh(input: IdentifyInput, size: ToothSize, teeth: number, readings: readonly Reading[]): Weighed {
  const gear = (beta: number, x: number): Gear => ({
    teeth,
    moduleMm: size.moduleMm,
    pressureAngleDeg: size.pressureAngleDeg,
    helixAngleDeg: beta,
    profileShift: x,
  });
  const at = (beta: number): { log: number; x: number } => {
    const sound = overShift(readings, (x) => gear(beta, x), size.moduleMm, input.tipsWorn ?? false, teeth);
    const worn = input.tipsWorn ? sound : overShift(readings, (x) => gear(beta, x), size.moduleMm, true, teeth);
    const log = input.tipsWorn ? sound.log : logSum(sound.log + Math.log(0.98), worn.log + Math.log(0.02));
    return { log: log + mateLog(input, teeth, size.moduleMm, beta), x: sound.log >= worn.log - 4 ? sound.x : worn.x };
  };
  const prior = Math.log(size.prior);
  if (input.kind === "spur") {
    const { log, x } = at(0);
    return { size, teeth, helixAngleDeg: 0, profileShift: x, logWeight: prior + log };
  }
  const { log, beta } = overHelix(input, (b) => at(b).log);
  return { size, teeth, helixAngleDeg: beta, profileShift: at(beta).x, logWeight: prior + log };
}

const SHIFT_RANGE = [-0.5, 0.9] as const;
const TENTHS = [-0.4, -0.3, -0.2, -0.1, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7];
const WORN = { by: 0.25, u: 0.2 } as const;

/** log ∫ p(readings | x) p(x) dx, and the likeliest x. Readings are linearised in x; for tip and span that is exact. */
function overShift(readings: readonly Reading[], gear: (x: number) => Gear, moduleMm: number, tipsWorn: boolean, teeth: number): { log: number; x: number } {
  const rows = readings.map((r) => {
    const wearing = tipsWorn && r.what === "tip diameter";
    const seen = wearing ? r.seen.value + WORN.by * moduleMm : r.seen.value;
    const u = wearing ? Math.hypot(r.seen.u, WORN.u * moduleMm) : r.seen.u;
    return { r, seen, u, linear: !r.what.startsWith("over") };
  });
  const scale = rows.reduce((sum, row) => sum - Math.log(row.u), 0);
  const sums = (around: number): { A: number; B: number; C: number } => {
    let A = 0;
    let B = 0;
    let C = 0;
    for (const row of rows) {
      const h = 0.05;
      const mid = row.r.of(gear(around));
      const slope = (row.r.of(gear(around + h)) - row.r.of(gear(around - h))) / (2 * h);
      const d = row.seen - (mid - slope * around);
      const w = 1 / (row.u * row.u);
      A += w * slope * slope;
      B += w * slope * d;
      C += w * d * d;
    }
    return { A, B, C };
  };
  let s = sums(0);
  const clamp = (x: number): number => Math.min(SHIFT_RANGE[1], Math.max(SHIFT_RANGE[0], x));
  if (rows.some((r) => !r.linear)) s = sums(clamp(s.B / s.A));
  const exponent = (x: number): number => -0.5 * (s.C - 2 * s.B * x + s.A * x * x);
  // how usual shifts are: small pinions are shifted against undercut, larger gears rarely
  const none = teeth < 24 ? 0.5 : 0.93;
  const mean = s.B / s.A;
  const sd = 1 / Math.sqrt(s.A);
  const inRange = normalBetween((SHIFT_RANGE[0] - mean) / sd, (SHIFT_RANGE[1] - mean) / sd);
  const terms: { log: number; x: number }[] = [{ log: Math.log(none) + exponent(0), x: 0 }];
  for (const x of TENTHS) terms.push({ log: Math.log(((1 - none) * 0.6 * (x > 0 ? 1.3 : 0.4)) / TENTHS.length) + exponent(x), x });
  if (inRange > 0)
    terms.push({
      log: Math.log(((1 - none) * 0.4) / (SHIFT_RANGE[1] - SHIFT_RANGE[0])) + exponent(mean) + Math.log(Math.sqrt(2 * Math.PI) * sd * inRange),
      x: clamp(mean),
    });
  const best = terms.reduce((a, b) => (b.log > a.log ? b : a));
  return { log: scale + terms.reduce((sum, t) => logSum(sum, t.log), Number.NEGATIVE_INFINITY), x: Math.round(best.x * 100) / 100 };
}

/** log ∫ over the helix angle: whole degrees carry half the prior, a smooth spread around the measured angle the other half. */
function overHelix(input: IdentifyInput, log: (beta: number) => number): { log: number; beta: number } {
  const told = input.helixAngle === undefined ? { value: 18, u: 10 } : measured(input.helixAngle, HELIX_U);
  const low = Math.max(2, Math.abs(told.value) - 4 * told.u);
  const high = Math.min(50, Math.abs(told.value) + 4 * told.u);
  const prior = (b: number): number => -0.5 * ((b - Math.abs(told.value)) / told.u) ** 2 - Math.log(told.u * Math.sqrt(2 * Math.PI));
  const f = (b: number): number => log(b) + prior(b);
  let best = { beta: low, log: f(low) };
  let sum = Number.NEGATIVE_INFINITY;
  for (let b = Math.ceil(low); b <= high; b++) {
    const here = f(b) + Math.log(0.5);
    sum = logSum(sum, here);
    if (here > best.log) best = { beta: b, log: here };
  }
  const step = (high - low) / 40;
  let peak = low;
  let top = Number.NEGATIVE_INFINITY;
  for (let i = 0; i <= 40; i++) {
    const here = f(low + i * step);
    if (here > top) {
      top = here;
      peak = low + i * step;
    }
  }
  let [a, c] = [Math.max(low, peak - step), Math.min(high, peak + step)];
  for (let i = 0; i < 30; i++) {
    const p = a + (c - a) / 3;
    const q = c - (c - a) / 3;
    if (f(p) < f(q)) a = p;
    else c = q;
  }
  peak = (a + c) / 2;
  top = f(peak);
  // Laplace: the width of the peak from its curvature
  const h = 0.02;
  const curve = (f(peak + h) - 2 * top + f(peak - h)) / (h * h);
  const width = curve < -1e-9 ? Math.min(Math.sqrt((2 * Math.PI) / -curve), high - low) : high - low;
  const smooth = top + Math.log(width * 0.5);
  if (smooth > best.log) best = { beta: peak, log: smooth };
  return { log: logSum(sum, smooth), beta: Math.round(best.beta * 100) / 100 };
}

/** A mate on a known centre distance: a = m (z1 + z2)/(2 cos β), less sure by a tenth of a module as either gear may be shifted. */
function mateLog(input: IdentifyInput, teeth: number, moduleMm: number, beta: number): number {
  if (!input.mate) return 0;
  const seen = measured(input.mate.centreDistance, CALIPER_U.centre);
  const expected = (moduleMm * (teeth + input.mate.teeth)) / (2 * Math.cos(radians(beta)));
  const u = Math.hypot(seen.u, 0.1 * moduleMm);
  return -0.5 * ((seen.value - expected) / u) ** 2 - Math.log(u);
}

function hypothesis(w: Weighed, probability: number, readings: readonly Reading[]): Hypothesis {
  const g: Gear = {
    teeth: w.teeth,
    moduleMm: w.size.moduleMm,
    pressureAngleDeg: w.size.pressureAngleDeg,
    helixAngleDeg: w.helixAngleDeg,
    profileShift: w.profileShift,
  };
  return {
    system: w.size.system,
    module: w.size.moduleMm,
    diametralPitch: w.size.diametralPitch,
    teeth: w.teeth,
    pressureAngle: w.size.pressureAngleDeg,
    helixAngle: w.helixAngleDeg,
    profileShift: w.profileShift,
    probability,
    residuals: readings.map((r) => {
      const expected = r.of(g);
      return {
        what: r.what,
        measured: r.seen.value,
        expected: Math.round(expected * 1000) / 1000,
        sigmas: Math.round(((r.seen.value - expected) / r.seen.u) * 10) / 10,
      };
    }),
  };
}

function logSum(a: number, b: number): number {
  if (a === Number.NEGATIVE_INFINITY) return b;
  if (b === Number.NEGATIVE_INFINITY) return a;
  const top = Math.max(a, b);
  return top + Math.log(Math.exp(a - top) + Math.exp(b - top));
}

/** P(a < Z < b) for a standard normal Z. */
function normalBetween(a: number, b: number): number {
  return Math.max(0, 0.5 * (erf(b / Math.SQRT2) - erf(a / Math.SQRT2)));
}

/** Abramowitz and Stegun 7.1.26, error below 1.5e-7. */
function erf(x: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(x));
  const y = 1 - ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t * Math.exp(-x * x);
  return x < 0 ? -y : y;
}
