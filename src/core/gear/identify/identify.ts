import { Fault } from "../../fault";
import { type Measured, measured } from "../../quantity/measured";
import { spreadOf } from "../../quantity/reading-kinds";
import { radians } from "../../quantity/units";
import type { Gear } from "../dimensions";
import { doubtsOf, nothingFits } from "./doubts";
import type { Doubt, Hypothesis, IdentifyInput } from "./input";
import { type NextReading, nextReading } from "./next-reading";
import { logSum } from "./normal-distribution";
import { UNTOLD_HELIX } from "./over-helix";
import { type Residual, ranked, residual } from "./ranked";
import { readingsFrom } from "./readings";
import { slipsIn, type Taken } from "./slips";
import { TOOTH_SIZES } from "./standard-sizes";
import { bestFit, FREE_FORMS, questionOf, type Weighed, weighFree, weighStandard } from "./weigh";

export interface Identification {
  readonly hypotheses: readonly Hypothesis[];
  /** readings that cannot all be true; empty where they hang together */
  readonly doubts: readonly Doubt[];
  readonly next: NextReading | null;
}

/**
 * Names a gear from caliper readings: which tooth it has, with honest probabilities, which readings
 * contradict each other, and which to take next.
 *
 * Bayes over the standard teeth of {@link TOOTH_SIZES} and over a module of no standard. For each, profile
 * shift and helix angle are free and integrated out: x is zero most of the time, in small gears often a
 * tenth, seldom
 * anything else; β lies around what was measured, whole degrees preferred. Gears are taken as they are made
 * ({@link AS_MADE}): teeth thinned for backlash, all spans alike; tips low, topped in shifted pinions, worn
 * in two of a hundred. Readings are
 * normal with their spread, and any one of them may be a slip ({@link slipsIn}): misread, one tooth too many
 * between the jaws, inches for millimetres, a wrong count, a slant that nobody saw. Where slips are likelier
 * than none, they are told as doubts.
 * A count may be given, or come from an arc of sound teeth, or be open. What is so far below the best that it
 * could not be seen in the answer is not worked out to the end.
 *
 * Refuses input that decides nothing: at least a tip diameter, two spans, or a count with one reading is
 * needed.
 *
 * @example identifyGear({ kind: "spur", teeth: 20, tipDiameter: 22.01, spans: [{ teeth: 3, value: 7.66 }]
 *   }).hypotheses[0].module // 1
 */
export function identifyGear(input: IdentifyInput): Identification {
  const readings = readingsFrom(input);
  if (input.arc && measured(input.arc.angle, spreadOf({ what: "arc" })).value <= 0)
    throw new Fault("arc.angle", "the angle between two teeth is above 0°");
  if (!readings.some((r) => r.key !== "mate.centreDistance") || (input.teeth == null && readings.length < 2))
    throw new Fault(
      "",
      "there is too little to go on: give the tooth count and a tip diameter or a span, or at least two readings",
    );
  const given: Taken = {
    slip: null,
    log: 0,
    readings,
    more: 0,
    helix: input.kind === "helical" ? helixTold(input, UNTOLD_HELIX) : null,
    withoutArc: false,
  };
  const weighed: Weighed[] = [];
  let best = Number.NEGATIVE_INFINITY;
  const weigh = (taken: Taken): void => {
    const q = questionOf(input, taken);
    const keep = (w: Weighed | null): void => {
      if (!w) return;
      weighed.push(w);
      best = Math.max(best, w.log);
    };
    for (const size of TOOTH_SIZES)
      for (const teeth of teethToTry(input, size.moduleMm, taken))
        keep(weighStandard(q, size, teeth, best - HOPELESS));
    for (const form of FREE_FORMS)
      for (const teeth of teethToTry(input, null, taken)) keep(weighFree(q, form, teeth, best - HOPELESS));
  };
  weigh(given);
  for (const slip of slipsIn(input, given))
    if (slip.log + bestFit(slip.readings) > best - SLIGHT) weigh(slip);
  if (!weighed.length) return { hypotheses: [], doubts: [nothingFits(readings)], next: null };
  const merged = alike(weighed);
  const hypotheses = ranked(merged, BLUNT).map(({ of, probability }) => hypothesis(of, probability, input));
  const doubts = doubtsOf(input, weighed, hypotheses[0]);
  return { hypotheses, doubts, next: nextReading(input, hypotheses, doubts) };
}

/** See {@link ranked}. */
const BLUNT = 0.85;
/** A hypothesis this far (in log) below the best weighs nothing in any answer. */
const HOPELESS = 10;
/**
 * Slips that could not reach a hundredth of the best, even if everything else was met exactly, are not looked
 * into.
 */
const SLIGHT = 2;

/**
 * The counts worth trying: the one given, or those that the arc, the tip diameter (or the spans' length)
 * leave open.
 */
function teethToTry(input: IdentifyInput, moduleMm: number | null, { more, helix }: Taken): number[] {
  if (input.teeth != null) return [input.teeth + more];
  const between = (low: number, high: number): number[] =>
    Array.from({ length: Math.max(0, high - low + 1) }, (_, i) => low + i);
  let [min, max] = [6, 400];
  if (input.arc) {
    const { pitches } = input.arc;
    const angle = measured(input.arc.angle, spreadOf({ what: "arc" }));
    min = Math.max(min, Math.floor((360 * pitches) / (angle.value + 4 * angle.u)), pitches + 1);
    max = Math.min(max, Math.ceil((360 * pitches) / Math.max(1, angle.value - 4 * angle.u)));
  }
  const tip =
    input.tipDiameter === undefined
      ? undefined
      : measured(input.tipDiameter, spreadOf({ what: "tip diameter" })).value;
  // without a size every count fits some module: only an arc leaves few enough to try
  if (moduleMm === null) return input.arc ? between(min, max) : [];
  if (tip === undefined) return between(Math.max(min, 8), Math.min(max, input.arc ? 400 : 150));
  const count = (beta: number): number => (tip * Math.cos(radians(beta))) / moduleMm - 2;
  const { value, u } = helix ?? { value: 0, u: 0 };
  const low = Math.max(min, Math.floor(count(Math.min(60, value + 2.5 * u)) - 1.6));
  const high = Math.min(max, Math.ceil(count(Math.max(0, value - 2.5 * u)) + 1 + (input.tipsWorn ? 1 : 0)));
  return high - low > 120 ? [] : between(low, high);
}

/** The helix angle as it was measured, as the mate's says, or as little as is known without either. */
function helixTold(input: IdentifyInput, unknown: Measured): Measured {
  if (input.helixAngle !== undefined) return measured(input.helixAngle, spreadOf({ what: "helix angle" }));
  return input.meshesWith ? { value: Math.abs(input.meshesWith.helixAngle), u: 0.5 } : unknown;
}

/**
 * One tooth and count under all understandings of the readings: the likeliest stands for them, with what they
 * weigh together.
 */
function alike(weighed: readonly Weighed[]): Weighed[] {
  const kinds = new Map<string, Weighed>();
  for (const w of weighed) {
    const { system, moduleMm, pressureAngleDeg, addendum } = w.size;
    const key = [system, system === "free" ? "" : moduleMm, pressureAngleDeg, addendum, w.teeth].join();
    const other = kinds.get(key);
    kinds.set(key, other ? { ...(other.log >= w.log ? other : w), log: logSum(other.log, w.log) } : w);
  }
  return [...kinds.values()];
}

function hypothesis(w: Weighed, probability: number, input: IdentifyInput): Hypothesis {
  const { system, diametralPitch, moduleMm, pressureAngleDeg, addendum } = w.size;
  const module = system === "free" ? Math.round(moduleMm * 1000) / 1000 : moduleMm;
  const gear: Gear = {
    teeth: w.teeth,
    moduleMm,
    pressureAngleDeg,
    helixAngleDeg: w.helixAngleDeg,
    profileShift: w.profileShift,
    addendum,
  };
  return {
    system,
    module,
    diametralPitch,
    teeth: w.teeth,
    pressureAngle: pressureAngleDeg,
    helixAngle: w.helixAngleDeg,
    profileShift: w.profileShift,
    spread: w.spread,
    addendum,
    tips: w.noise.state.says,
    flanks: w.noise.state.flanks,
    probability,
    residuals: residualsOf(w, gear, input),
  };
}

/**
 * Everything that was used, as it was written down, against what this gear is expected to show as it is made.
 */
function residualsOf(w: Weighed, gear: Gear, input: IdentifyInput): Residual[] {
  const { noise } = w;
  const shown = { ...gear };
  const out = readingsFrom(input).flatMap((r, i) => {
    const missing =
      (1 - (noise.follow[i] as number)) *
      2 *
      gear.moduleMm *
      gear.profileShift *
      (r.atTips?.(gear.teeth) ?? 0);
    const expected = r.of(shown) - (noise.low[i] as number) - missing;
    return residual(
      r.what,
      { value: r.seen.value, u: Math.hypot(r.seen.u, madeSpread(w, i, r.seen.u)) },
      expected,
    );
  });
  if (input.kind === "helical" && w.taken.helix)
    out.push(
      ...residual(
        "helix angle",
        input.helixAngle === undefined
          ? undefined
          : measured(input.helixAngle, spreadOf({ what: "helix angle" })),
        gear.helixAngleDeg,
      ),
    );
  if (input.arc) {
    const angle = measured(input.arc.angle, spreadOf({ what: "arc" }));
    out.push(
      ...residual(`arc over ${input.arc.pitches} pitches`, angle, (360 * input.arc.pitches) / gear.teeth),
    );
  }
  return out;
}

/**
 * What the making adds to a reading's own spread, mm. Under a slip the reading's spread stands widened in the
 * noise: then the making's alone is taken.
 */
function madeSpread({ noise, taken }: Weighed, i: number, own: number): number {
  const widened = taken.readings[i]?.seen.u ?? own;
  return Math.sqrt(Math.max(0, (noise.u[i] as number) ** 2 - widened ** 2));
}
