import { perspectiveMisfit } from "./camera";
import { type FacePlane, sizeOf } from "./face-plane";
import { median } from "./median";
import { type PhaseTrack, phaseTrack } from "./phase-track";
import type { Planes } from "./picture";
import { type Strays, trackFit, type WindowSpread } from "./track-fit";

/** What the part of a ring that is seen says by itself, when the rest is hidden or outside the picture. */
export interface ArcReading {
  readonly teeth: number;
  readonly plane: FacePlane;
  /** share of the ring that was seen and used */
  readonly seen: number;
  /** mean agreement of the windows that were used, -1 to 1 */
  readonly agreement: number;
  /** natural logarithm of how much likelier this count is than the next best */
  readonly odds: number;
  /** was this angle of the face (radians) among what was used? */
  readonly visible: (angle: number) => boolean;
}

type Visible = ArcReading["visible"];
type Laying = Pick<ArcReading, "teeth" | "plane">;
/** A count laid on the arc until it lies still. */
interface Laid {
  readonly teeth: number;
  readonly plane: FacePlane;
  readonly strays: Strays;
  /** minus the logarithm of how likely the faint windows are, that had no say in the laying */
  readonly faint: number;
  readonly agreement: number;
  readonly own: readonly boolean[];
}

/** First as anything may lie there, then as a sharp picture of a true gear is. */
const ROUNDS: readonly WindowSpread[] = [
  { phase: 0.4, root: 0.02 },
  { phase: 0.4, root: 0.02 },
  { phase: 0.15, root: 0.008 },
  { phase: 0.15, root: 0.008 },
  { phase: 0.15, root: 0.008 },
];
/**
 * Nothing is measured better than this, whatever its scatter says: 1.3 % of a pitch, 0.3 % of the tip radius,
 * a third of a pixel.
 */
const FLOOR = { phase: 0.08, radius: 0.003, pixels: 0.35 } as const;
/**
 * Of windows that are faint: the spread of a phase (radians of a tooth) at full strength, how many have none
 * of the ring's, and the weight under which nothing is read.
 */
const FAINT = { phase: 0.15, anywhere: 0.3, least: 0.12 } as const;
/**
 * With fewer teeth the next count is so far off that a ring hardly needs this, and so few windows speak that
 * it can be led astray.
 */
const FEWEST_ON_ARC = 10;
/** Odds (natural logarithm) from which two counts are told apart at all. */
export const TOLD_APART = 3;
/** Windows that agree less with their count are not of one ring. */
export const AGREES = 0.96;
/** A smaller part says too little about the rest; more of it is the whole. */
const LEAST = 0.4;
const MOST_SEEN = 0.95;

/**
 * The windows of a track that stand in runs of three or more, without those at a run's ends: they look over
 * the edge of what hides the rest.
 */
function plainWindows(track: PhaseTrack): boolean[] {
  const n = track.weights.length;
  const at = (k: number): boolean => (track.weights[(k + n) % n] as number) > 0.5;
  return Array.from(track.weights, (_, k) => at(k) && at(k - 1) && at(k + 1));
}
const atAngle =
  (windows: readonly boolean[]): Visible =>
  (angle) => {
    const n = windows.length;
    return windows[((Math.round((angle / (2 * Math.PI)) * n) % n) + n) % n] as boolean;
  };
const shareOf = (windows: readonly boolean[]): number => windows.filter(Boolean).length / windows.length;

/**
 * Only the windows at these angles, all believed alike; of the two ways a root is seen only the commoner, as
 * each has an error of its own.
 */
function onArc(track: PhaseTrack, visible: Visible): PhaseTrack {
  const on = Array.from(track.angles, visible);
  const edges = on.filter((o, k) => o && track.rootWeights[k] === 1).length;
  const byEdge = edges > 0.5 * on.filter(Boolean).length;
  return {
    ...track,
    weights: track.weights.map((_, k) => (on[k] ? 1 : 0)),
    rootWeights: track.rootWeights.map((w, k) => (on[k] && (w === 1) === byEdge ? w : 0)),
    tips: track.tips.map((t, k) => (on[k] ? t : Number.NaN)),
  };
}

/** @param visible the windows to use; each round's own where none are given */
function laid(p: Planes, start: FacePlane, teeth: number, visible?: Visible): Laid {
  let plane = start;
  for (let round = 0; ; round++) {
    const track = phaseTrack(p, plane, teeth);
    const own = plainWindows(track);
    const arc = onArc(track, visible ?? atAngle(own));
    const fit = trackFit(arc, plane, teeth, ROUNDS[round]);
    if (round === ROUNDS.length - 1) {
      const cosines = fit.strays.phases.filter((v) => !Number.isNaN(v)).map(Math.cos);
      const faint = faintMisfit(fit.strays.all, track.weights, arc.weights);
      return {
        teeth,
        plane,
        strays: fit.strays,
        faint,
        own,
        agreement: cosines.reduce((a, b) => a + b, 0) / (cosines.length || 1),
      };
    }
    plane = fit.plane;
  }
}

/** One standard deviation of strays, from the middle one of their sizes; NaN where too few were seen. */
function scatter(x: Float64Array): number {
  const seen = x.filter((v) => !Number.isNaN(v));
  return seen.length > 5 ? 1.48 * median(seen.map(Math.abs)) : Number.NaN;
}

/**
 * Minus the logarithm of the likelihood of strays, but for a constant: Student's t with four degrees of
 * freedom, as some windows are grease or
 * shadow. Windows overlap by two thirds, so that two say what one would alone.
 */
function misfit(x: Float64Array, sigma: number): number {
  let sum = 0;
  for (const v of x) if (!Number.isNaN(v)) sum += 2.5 * Math.log1p((v / sigma) ** 2 / 4);
  return sum / 2;
}

/**
 * The same of the windows that were left out. Where the teeth are only faint (in shadow, on a bench of their
 * own colour) their phases are where the right count says, if
 * roughly; what lies over a ring has any phase. So each is either near its place, the less so the fainter it
 * is, or anywhere.
 */
function faintMisfit(phases: Float64Array, weights: Float64Array, used: Float64Array): number {
  const n = phases.length;
  let sum = 0;
  for (let k = 0; k < n; k++) {
    const weight = weights[k] as number;
    // next to a window that was used one looks over the edge of what hides the rest
    if (weight < FAINT.least || [-2, -1, 0, 1, 2].some((d) => used[(k + d + n) % n])) continue;
    const sigma = FAINT.phase / weight;
    const near = Math.exp(-(((phases[k] as number) / sigma) ** 2) / 2) / (sigma * Math.sqrt(2 * Math.PI));
    sum -= Math.log((1 - FAINT.anywhere) * near + FAINT.anywhere / (2 * Math.PI));
  }
  return sum / 3;
}

/** Counts laid on one arc, each at rest, the likeliest first. */
interface Compared {
  readonly seen: number;
  readonly visible: Visible;
  readonly ranked: readonly { readonly laid: Laid; readonly loss: number }[];
}

/**
 * Minus the logarithm of each count's likelihood; how finely anything can be measured here is taken from the
 * count whose windows scatter least.
 */
function ranked(p: Planes, tries: Iterable<Laid>): Compared["ranked"] {
  const all = [...tries];
  const pixel = FLOOR.pixels / sizeOf((all[0] as Laid).plane);
  const sigma = (of: keyof Strays, floor: number): number =>
    Math.max(floor, Math.min(...all.map((t) => scatter(t.strays[of])).filter((v) => !Number.isNaN(v))));
  const radius = Math.max(FLOOR.radius, pixel);
  const sigmas = [
    ["phases", sigma("phases", Math.max(FLOOR.phase, pixel * (all[0] as Laid).teeth))],
    ["roots", sigma("roots", radius)],
    ["tips", sigma("tips", radius)],
  ] as const;
  const loss = (t: Laid): number =>
    perspectiveMisfit(p.whole, t.plane) +
    t.faint +
    sigmas.reduce((sum, [of, s]) => sum + misfit(t.strays[of], s), 0);
  return all.map((t) => ({ laid: t, loss: loss(t) })).sort((a, b) => a.loss - b.loss);
}

/**
 * Lays a count and its neighbours on the windows that are plain from where it lies, and moves on to a
 * neighbour that is likelier.
 */
function compared(p: Planes, from: Laying, turns: number): Compared {
  const first = laid(p, from.plane, from.teeth);
  const seen = shareOf(first.own);
  const visible = atAngle(first.own);
  const tries = new Map<number, Laid>([[first.teeth, first]]);
  if (seen < LEAST || first.agreement < AGREES) return { seen, visible, ranked: [{ laid: first, loss: 0 }] };
  tries.set(first.teeth, laid(p, first.plane, first.teeth, visible));
  for (;;) {
    const order = ranked(p, tries.values());
    const best = (order[0] as (typeof order)[number]).laid;
    if (tries.has(best.teeth - 1) && tries.has(best.teeth + 1)) return { seen, visible, ranked: order };
    // from where another count lies, more or other windows may be plain
    if (best.teeth !== first.teeth && turns > 0) return compared(p, best, turns - 1);
    if (Math.abs(best.teeth - first.teeth) > 2)
      return { seen, visible, ranked: [order[0] as (typeof order)[number]] };
    const track = onArc(phaseTrack(p, best.plane, best.teeth), visible);
    for (const teeth of [best.teeth - 1, best.teeth + 1]) {
      if (tries.has(teeth)) continue;
      // where the neighbour lies, and where this count would move it: whichever rests better
      const starts = [best.plane, trackFit(track, best.plane, teeth, ROUNDS[0]).plane].map((plane) =>
        laid(p, plane, teeth, visible),
      );
      tries.set(
        teeth,
        starts.reduce((a, b) => (b.agreement > a.agreement ? b : a)),
      );
    }
  }
}
const oddsOf = ({ ranked: [best, next] }: Compared): number => (best && next ? next.loss - best.loss : 0);

/**
 * Reads an arc of teeth: what is hidden is left out altogether, and each count near the one given is laid on
 * the rest until it lies still, moving
 * centre, stretch and perspective as suits it best. What then tells them apart is that a wrong count needs
 * teeth that stray from their places, a root
 * circle that is none, or a perspective no camera has; how plainly is the odds. They are 0 where too little
 * is seen to say anything.
 *
 * A count that comes out well ahead has to come out ahead from where its neighbours lie, too: a fit may have
 * been caught beside its place.
 * @returns null where all is in sight, or with so few teeth that this says nothing
 */
export function arcReading(p: Planes, from: Laying): ArcReading | null {
  if (from.teeth < FEWEST_ON_ARC) return null;
  const found = compared(p, from, 4);
  if (found.seen > MOST_SEEN) return null;
  const best = (found.ranked[0] as Compared["ranked"][number]).laid;
  let odds = oddsOf(found);
  for (const { laid: rival } of found.ranked.slice(1, 3)) {
    if (odds < TOLD_APART) break;
    const again = compared(p, rival, 1);
    // from where it lies not even the plain windows agree on anything: that is no other reading
    if ((again.ranked[0] as Compared["ranked"][number]).laid.agreement < AGREES) continue;
    odds = again.ranked[0]?.laid.teeth === best.teeth ? Math.min(odds, oddsOf(again)) : 0;
  }
  return {
    teeth: best.teeth,
    plane: best.plane,
    seen: found.seen,
    agreement: best.agreement,
    odds,
    visible: found.visible,
  };
}
