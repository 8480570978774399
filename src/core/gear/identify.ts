import { Fault } from "../fault";
import { type Measured, measured } from "../quantity/measured";
import { spreadOf } from "../quantity/reading-kinds";
import { radians } from "../quantity/units";
import type { Gear } from "./dimensions";
import type { Hypothesis, IdentifyInput } from "./identify-input";
import { type Reading, readingsFrom, type ToothAt, toothAt } from "./identify-readings";
import { type NextReading, nextReading } from "./next-reading";
import { logSum } from "./normal-distribution";
import { ranked, residual } from "./ranked";
import { overShift, type ShiftRow } from "./shift-integral";
import { TOOTH_SIZES, type ToothSize } from "./standard-sizes";

export interface Identification {
  readonly hypotheses: readonly Hypothesis[];
  readonly next: NextReading | null;
}

/**
 * Names a gear from caliper readings: which standard tooth it has, with honest probabilities, and which reading to take next.
 *
 * Bayes over the standard teeth of {@link TOOTH_SIZES}. For each, profile shift x and helix angle β are free and integrated out: x is
 * zero most of the time, in small gears often a tenth, seldom anything else; β lies around what was measured, whole degrees
 * preferred. Readings are taken as normal with their spread. As tip diameter and span are linear in x, that integral is in closed
 * form; β is scanned and then refined. Tips said to be worn read low by a quarter of a module, give or take a fifth; two in a hundred
 * are taken to be worn although nobody said so. A count may be given, or come from an arc of sound teeth, or be open.
 * What is so far below the best that it could not be seen in the answer is not worked out to the end.
 *
 * Refuses input that decides nothing: at least a tip diameter, two spans, or a count with one reading is needed.
 *
 * @example identifyGear({ kind: "spur", teeth: 20, tipDiameter: 22.01, spans: [{ teeth: 3, value: 7.66 }] }).hypotheses[0].module // 1
 */
export function identifyGear(input: IdentifyInput): Identification {
  const readings = readingsFrom(input);
  if (input.arc && measured(input.arc.angle, spreadOf({ what: "arc" })).value <= 0) throw new Fault("arc.angle", "the angle between two teeth is above 0°");
  if (readings.length === 0 || (input.teeth == null && readings.length < 2))
    throw new Fault("", "there is too little to go on: give the tooth count and a tip diameter or a span, or at least two readings");
  const weighed: Weighed[] = [];
  let best = Number.NEGATIVE_INFINITY;
  for (const size of TOOTH_SIZES)
    for (const teeth of teethToTry(input, size)) {
      const w = weigh(input, size, teeth, readings, best - HOPELESS);
      weighed.push(w);
      best = Math.max(best, w.log);
    }
  const hypotheses = ranked(weighed).map(({ of, probability }) => hypothesis(of, probability, readings));
  return { hypotheses, next: nextReading(input, hypotheses) };
}

/** A hypothesis this far (in log) below the best weighs nothing in any answer. */
const HOPELESS = 40;

/** The counts worth trying: the one given, or those that the arc, the tip diameter (or the spans' length) leave open. */
function teethToTry(input: IdentifyInput, size: ToothSize): number[] {
  if (input.teeth != null) return [input.teeth];
  const between = (low: number, high: number): number[] => Array.from({ length: Math.max(0, high - low + 1) }, (_, i) => low + i);
  let [min, max] = [6, 400];
  if (input.arc) {
    const { pitches } = input.arc;
    const angle = measured(input.arc.angle, spreadOf({ what: "arc" }));
    min = Math.max(min, Math.floor((360 * pitches) / (angle.value + 4 * angle.u)), pitches + 1);
    max = Math.min(max, Math.ceil((360 * pitches) / Math.max(1, angle.value - 4 * angle.u)));
  }
  const helix = input.kind === "helical" ? helixTold(input, { value: 15, u: 10 }) : { value: 0, u: 0 };
  const tip = input.tipDiameter === undefined ? undefined : measured(input.tipDiameter, spreadOf({ what: "tip diameter" })).value;
  if (tip === undefined) return between(Math.max(min, 8), Math.min(max, input.arc ? 400 : 150));
  const count = (beta: number): number => (tip * Math.cos(radians(beta))) / size.moduleMm - 2;
  const low = Math.max(min, Math.floor(count(Math.min(60, helix.value + 2.5 * helix.u)) - 1.6));
  const high = Math.min(max, Math.ceil(count(Math.max(0, helix.value - 2.5 * helix.u)) + 1 + (input.tipsWorn ? 1 : 0)));
  return high - low > 120 ? [] : between(low, high);
}

interface Weighed {
  readonly size: ToothSize;
  readonly teeth: number;
  readonly helixAngleDeg: number;
  readonly profileShift: number;
  readonly log: number;
}

/** What worn tips read low by, in modules. */
const WORN = { by: 0.25, u: 0.2 } as const;
const LOG_SOUND = Math.log(0.98);
const LOG_WORN = Math.log(0.02);

/** @param hopeless a log weight below which the answer needs not be exact */
function weigh(input: IdentifyInput, size: ToothSize, teeth: number, readings: readonly Reading[], hopeless: number): Weighed {
  const { moduleMm, pressureAngleDeg } = size;
  const prior = Math.log(size.prior) + arcLog(input, teeth) + partnerLog(input, size);
  const sound: ShiftRow[] = readings.map((r) => ({ at0: 0, slope: 0, seen: r.seen.value, u: r.seen.u }));
  const worn: ShiftRow[] = readings.map((r) =>
    r.atTips
      ? { at0: 0, slope: 0, seen: r.seen.value + WORN.by * moduleMm, u: Math.hypot(r.seen.u, WORN.u * moduleMm) }
      : { at0: 0, slope: 0, seen: r.seen.value, u: r.seen.u },
  );
  // how usual shifts are: small pinions are shifted against undercut, larger gears rarely
  const shifts = { none: teeth < 24 ? 0.5 : 0.93 };
  const anyAtTips = readings.some((r) => r.atTips);
  /** the last one is kept for its shift */
  let shift = 0;
  const at = (tooth: ToothAt): number => {
    readings.forEach((r, i) => {
      const [at0, slope] = r.line(tooth);
      for (const row of [sound[i] as ShiftRow, worn[i] as ShiftRow]) {
        row.at0 = at0;
        row.slope = slope;
      }
    });
    const mate = mateLog(input, teeth, moduleMm, tooth.cosBeta);
    const min = hopeless - prior - mate - 8;
    if (input.tipsWorn || !anyAtTips) {
      const one = overShift(input.tipsWorn ? worn : sound, shifts, min);
      shift = one.x;
      return one.log + mate;
    }
    const a = overShift(sound, shifts, min);
    const b = overShift(worn, shifts, min);
    shift = a.log >= b.log - 4 ? a.x : b.x;
    return logSum(a.log + LOG_SOUND, b.log + LOG_WORN) + mate;
  };
  const tooth = (beta: number): ToothAt => toothAt(teeth, moduleMm, pressureAngleDeg, beta);
  if (input.kind === "spur") {
    const log = at(tooth(0));
    return { size, teeth, helixAngleDeg: 0, profileShift: shift, log: prior + log };
  }
  const { log, beta } = overHelix(input, (b) => at(tooth(b)), hopeless - prior);
  at(tooth(beta));
  return { size, teeth, helixAngleDeg: beta, profileShift: shift, log: prior + log };
}

/**
 * log ∫ over the helix angle: whole degrees carry half the prior, a smooth spread around the measured angle the other half.
 * Whole and half degrees are looked at first; where none comes near, the peak between them is not sought.
 */
function overHelix(input: IdentifyInput, log: (beta: number) => number, hopeless: number): { log: number; beta: number } {
  const told = helixTold(input, { value: 18, u: 10 });
  const low = Math.max(2, Math.abs(told.value) - 4 * told.u);
  const high = Math.min(50, Math.abs(told.value) + 4 * told.u);
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
  if (fm + Math.max(reach(scanned[top - 1]), reach(scanned[top + 1])) < hopeless) return { log: logSum(sum, fm), beta: peakOf.b };
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
  return { log: logSum(sum, smooth), beta: Math.round(best.beta * 100) / 100 };
}

/** A mate on a known centre distance: a = m (z1 + z2)/(2 cos β), less sure by a tenth of a module as either gear may be shifted. */
function mateLog(input: IdentifyInput, teeth: number, moduleMm: number, cosBeta: number): number {
  if (!input.mate) return 0;
  const seen = measured(input.mate.centreDistance, spreadOf({ what: "centre distance" }));
  const expected = (moduleMm * (teeth + input.mate.teeth)) / (2 * cosBeta);
  const u = Math.hypot(seen.u, 0.1 * moduleMm);
  return -0.5 * ((seen.value - expected) / u) ** 2 - Math.log(u);
}

/** The helix angle as it was measured, as the mate's says, or as little as is known without either. */
function helixTold(input: IdentifyInput, unknown: Measured): Measured {
  if (input.helixAngle !== undefined) return measured(input.helixAngle, spreadOf({ what: "helix angle" }));
  return input.meshesWith ? { value: input.meshesWith.helixAngle, u: 0.5 } : unknown;
}

/** A gear that does not fit its mate is a rare find: one in fifty of those that reach a bench. */
const MISFIT = 0.02;
function partnerLog({ meshesWith }: IdentifyInput, size: ToothSize): number {
  if (!meshesWith) return 0;
  const same = Math.abs(size.moduleMm / meshesWith.module - 1) < 0.004 && Math.abs(size.pressureAngleDeg - meshesWith.pressureAngle) < 0.3;
  return Math.log(same ? 1 - MISFIT : MISFIT / 20);
}

/** k pitches in an angle θ: θ = 360° k/z. */
function arcLog(input: IdentifyInput, teeth: number): number {
  if (!input.arc || input.teeth != null) return 0;
  const angle = measured(input.arc.angle, spreadOf({ what: "arc" }));
  return -0.5 * (((360 * input.arc.pitches) / teeth - angle.value) / angle.u) ** 2 - Math.log(angle.u);
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
    residuals: readings.flatMap((r) => residual(r.what, r.seen, r.of(g))),
  };
}
