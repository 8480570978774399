import { centreVotes } from "./centre-votes";
import { type FacePlane, scaled, sizeOf, toFace } from "./face-plane";
import { type Planes, reduced } from "./picture";
import { type RingReading, ringReading, seenInPart, WHOLE, weighedByPart } from "./ring-reading";
import { centred, type RingRhythm, ringRhythms } from "./ring-rhythm";
import { silhouettes } from "./silhouettes";
import { share01 } from "./tooth-slots";
import { followed, type TrackFit } from "./track-fit";

/** Told how far the work is, 0 to 1, and what is being done. */
export type Progress = (share: number, says: string) => void;

/** Longest side in which round things are looked for, pixels. */
const SMALL = 240;

/** A ring that does not lie quite still is pushed a little every way and followed again: it may have been caught beside its place. */
export function restless(p: Planes, ring: TrackFit): TrackFit {
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
function distinct(rings: readonly RingRhythm[], max: number): RingRhythm[] {
  const worth = (r: RingRhythm): number => r.plainness * Math.sqrt(sizeOf(r.plane));
  const picked: RingRhythm[] = [];
  for (const r of [...rings].sort((a, b) => worth(b) - worth(a))) {
    if (picked.length === max) break;
    if (!picked.some((g) => near(g.plane, r.plane, 0.06))) picked.push(r);
  }
  return picked;
}
const near = (a: FacePlane, b: FacePlane, share: number): boolean =>
  Math.hypot(a.centre[0] - b.centre[0], a.centre[1] - b.centre[1]) < share * sizeOf(b) && Math.abs(Math.log(sizeOf(a) / sizeOf(b))) < 1.5 * share;

/** Is a spot (a plane's centre) inside a ring? */
export const inside = (ring: FacePlane, other: FacePlane): boolean => Math.hypot(...toFace(ring, other.centre)) < 0.9;

/** Good enough to look no further. */
const plain = (r: RingReading): boolean => r.certainty > 0.9 && r.evidence.score > 0.94 && r.evidence.depth > 0.8 && r.evidence.depth < 1.25;

/** Of this score is a ring that nothing lies over. */
const NOTHING_OVER_IT = 0.95;

/** Where no ring is plain all around, something may hide a part of it, or the picture ends: the likeliest are read from what is seen of them. */
function readInPart(p: Planes, read: RingReading[], tell: Progress): void {
  const tried: RingReading[] = [];
  const likely = (r: RingReading): number => r.evidence.score * sizeOf(r.plane);
  for (const r of read.filter((r) => r.evidence.score > 0.6).sort((a, b) => likely(b) - likely(a))) {
    if (tried.length === 3 || tried.some((g) => near(g.plane, r.plane, 0.06))) continue;
    tried.push(r);
    tell(0.9 + tried.length * 0.03, "reading the part that is seen");
    const now = weighedByPart(p, r);
    if (now === r) continue;
    // others that are laid on the same teeth have no better knowledge of them
    for (const [i, g] of read.entries())
      if (g === r || (near(g.plane, now.plane, 0.06) && g.evidence.score < WHOLE && g.certainty > now.certainty && Math.abs(g.teeth - now.teeth) < 4))
        read[i] = now;
  }
}

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
    const best = read.filter((r) => r.certainty > 0.6).sort((a, b) => sizeOf(b.plane) - sizeOf(a.plane))[0];
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
    follow(
      distinct([...rings, ...voted()], 8).filter((r) => !start.includes(r)),
      0.6,
      0.9,
    );
  }
  around();
  if (!read.some((r) => r.certainty > 0.5 && r.evidence.score > NOTHING_OVER_IT)) readInPart(middle, read, tell);
  // a ring of six holes is as regular as a pinion of six: fewer teeth need more to speak for them
  const worth = (r: RingReading): number => (r.teeth <= 8 ? 0.6 : 1) * r.certainty * Math.max(0, r.evidence.score) ** 2;
  // where none is worth anything, a gear of which a part is seen comes before what is none
  read.sort((a, b) => worth(b) - worth(a) || Number(seenInPart(b)) - Number(seenInPart(a)));
  const [first] = read;
  const wheelAround = (larger: number, ok: (r: RingReading) => boolean): RingReading | undefined =>
    first && read.find((r) => sizeOf(r.plane) > larger * sizeOf(first.plane) && r.teeth > 1.5 * first.teeth && inside(r.plane, first.plane) && ok(r));
  // where two layings of the same teeth give two counts, the better bears the other's doubt: the fewer teeth agree better, the more
  const contested = (r: RingReading): RingReading => {
    const doubts = read.map((o) =>
      o.teeth !== r.teeth && o.certainty < r.certainty && near(o.plane, r.plane, 0.15)
        ? o.certainty * share01(1 - ((r.evidence.score - o.evidence.score) * r.teeth) / 2)
        : 0,
    );
    return { ...r, certainty: r.certainty * (1 - Math.max(...doubts)) };
  };
  // one that is half seen around a pinion is what was meant too, and is not sure
  const wheel =
    wheelAround(1.02, (r) => r.certainty > 0.6 && r.evidence.score > 0.85) ?? wheelAround(1.3, (r) => r.evidence.score > 0.62 && r.evidence.seen > 0.6);
  return (wheel ? [wheel, ...read.filter((r) => r !== wheel)] : read).map(contested);
}
