import { AGREES, type ArcReading, arcReading, TOLD_APART } from "./arc-reading";
import type { FacePlane } from "./face-plane";
import { phaseTrack } from "./phase-track";
import type { Planes } from "./picture";
import { toothDepth } from "./ring-rhythm";
import { share01, type ToothSlot, type ToothSlots, toothSlots } from "./tooth-slots";
import { fitsNear, followed, type TrackFit } from "./track-fit";

/** A ring of teeth as it was read, with what speaks for it. */
export interface RingReading {
  readonly teeth: number;
  /** in pixels of the picture that was given */
  readonly plane: FacePlane;
  readonly slots: ToothSlots;
  readonly evidence: RingEvidence;
  /** 0 to 1: how likely the count is the gear's */
  readonly certainty: number;
  /** the count that comes nearest, where it lies best */
  readonly rival?: { readonly teeth: number; readonly plane: FacePlane };
}

/** What speaks for a ring, each as a number that a test can look at. */
export interface RingEvidence {
  /** how well the windows around the ring agree with one count, -1 to 1 */
  readonly agreement: number;
  /** the same, less what had to be moved and where roots were not in one circle */
  readonly score: number;
  /** score less that of the best other count */
  readonly margin: number;
  /** depth of the teeth seen, over that of a standard tooth of this count */
  readonly depth: number;
  /** teeth unlike the gaps beside them, 0 to 1 */
  readonly separation: number;
  /** likeness of what lies beyond the tips to the face */
  readonly beyond: number;
  /** share of the places that look like those around them, or have a plain gap */
  readonly seen: number;
  /** share of the places where a tooth stands */
  readonly standing: number;
  /** what the part that is seen says by itself, where the ring was read from a part */
  readonly arc?: Pick<ArcReading, "seen" | "agreement" | "odds">;
}

/** How likely a count is right, from its evidence: each kind of doubt takes its share. */
export function certaintyOf(e: RingEvidence, teeth: number): number {
  // a few teeth are soon found in anything
  const rhythm = share01((e.score - 0.66 - Math.min(0.12, 0.03 * Math.max(0, 14 - teeth))) / 0.2);
  // one tooth of eleven is so much that the right count wins by far; six holes of a web are soon taken for
  // six teeth
  const margin = share01(
    (e.margin - 0.02 - 0.08 * share01((16 - teeth) / 6) - (teeth <= 8 ? 0.15 : 0)) / 0.08,
  );
  // blur and a bench of the gear's own colour hide where teeth end: where many teeth all agree on one count,
  // their depth need not be plain
  const slack =
    0.3 *
    share01((teeth - 16) / 10) *
    share01((e.score - 0.85) / 0.06) *
    share01((e.margin - 0.08) / 0.06) *
    share01((e.seen - 0.85) / 0.1);
  const depth = share01(1 - (Math.abs(Math.log(Math.max(0.05, e.depth))) - 0.2 - slack) / 0.35);
  const seen = share01((e.seen - 0.45) / 0.35);
  const standing = share01((e.standing - 0.35) / 0.25);
  const outside = teeth <= 8 ? share01((0.5 - e.beyond) / 0.15) : 1;
  if (e.arc) {
    // as many windows at least as there are numbers to be fitted to them
    const windows = share01((e.arc.seen * teeth - 8) / 3);
    // the shorter the arc, the better a wrong count can hide in a moved centre, and the more the small faults
    // of lens and gear weigh
    const odds = share01((e.arc.odds - TOLD_APART) / (8 * Math.max(1, (0.65 / e.arc.seen) ** 4)));
    return share01((e.arc.agreement - 0.985) / 0.01) * odds * windows * depth * standing;
  }
  return rhythm * margin * depth * seen * standing * outside;
}

/**
 * A ring and what it would be with one, two or three teeth more or fewer, each with the plane that suits it;
 * best first.
 */
function rivals(p: Planes, ring: TrackFit): TrackFit[] {
  const track = phaseTrack(p, ring.plane, ring.teeth);
  return fitsNear(track, ring.plane, ring.teeth, 3)
    .map((fit) =>
      Math.abs(fit.teeth - ring.teeth) === 1 && fit.score > ring.score - 0.4
        ? followed(p, fit.plane, fit.teeth, 2, 0)
        : fit,
    )
    .sort((a, b) => b.score - a.score);
}

/** Share of the places that look like the teeth around them, or plainly lack one. */
const seenIn = (slots: ToothSlots): number =>
  slots.slots.filter(
    (s) =>
      s.alike > 0.5 ||
      (s.state === "missing" && s.filled < 0.35) ||
      (s.state === "there" && s.filled > 0.7 && slots.separation > 0.3),
  ).length / slots.slots.length;

const stands = (s: ToothSlot): boolean => s.state === "there" || s.state === "short";
/** What the places themselves tell. */
const seenOf = (
  slots: ToothSlots,
): Pick<RingEvidence, "depth" | "separation" | "beyond" | "seen" | "standing"> => ({
  depth: (1 - slots.rootShare) / toothDepth(slots.slots.length),
  separation: slots.separation,
  beyond: slots.beyond,
  seen: seenIn(slots),
  standing: slots.slots.filter(stands).length / slots.slots.length,
});

/** A ring of which nothing is said of its flanks. */
export const withoutFlanks = (ring: RingReading): RingReading => ({
  ...ring,
  slots: { ...ring.slots, slots: ring.slots.slots.map(({ worn: _, ...slot }) => slot) },
});

/**
 * The same ring read from the part of it that is plainly seen, as though the rest were not there; null where
 * there is no such part.
 */
function partReading(p: Planes, ring: RingReading): RingReading | null {
  const arc = arcReading(p, ring);
  if (!arc) return null;
  const slots = toothSlots(p, arc.plane, arc.teeth, arc.visible);
  const among = slots.slots.filter((s) => arc.visible(s.angle));
  const { score, margin } = ring.evidence;
  // what workers hand over is plain data
  const { seen, agreement, odds } = arc;
  const evidence: RingEvidence = {
    ...seenOf(slots),
    agreement,
    score,
    margin,
    standing: among.filter(stands).length / (among.length || 1),
    arc: { seen, agreement, odds },
  };
  return {
    teeth: arc.teeth,
    plane: slots.plane,
    slots,
    evidence,
    certainty: certaintyOf(evidence, arc.teeth),
  };
}

/** Was it read from a part of which at least the windows agree? Then it is a gear, whatever its count. */
export const seenInPart = ({ evidence: { arc } }: RingReading): boolean =>
  arc !== undefined && arc.agreement > 0.99;

/** Of this score is a ring that agrees all around; under this one, only a part of it does. */
export const WHOLE = 0.9;
const HALF = 0.8;
/** By this much a count wins over its neighbours where there is nothing to be said for them. */
export const PLAINLY = 0.2;
/** What is left of a part's certainty where the whole says another count. */
const CONTRADICTS = 0.75;

/**
 * A ring after the part of it that is plainly seen has had its say. The part may be surer of the count; it
 * may tell it from another and find the other likelier, and
 * then the whole was led astray by what lies over it; or nothing plain is found in a ring that does not agree
 * all around: its count is half as certain.
 */
export function weighedByPart(p: Planes, whole: RingReading): RingReading {
  let part = partReading(p, whole);
  // a few windows that something lies over can make another count agree better on the whole, and yet all the
  // plain ones stand exactly where the right one has them
  if (
    whole.rival &&
    whole.evidence.margin < PLAINLY &&
    !(part?.evidence.arc && part.evidence.arc.agreement > AGREES)
  ) {
    const other = partReading(p, { ...whole, ...whole.rival });
    if (other?.evidence.arc && other.evidence.arc.agreement > AGREES) part = other;
  }
  const arc = part?.evidence.arc;
  if (!part || !arc) return whole;
  const { score, margin } = whole.evidence;
  if (part.teeth !== whole.teeth) {
    if (arc.odds > TOLD_APART) return { ...part, certainty: part.certainty * CONTRADICTS };
    if (score > WHOLE && margin > PLAINLY) return whole;
    // neither is told from the other: of a ring that does not agree all around, what agrees is shown
    const shown = score < WHOLE && seenInPart(part) ? part : whole;
    return { ...shown, certainty: Math.min(shown.certainty, whole.certainty / 2) };
  }
  // what the part tells of the neighbours is added to what the whole does
  const told = arc.agreement > AGREES && arc.odds > TOLD_APART;
  const certainty = told
    ? certaintyOf({ ...whole.evidence, margin: margin + 0.02 * (arc.odds - TOLD_APART) }, whole.teeth)
    : whole.certainty;
  // of the two the part knows which places something lies over
  if (told || part.certainty >= certainty) return { ...part, certainty: Math.max(part.certainty, certainty) };
  const borneOut = score > WHOLE || (arc.agreement > AGREES && score > HALF);
  return borneOut ? whole : { ...whole, certainty: certainty / 2 };
}

/**
 * One ring, followed until it lies still, and everything that speaks for it. `p` may be any size; the plane
 * is in its pixels.
 * @param exactly keep this count, whatever a rival has to say for itself
 */
export function ringReading(p: Planes, from: TrackFit, exactly = false): RingReading {
  const all = rivals(p, from);
  const fits = exactly
    ? [...all.filter((f) => f.teeth === from.teeth), ...all.filter((f) => f.teeth !== from.teeth)]
    : all;
  const looked = fits
    .slice(0, (fits[0] as TrackFit).score - (fits[1]?.score ?? 0) < 0.15 ? 2 : 1)
    .map((fit) => {
      const slots = toothSlots(p, fit.plane, fit.teeth);
      return { fit, slots, worth: fit.score * (0.4 + 0.6 * seenIn(slots)) };
    });
  if (!exactly) looked.sort((a, b) => b.worth - a.worth);
  const { fit: best, slots, worth } = looked[0] as (typeof looked)[number];
  const others = fits.filter((f) => f !== best);
  const evidence: RingEvidence = {
    agreement: best.agreement,
    score: best.score,
    margin: Math.min(
      worth - (looked[1]?.worth ?? 0),
      ...others.filter((f) => f !== looked[1]?.fit).map((f) => best.score - f.score),
    ),
    ...seenOf(slots),
  };
  return {
    teeth: best.teeth,
    plane: slots.plane,
    slots,
    evidence,
    certainty: certaintyOf(evidence, best.teeth),
    ...(others[0] && { rival: { teeth: others[0].teeth, plane: others[0].plane } }),
  };
}
