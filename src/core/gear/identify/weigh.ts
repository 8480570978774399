import { type Measured, measured } from "../../quantity/measured";
import { spreadOf } from "../../quantity/reading-kinds";
import { radians } from "../../quantity/units";
import type { Making } from "../as-made";
import type { IdentifyInput } from "./input";
import { type Noise, noiseOf, toothStates, whiten } from "./noise";
import { logSum } from "./normal-distribution";
import { helixRange, overHelix } from "./over-helix";
import { overShift, SHIFT_RANGE, type ShiftParabola, shiftPoints, shiftsOf } from "./over-shift";
import { type Reading, type ToothAt, toothAt } from "./readings";
import type { Taken } from "./slips";
import { FULL_DEPTH, METRIC_FORMS, STANDARD_WEIGHT, type ToothForm, type ToothSize } from "./standard-sizes";

/** A tooth at one count under one understanding of the readings, and the log of how much it weighs. */
export interface Weighed {
  readonly size: Omit<ToothSize, "system" | "prior"> & { readonly system: ToothSize["system"] | "free" };
  readonly teeth: number;
  readonly helixAngleDeg: number;
  readonly profileShift: number;
  /** how far the readings leave helix angle (degrees) and shift open, one standard deviation each */
  readonly spread: { readonly helix: number; readonly shift: number };
  readonly log: number;
  readonly taken: Taken;
  readonly noise: Noise;
}

/**
 * Of the gears that come to a bench, so many are of no standard size: small moulded ones are drawn to a
 * centre distance rather than to a series.
 */
const FREE_SHARE = 0.1;
const FREE_RANGE_MM = [0.15, 10] as const;
const FREE_LOG_RANGE = Math.log(FREE_RANGE_MM[1] / FREE_RANGE_MM[0]);
/** A free module is free in its size; its form is one of those in use. */
export const FREE_FORMS: readonly ToothForm[] = METRIC_FORMS.filter(
  (f) => f.addendum === FULL_DEPTH && f.pressureAngleDeg !== 15,
);

const log0 = Number.NEGATIVE_INFINITY;

/** One understanding of the readings, with what every tooth is asked against worked out once. */
export interface Question {
  readonly input: IdentifyInput;
  readonly how: Making;
  readonly taken: Taken;
  /** the most that these readings can weigh: each of them met */
  readonly bestFit: number;
  /** the normal base pitch, from the spans that are furthest apart, mm; null with fewer than two */
  readonly basePitch: Measured | null;
}

export function questionOf(input: IdentifyInput, taken: Taken): Question {
  return {
    input,
    how: input.making ?? "unknown",
    taken,
    bestFit: bestFit(taken.readings),
    basePitch: basePitchOf(taken.readings),
  };
}

/**
 * Weighs a standard tooth at one count: the shift is integrated in closed form, the state of the tips summed
 * over, the helix angle scanned.
 *
 * @param hopeless a log weight below which the answer needs not be exact; null comes back where a bound lies
 *   below it
 */
export function weighStandard(q: Question, size: ToothSize, teeth: number, hopeless: number): Weighed | null {
  const { taken } = q;
  const prior =
    taken.log +
    Math.log(((1 - FREE_SHARE) * size.prior) / STANDARD_WEIGHT) +
    arcLog(q.input, teeth, taken) +
    partnerLog(q.input, size);
  if (prior + basePitchLog(q, size) < hopeless || outOfReach(taken, size, teeth)) return null;
  const start = toothAt(size, teeth, taken.helix?.value ?? 0);
  const noises = toothStates(start, q.how, taken.readings, q.input.tipsWorn ?? false).map((state) =>
    noiseOf(taken.readings, start, state, q.how),
  );
  const shifts = shiftsOf(teeth);
  const n = taken.readings.length;
  const d = new Float64Array(n);
  const s = new Float64Array(n);
  const at0 = new Float64Array(n);
  const slope = new Float64Array(n);
  let shift = { x: 0, u: shifts.u, share: 0 };
  let noise = noises[0] as Noise;
  const at = (tooth: ToothAt): number => {
    for (let i = 0; i < n; i++)
      [at0[i], slope[i]] = (taken.readings[i] as Reading).line(tooth) as [number, number];
    let sum = log0;
    let best = log0;
    for (const state of noises) {
      for (let i = 0; i < n; i++) {
        d[i] = (taken.readings[i] as Reading).seen.value - (at0[i] as number) + (state.low[i] as number);
        s[i] = (slope[i] as number) * (state.follow[i] as number);
      }
      const answer = overShift(parabola(state, d, s), shifts, hopeless - prior - 8);
      const log = answer.log + state.state.log;
      if (log > best) {
        best = log;
        shift = answer;
        noise = state;
      }
      sum = logSum(sum, log);
    }
    return sum;
  };
  const straight = taken.helix === null;
  const { log, beta, u } = straight
    ? { log: at(start), beta: 0, u: 0 }
    : overHelix(
        taken.helix as NonNullable<Taken["helix"]>,
        (b) => at(toothAt(size, teeth, b)),
        hopeless - prior,
      );
  if (!straight) at(toothAt(size, teeth, beta));
  const spread = openOf(teeth, beta, u, shift);
  return { size, teeth, helixAngleDeg: beta, profileShift: shift.x, spread, log: prior + log, taken, noise };
}

/**
 * Weighs a tooth of no standard size at one count. All readings are linear in the module, for one shift: so
 * for each shift the module is integrated in closed form, with all sizes from 0.15 to 10 mm as usual, by
 * their
 * logarithm. The answer's module is the likeliest.
 */
export function weighFree(q: Question, form: ToothForm, teeth: number, hopeless: number): Weighed | null {
  const { taken } = q;
  const rough = roughModule(q, form, teeth);
  if (rough === null || !inFreeRange(rough)) return null;
  const prior =
    taken.log +
    Math.log(FREE_SHARE * form.prior) +
    arcLog(q.input, teeth, taken) +
    (q.input.meshesWith ? Math.log(MISFIT / 20) : 0);
  if (prior + q.bestFit + narrowest(taken.readings) < hopeless) return null;
  const start = toothAt({ ...form, moduleMm: rough }, teeth, taken.helix?.value ?? 0);
  const noises = toothStates(start, q.how, taken.readings, q.input.tipsWorn ?? false).map((state) =>
    noiseOf(taken.readings, start, state, q.how),
  );
  const points = shiftPoints(shiftsOf(teeth));
  const n = taken.readings.length;
  // d − x s is what is left of the readings at the rough module, g + x h what a millimetre of module more
  // adds
  const [d, s, g, h] = [new Float64Array(n), new Float64Array(n), new Float64Array(n), new Float64Array(n)];
  const step = rough * 0.002;
  let best = { log: log0, module: rough, shift: 0, noise: noises[0] as Noise };
  const at = (beta: number): number => {
    const near = toothAt({ ...form, moduleMm: rough }, teeth, beta);
    const more = toothAt({ ...form, moduleMm: rough + step }, teeth, beta);
    let sum = log0;
    best = { ...best, log: log0 };
    for (const noise of noises) {
      for (let i = 0; i < n; i++) {
        const r = taken.readings[i] as Reading;
        const [a0, as] = r.line(near);
        const [b0, bs] = r.line(more);
        const follow = noise.follow[i] as number;
        d[i] = r.seen.value + (noise.low[i] as number) - a0;
        s[i] = as * follow;
        g[i] = (b0 - a0) / step;
        h[i] = ((bs - as) * follow) / step;
      }
      for (const v of [d, s, g, h]) whiten(noise, v);
      const dot = { dd: 0, ds: 0, ss: 0, gg: 0, gh: 0, hh: 0, gd: 0, gs: 0, hd: 0, hs: 0 };
      for (let i = 0; i < n; i++) {
        const [di, si, gi, hi] = [d[i] as number, s[i] as number, g[i] as number, h[i] as number];
        dot.dd += di * di;
        dot.ds += di * si;
        dot.ss += si * si;
        dot.gg += gi * gi;
        dot.gh += gi * hi;
        dot.hh += hi * hi;
        dot.gd += gi * di;
        dot.gs += gi * si;
        dot.hd += hi * di;
        dot.hs += hi * si;
      }
      for (const { x, share } of points) {
        const A = dot.gg + x * (2 * dot.gh + x * dot.hh);
        const B = dot.gd + x * (dot.hd - dot.gs - x * dot.hs);
        const C = dot.dd + x * (x * dot.ss - 2 * dot.ds);
        const fit = noise.state.log + noise.scale - 0.5 * (C - (B * B) / A);
        const module = rough + B / A;
        if (prior + fit < hopeless - 8 || !inFreeRange(module)) continue;
        const log = fit + Math.log((share * Math.sqrt((2 * Math.PI) / A)) / (module * FREE_LOG_RANGE));
        if (log > best.log) best = { log, module, shift: x, noise };
        sum = logSum(sum, log);
      }
    }
    return Math.max(sum, hopeless - prior - 20);
  };
  const { log, beta, u } =
    taken.helix === null ? { log: at(0), beta: 0, u: 0 } : overHelix(taken.helix, at, hopeless - prior);
  if (prior + log < hopeless) return null;
  at(beta);
  return {
    size: {
      system: "free",
      moduleMm: best.module,
      diametralPitch: null,
      pressureAngleDeg: form.pressureAngleDeg,
      addendum: form.addendum,
    },
    teeth,
    helixAngleDeg: beta,
    profileShift: Math.round(best.shift * 100) / 100,
    spread: openOf(teeth, beta, u, { u: 0.1, share: 0 }),
    log: prior + log,
    taken,
    noise: best.noise,
  };
}

/**
 * A steeper helix makes the same tips with less shift: d x/d β = −z tan β/(2 cos β). What is open of one is
 * open of the other.
 */
function openOf(
  teeth: number,
  betaDeg: number,
  helixU: number,
  shift: { readonly u: number; readonly share: number },
): Weighed["spread"] {
  const beta = radians(betaDeg);
  const byReadings = Math.hypot(shift.u, (teeth * Math.tan(beta) * radians(helixU)) / (2 * Math.cos(beta)));
  // as far as it is sure to be just this one (none, or a whole tenth), nothing is open
  return { helix: helixU, shift: byReadings * Math.sqrt(1 - shift.share) };
}

const inFreeRange = (module: number): boolean => module > FREE_RANGE_MM[0] && module < FREE_RANGE_MM[1];
/**
 * The most that a free module can keep of its prior: as narrow as the sharpest reading, thrice blunted by the
 * making.
 */
const narrowest = (readings: readonly Reading[]): number =>
  Math.log(
    (3 * Math.sqrt(2 * Math.PI) * Math.min(...readings.map((r) => r.seen.u / r.seen.value))) / FREE_LOG_RANGE,
  );

/** The parabola of whitened differences and slopes; both are used up. */
function parabola(noise: Noise, d: Float64Array, s: Float64Array): ShiftParabola {
  whiten(noise, d);
  whiten(noise, s);
  const p = { A: 0, B: 0, C: 0, scale: noise.scale };
  for (let i = 0; i < d.length; i++) {
    const [a, b] = [s[i] as number, d[i] as number];
    p.A += a * a;
    p.B += a * b;
    p.C += b * b;
  }
  return p;
}

function basePitchOf(readings: readonly Reading[]): Measured | null {
  const spans = readings
    .filter((r) => r.over !== undefined)
    .sort((a, b) => (a.over as number) - (b.over as number));
  const [a, b] = [spans[0], spans.at(-1)];
  const pitches = a && b ? (b.over as number) - (a.over as number) : 0;
  if (!a || !b || !pitches) return null;
  const gap = b.seen.value - a.seen.value;
  return { value: gap / pitches, u: Math.hypot(a.seen.u, b.seen.u, 0.003 * gap) / pitches };
}

/**
 * Two spans differ by the normal base pitch, whatever the count, the shift, the helix and the thinning are:
 * an upper bound of what the readings allow, as a log.
 */
function basePitchLog(
  { basePitch, bestFit: met }: Question,
  size: Pick<ToothSize, "moduleMm" | "pressureAngleDeg">,
): number {
  if (!basePitch) return met;
  const off =
    (basePitch.value - Math.PI * size.moduleMm * Math.cos(radians(size.pressureAngleDeg))) / basePitch.u;
  return met - 0.5 * off * off;
}

/** The most that readings can weigh: each of them met. */
export const bestFit = (readings: readonly Reading[]): number =>
  readings.reduce((sum, r) => sum - Math.log(r.seen.u), 0);

/**
 * Whether a reading lies outside all that a tooth could show at any shift and helix angle, by more than its
 * spread and any wear could make up.
 */
function outOfReach({ readings, helix }: Taken, size: ToothSize, teeth: number): boolean {
  const [least, most] = helix === null ? [0, 0] : helixRange(helix);
  const [a, b] = [toothAt(size, teeth, least), toothAt(size, teeth, most)];
  return readings.some((r) => {
    if (r.key === "overPins") return false;
    const [[at, slope], [other]] = [r.line(a), r.line(b)];
    const slack =
      6 * Math.hypot(r.seen.u, r.loose * size.moduleMm) +
      0.3 * Math.sqrt(size.moduleMm) +
      0.002 * r.seen.value +
      (r.atTips ? size.moduleMm : 0);
    return (
      r.seen.value < Math.min(at, other) + SHIFT_RANGE[0] * slope - slack ||
      r.seen.value > Math.max(at, other) + SHIFT_RANGE[1] * slope + slack
    );
  });
}

/** About the module, from the base pitch or from any reading. */
function roughModule({ basePitch, taken }: Question, form: ToothForm, teeth: number): number | null {
  const one = toothAt({ ...form, moduleMm: 1 }, teeth, taken.helix?.value ?? 0);
  if (basePitch) return basePitch.value / (Math.PI * one.cosAlpha);
  const any = taken.readings.find((r) => r.key !== "overPins") ?? taken.readings[0];
  // pins stand out over the tips by about 0.4 modules
  return any ? any.seen.value / (any.key === "overPins" ? teeth + 2.4 : any.line(one)[0]) : null;
}

/** A gear that does not fit its mate is a rare find: one in fifty of those that reach a bench. */
const MISFIT = 0.02;
function partnerLog({ meshesWith }: IdentifyInput, size: ToothSize): number {
  if (!meshesWith) return 0;
  const same =
    Math.abs(size.moduleMm / meshesWith.module - 1) < 0.004 &&
    Math.abs(size.pressureAngleDeg - meshesWith.pressureAngle) < 0.3;
  return Math.log(same ? 1 - MISFIT : MISFIT / 20);
}

/** k pitches in an angle θ: θ = 360° k/z. */
function arcLog(input: IdentifyInput, teeth: number, taken: Taken): number {
  if (!input.arc || taken.withoutArc) return 0;
  const angle = measured(input.arc.angle, spreadOf({ what: "arc" }));
  return -0.5 * (((360 * input.arc.pitches) / teeth - angle.value) / angle.u) ** 2 - Math.log(angle.u);
}
