import { Fault } from "../fault";
import { centreVotes } from "./centre-votes";
import { axesOf, type FacePlane, scaled, toFace } from "./face-plane";
import { fitsNear, followed, phaseTrack, type TrackFit } from "./phase-track";
import { checkPicture, type Picture, type Planes, planesOf, reduced } from "./picture";
import { centred, type RingRhythm, ringRhythms, toothDepth } from "./ring-rhythm";
import { silhouettes } from "./silhouettes";
import { type ToothSlots, toothSlots } from "./tooth-slots";

/** A ring of teeth as it was read, with what speaks for it. */
export interface RingReading {
  readonly teeth: number;
  /** in pixels of the picture that was given */
  readonly plane: FacePlane;
  readonly slots: ToothSlots;
  /** other counts, and how well they fit the same ring */
  readonly others: readonly { teeth: number; score: number }[];
  readonly evidence: RingEvidence;
  /** 0 to 1: how likely the count is the gear's */
  readonly certainty: number;
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
}

export interface Progress {
  (share: number, says: string): void;
}

export const sizeOf = (f: FacePlane): number => Math.sqrt(f.a[0] * f.a[2] - f.a[1] ** 2);

/** Longest sides that are looked at, pixels: to find round things, and to follow teeth. */
const SMALL = 240;
const MIDDLE = 800;

const clamp = (x: number): number => Math.max(0, Math.min(1, x));

/** How likely a count is right, from its evidence: each kind of doubt takes its share. */
export function certaintyOf(e: RingEvidence, teeth: number): number {
  const rhythm = clamp((e.score - 0.66) / 0.2);
  const margin = clamp((e.margin - 0.02) / 0.08);
  const depth = clamp(1 - (Math.abs(Math.log(Math.max(0.05, e.depth))) - 0.2) / 0.35);
  const seen = clamp((e.seen - 0.45) / 0.35);
  const standing = clamp((e.standing - 0.35) / 0.25);
  const outside = teeth <= 8 ? clamp((0.5 - e.beyond) / 0.15) : 1;
  return rhythm * margin * depth * seen * standing * outside;
}

/** A ring and what it would be with one, two or three teeth more or fewer, each with the plane that suits it; best first. */
function rivals(p: Planes, ring: TrackFit): TrackFit[] {
  const track = phaseTrack(p, ring.plane, ring.teeth);
  return fitsNear(track, ring.plane, ring.teeth, 3)
    .map((fit) => (Math.abs(fit.teeth - ring.teeth) === 1 && fit.score > ring.score - 0.4 ? followed(p, fit.plane, fit.teeth, 2, 0) : fit))
    .sort((a, b) => b.score - a.score);
}

/** Share of the places that look like the teeth around them, or plainly lack one. */
const seenIn = (slots: ToothSlots): number =>
  slots.slots.filter((s) => s.alike > 0.5 || (s.state === "missing" && s.filled < 0.35) || (s.state === "there" && s.filled > 0.7 && slots.separation > 0.3)).length / slots.slots.length;

/** One ring, followed until it lies still, and everything that speaks for it. `p` may be any size; the plane is in its pixels. */
function ringReading(p: Planes, from: TrackFit): RingReading {
  const fits = rivals(p, from);
  const looked = fits.slice(0, (fits[0] as TrackFit).score - (fits[1]?.score ?? 0) < 0.15 ? 2 : 1).map((fit) => {
    const slots = toothSlots(p, fit.plane, fit.teeth);
    return { fit, slots, worth: fit.score * (0.4 + 0.6 * seenIn(slots)) };
  });
  looked.sort((a, b) => b.worth - a.worth);
  const { fit: best, slots, worth } = looked[0] as (typeof looked)[number];
  const others = fits.filter((f) => f !== best);
  const states = slots.slots;
  const count = (f: (s: (typeof states)[number]) => boolean): number => states.filter(f).length / states.length;
  const evidence: RingEvidence = {
    agreement: best.agreement,
    score: best.score,
    margin: Math.min(worth - (looked[1]?.worth ?? 0), ...others.filter((f) => f !== looked[1]?.fit).map((f) => best.score - f.score)),
    depth: (1 - slots.rootShare) / toothDepth(best.teeth),
    separation: slots.separation,
    beyond: slots.beyond,
    seen: seenIn(slots),
    standing: count((s) => s.state === "there" || s.state === "short"),
  };
  return { teeth: best.teeth, plane: slots.plane, slots, others: others.map(({ teeth, score }) => ({ teeth, score })), evidence, certainty: certaintyOf(evidence, best.teeth) };
}

/** A ring that does not lie quite still is pushed a little every way and followed again: it may have been caught beside its place. */
function restless(p: Planes, ring: TrackFit): TrackFit {
  let best = ring;
  for (const share of [0.05, 0.1])
    for (let i = 0; i < 6 && best.score < 0.96; i++) {
      const push = share * sizeOf(best.plane);
      const [x, y] = best.plane.centre;
      const plane = { ...best.plane, centre: [x + push * Math.cos((i * Math.PI) / 3), y + push * Math.sin((i * Math.PI) / 3)] as const };
      const again = followed(p, plane, best.teeth, 2, 3);
      if (again.score > best.score + 0.005) best = again;
    }
  return best === ring ? ring : followed(p, best.plane, best.teeth, 2);
}

/** Rings worth following, the plainest and largest first, no two alike. */
function distinct(rings: readonly RingRhythm[], most: number): RingRhythm[] {
  const worth = (r: RingRhythm): number => r.plainness * Math.sqrt(sizeOf(r.plane));
  const picked: RingRhythm[] = [];
  for (const r of [...rings].sort((a, b) => worth(b) - worth(a))) {
    if (picked.length === most) break;
    if (!picked.some((g) => near(g.plane, r.plane, 0.06))) picked.push(r);
  }
  return picked;
}
const near = (a: FacePlane, b: FacePlane, share: number): boolean =>
  Math.hypot(a.centre[0] - b.centre[0], a.centre[1] - b.centre[1]) < share * sizeOf(b) && Math.abs(Math.log(sizeOf(a) / sizeOf(b))) < 1.5 * share;

/** Is a spot (a plane's centre) inside a ring? */
const inside = (ring: FacePlane, other: FacePlane): boolean => Math.hypot(...toFace(ring, other.centre)) < 0.9;

/** Good enough to look no further. */
const plain = (r: RingReading): boolean => r.certainty > 0.9 && r.evidence.score > 0.94 && r.evidence.depth > 0.8 && r.evidence.depth < 1.25;

/**
 * The rings of teeth in a picture, each with its certainty, the one that counts first: the plainest, or the wheel around it (a pinion on top of a
 * wheel is not what was asked for). First what stands out from the bench is followed; if that is not plain, every place that edges point at.
 */
export function ringReadings(middle: Planes, tell: Progress = () => undefined): RingReading[] {
  const small = reduced(middle, SMALL);
  const k = middle.width / small.width;
  const reach = 0.75 * Math.max(middle.width, middle.height);
  const read: RingReading[] = [];
  const take = (ring: TrackFit): void => {
    if (ring.score > 0.4 && !read.some((g) => g.teeth === ring.teeth && near(g.plane, ring.plane, 0.02))) read.push(ringReading(middle, ring));
  };
  const follow = (rings: readonly RingRhythm[], from: number, to: number): void => {
    const tracks: TrackFit[] = [];
    for (const [i, r] of rings.entries()) {
      tell(from + ((to - from) * i) / rings.length / 2, "following the teeth around");
      const ring = followed(middle, r.plane, r.teeth, 2);
      tracks.push(ring);
      if (ring.score > 0.9) take(ring);
    }
    if (read.some(plain)) return;
    // none lies still by itself: the best are centred on their rhythm first, then pushed about
    const slow = [...rings.keys()].sort((a, b) => (tracks[b] as TrackFit).score - (tracks[a] as TrackFit).score).slice(0, 3);
    for (const [n, i] of slow.entries()) {
      tell(from + (to - from) * (0.5 + n / slow.length / 2), "following the teeth around");
      const r = rings[i] as RingRhythm;
      const c = centred(middle, r);
      const again = followed(middle, c.plane, c.teeth, 3);
      const better = again.score > (tracks[i] as TrackFit).score ? again : (tracks[i] as TrackFit);
      take(better.score > 0.45 && better.score < 0.96 ? restless(middle, better) : better);
      if (read.some(plain)) return;
    }
  };
  // a small ring may sit on a wheel that did not stand out: look around it before it is believed
  const around = (): void => {
    const best = read.filter(plain).sort((a, b) => sizeOf(b.plane) - sizeOf(a.plane))[0];
    if (!best || best.teeth > 26 || sizeOf(best.plane) > 0.13 * middle.width) return;
    const rings = voted().filter((r) => inside(best.plane, r.plane) && sizeOf(r.plane) > 1.35 * sizeOf(best.plane));
    for (const r of distinct(rings, 3)) {
      const c = centred(middle, r);
      take(followed(middle, c.plane, c.teeth, 3));
    }
  };
  let votes: RingRhythm[] | undefined;
  const voted = (): RingRhythm[] => {
    votes ??= centreVotes(small).flatMap((v) => ringRhythms(middle, { ...v.plane, centre: [v.plane.centre[0] * k, v.plane.centre[1] * k] }, 12, reach, 5));
    return votes;
  };
  tell(0.05, "looking for round things");
  const rings = silhouettes(small).flatMap((f) => ringRhythms(middle, scaled(f, k), 0.7, 1.3, 2));
  const start = distinct(rings, 4);
  follow(start, 0.2, 0.45);
  if (!read.some(plain)) {
    tell(0.45, "looking for centres");
    follow(distinct([...rings, ...voted()], 8).filter((r) => !start.includes(r)), 0.6, 0.9);
  }
  around();
  // a ring of six holes is as regular as a pinion of six: fewer teeth need more to speak for them
  const worth = (r: RingReading): number => (r.teeth <= 8 ? 0.6 : 1) * r.certainty * Math.max(0, r.evidence.score) ** 2;
  read.sort((a, b) => worth(b) - worth(a));
  const first = read[0];
  const wheel = first && read.find((r) => sizeOf(r.plane) > 1.02 * sizeOf(first.plane) && r.teeth > 1.5 * first.teeth && inside(r.plane, first.plane) && r.certainty > 0.6 && r.evidence.score > 0.85);
  if (wheel) return [wheel, ...read.filter((r) => r !== wheel)];
  // a wheel half seen around a pinion is what was meant, and is not sure
  const half = first && read.find((r) => sizeOf(r.plane) > 1.3 * sizeOf(first.plane) && r.teeth > 1.5 * first.teeth && inside(r.plane, first.plane) && r.evidence.score > 0.62 && r.evidence.seen > 0.6);
  return half ? [half, ...read.filter((r) => r !== half)] : read;
}

/** What `gear read` answers. See docs/formats.md. */
export interface GearReading {
  readonly teeth: number | null;
  readonly confidence: number;
  readonly candidates: readonly { teeth: number; confidence: number }[];
  readonly missing: { readonly count: number; readonly runs: readonly { from: number; length: number }[] };
  readonly tilt: number;
  readonly centre: readonly [number, number] | null;
  readonly tipDiameterPx: number | null;
  readonly tipDiameter: number | null;
  /** why there is no count, in a sentence */
  readonly says?: string;
}

/** Under this certainty no count is given. */
export const SURE = 0.5;

export interface PictureReading {
  readonly answer: GearReading;
  readonly ring: RingReading | null;
  readonly rings: readonly RingReading[];
}

export function readGear(picture: Picture, tell: Progress = () => undefined): PictureReading {
  checkPicture(picture);
  tell(0, "making it smaller");
  const middle = planesOf(picture, MIDDLE);
  const rings = ringReadings(middle, tell);
  const first = rings[0];
  void Fault;
  const k = picture.width / middle.width;
  const big = rings.map((r) => ({ ...r, plane: scaled(r.plane, k) }));
  return { answer: answerFrom(big, first ? inside : inside), ring: big[0] ?? null, rings: big };
}

const round = (x: number, n: number): number => Math.round(x * 10 ** n) / 10 ** n;

function answerFrom(rings: readonly RingReading[], within: typeof inside): GearReading {
  const first = rings[0];
  if (!first) return { teeth: null, confidence: 0, candidates: [], missing: { count: 0, runs: [] }, tilt: 0, centre: null, tipDiameterPx: null, tipDiameter: null, says: "There is no ring of teeth in this picture." };
  const second = rings.find((r) => r !== first && r.certainty > 0.6 && r.teeth > 8 && !within(first.plane, r.plane) && sizeOf(r.plane) > 0.75 * sizeOf(first.plane));
  const sure = first.certainty >= SURE && !second;
  const axes = axesOf(first.plane);
  const gone = first.slots.slots.map((t) => t.state === "missing");
  return {
    teeth: sure ? first.teeth : null,
    confidence: round(first.certainty, 3),
    candidates: rings.slice(0, 3).map((r) => ({ teeth: r.teeth, confidence: round(r.certainty, 3) })),
    missing: { count: gone.filter(Boolean).length, runs: runsOf(gone) },
    tilt: round(axes.tiltDeg, 1),
    centre: [round(first.plane.centre[0], 1), round(first.plane.centre[1], 1)],
    tipDiameterPx: round(2 * axes.long, 1),
    tipDiameter: null,
    ...(second ? { says: "Two gears of about one size are in this picture: take one away, or cut the picture to the one that is meant." } : sure ? {} : { says: "Not sure enough to give a count: the candidates stand below." }),
  };
}

/** Runs of `true` around a ring, each with its first place. */
export function runsOf(ring: readonly boolean[]): { from: number; length: number }[] {
  const n = ring.length;
  const start = ring.indexOf(false);
  if (start < 0) return n ? [{ from: 0, length: n }] : [];
  const out: { from: number; length: number }[] = [];
  let from = -1;
  for (let i = 1; i <= n; i++) {
    const k = (start + i) % n;
    if (ring[k] && from < 0) from = i;
    if (!ring[k] && from >= 0) {
      out.push({ from: (start + from) % n, length: i - from });
      from = -1;
    }
  }
  return out.sort((a, b) => a.from - b.from);
}
