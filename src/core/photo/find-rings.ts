import { centreVotes } from "./centre-votes";
import { type FacePlane, scaled, sizeOf, toFace } from "./face-plane";
import { type Planes, reduced } from "./picture";
import { PLAINLY, type RingReading, ringReading, seenInPart, WHOLE, weighedByPart } from "./ring-reading";
import { centred, type RingRhythm, ringRhythms } from "./ring-rhythm";
import { silhouettes } from "./silhouettes";
import { share01 } from "./tooth-slots";
import { followed, type TrackFit } from "./track-fit";

/** Told how far the work is, 0 to 1, and what is being done. */
export type Progress = (share: number, says: string) => void;

/** Longest side in which round things are looked for, pixels. */
const SMALL = 240;

/**
 * A ring that does not lie quite still is pushed a little every way and followed again: it may have been
 * caught beside its place.
 */
export function restless(p: Planes, ring: TrackFit): TrackFit {
  let best = ring;
  for (const share of [0.05, 0.1])
    for (let i = 0; i < 6 && best.score < 0.96; i++) {
      const push = share * sizeOf(best.plane);
      const [x, y] = best.plane.centre;
      const plane = {
        ...best.plane,
        centre: [x + push * Math.cos((i * Math.PI) / 3), y + push * Math.sin((i * Math.PI) / 3)] as const,
      };
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
  Math.hypot(a.centre[0] - b.centre[0], a.centre[1] - b.centre[1]) < share * sizeOf(b) &&
  Math.abs(Math.log(sizeOf(a) / sizeOf(b))) < 1.5 * share;

/** Is a spot (a plane's centre) inside a ring? */
export const inside = (ring: FacePlane, other: FacePlane): boolean =>
  Math.hypot(...toFace(ring, other.centre)) < 0.9;

/** Good enough to look no further. */
export const plain = (r: RingReading): boolean =>
  r.certainty > 0.9 && r.evidence.score > 0.94 && r.evidence.depth > 0.8 && r.evidence.depth < 1.25;

/**
 * Sure of itself, most of its places in sight, none of its numbers odd: other places are not searched for a
 * better one, though it may be laid better.
 */
const enough = ({ certainty, evidence: e }: RingReading): boolean =>
  certainty > 0.95 &&
  e.score > 0.85 &&
  e.margin > 0.08 &&
  e.seen > 0.85 &&
  e.standing > 0.6 &&
  e.depth > 0.8 &&
  e.depth < 1.25;

/** A second ring of this share of the first's size leaves open which of the two was meant. */
export const ANOTHER = 0.75;

/** A rhythm as plain as this is followed at once. */
const PROMISING = 0.35;
/** Of this score is a ring that nothing lies over. */
const NOTHING_OVER_IT = 0.95;
/** So much of a plain ring is in sight where a few teeth are gone, or grease lies on them. */
const ALL_BUT_A_FEW = 0.9;

/** What is left of a certainty that no part was asked to bear out. */
const UNTRIED = 0.65;

/**
 * Where no ring is plain all around, something may hide a part of it, or the picture ends: the likeliest are
 * read from what is seen of them.
 */
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
      if (
        g === r ||
        (near(g.plane, now.plane, 0.06) &&
          g.evidence.score < WHOLE &&
          g.certainty > now.certainty &&
          Math.abs(g.teeth - now.teeth) < 4)
      )
        read[i] = now;
  }
  // what hides a side of a gear can leave a smaller round that hardly agrees: of one that was not looked at
  // in part, that is not enough
  for (const [i, r] of read.entries())
    if (!r.evidence.arc && !tried.includes(r) && r.evidence.score < WHOLE && r.evidence.margin < PLAINLY)
      read[i] = { ...r, certainty: r.certainty * UNTRIED };
}

/**
 * The rings of teeth in a picture, each with its certainty, the one that counts first: the plainest, or the
 * wheel around it (a pinion on top of a
 * wheel is not what was asked for). First what stands out from the bench is followed; if that is not plain,
 * every place that edges point at.
 */
export function ringReadings(middle: Planes, tell: Progress = () => undefined): RingReading[] {
  const small = reduced(middle, SMALL);
  const k = middle.width / small.width;
  const reach = 0.75 * Math.max(middle.width, middle.height);
  const read: RingReading[] = [];
  const take = (ring: TrackFit): void => {
    if (ring.score > 0.4 && !read.some((g) => g.teeth === ring.teeth && near(g.plane, ring.plane, 0.02)))
      read.push(ringReading(middle, ring));
  };
  // within a plain ring only what is larger is worth a look: its hub, its holes and itself once more are not
  // asked for
  const settled = (f: FacePlane, larger = 1.1): boolean =>
    read.some((g) => plain(g) && inside(g.plane, f) && sizeOf(f) < larger * sizeOf(g.plane));
  const tracks = new Map<RingRhythm, TrackFit>();
  const track = (r: RingRhythm): TrackFit => {
    const old = tracks.get(r);
    if (old) return old;
    const ring = followed(middle, r.plane, r.teeth, 2);
    tracks.set(r, ring);
    if (ring.score > 0.9) take(ring);
    return ring;
  };
  const follow = (rings: readonly RingRhythm[], from: number, to: number): void => {
    for (const [i, r] of rings.entries()) {
      if (settled(r.plane)) continue;
      tell(from + ((to - from) * i) / rings.length / 2, "following the teeth around");
      track(r);
    }
    // beside a plain gear only another that is about as large is of interest: then nobody knows which was
    // meant
    const [sure] = read.filter(enough);
    const left = sure
      ? rings.filter(
          (r) =>
            !inside(sure.plane, r.plane) &&
            sizeOf(r.plane) > ANOTHER * sizeOf(sure.plane) &&
            r.teeth > 8 &&
            r.plainness > 0.25 &&
            track(r).score < 0.9,
        )
      : rings;
    if (sure && left.length === 0) return;
    // none lies still by itself: the best are centred on their rhythm first, then pushed about
    const slow = [...left].sort((a, b) => track(b).score - track(a).score).slice(0, sure ? 1 : 3);
    for (const [n, r] of slow.entries()) {
      tell(from + (to - from) * (0.5 + n / slow.length / 2), "following the teeth around");
      const c = centred(middle, r);
      const again = followed(middle, c.plane, c.teeth, 3);
      const better = again.score > track(r).score ? again : track(r);
      take(better.score > 0.45 && better.score < 0.96 ? restless(middle, better) : better);
      if (read.some(enough)) return;
    }
  };
  // a small ring may sit on a wheel that did not stand out: look around it before it is believed
  const around = (): void => {
    const best = read.filter((r) => r.certainty > 0.6).sort((a, b) => sizeOf(b.plane) - sizeOf(a.plane))[0];
    if (!best || best.teeth > 26 || sizeOf(best.plane) > 0.13 * middle.width) return;
    const rings = voted().filter(
      (r) => inside(best.plane, r.plane) && sizeOf(r.plane) > 1.35 * sizeOf(best.plane),
    );
    for (const r of distinct(rings, 3)) {
      const c = centred(middle, r);
      take(followed(middle, c.plane, c.teeth, 3));
    }
  };
  let votes: RingRhythm[] | undefined;
  const voted = (): RingRhythm[] => {
    votes ??= centreVotes(small).flatMap((v) =>
      ringRhythms(
        middle,
        { ...v.plane, centre: [v.plane.centre[0] * k, v.plane.centre[1] * k] },
        12,
        reach,
        5,
      ),
    );
    return votes;
  };
  tell(0.05, "looking for round things");
  const rings: RingRhythm[] = [];
  const faces = silhouettes(small).map((f) => scaled(f, k));
  for (const [i, face] of faces.entries()) {
    tell(0.05 + (0.15 * (i + 1)) / faces.length, "following the teeth around");
    // what stands out is seen at several levels, a little larger or smaller each time: the first one that
    // leads to a plain ring is enough
    if (settled(face, 1.2)) continue;
    const found = ringRhythms(middle, face, 0.7, 1.3, 2);
    rings.push(...found);
    if (found[0] && found[0].plainness > PROMISING) track(found[0]);
  }
  const start = distinct(
    rings.filter((r) => !settled(r.plane)),
    4,
  );
  follow(start, 0.2, 0.45);
  if (!read.some(enough)) {
    tell(0.45, "looking for centres");
    follow(
      distinct([...rings, ...voted()], 8).filter((r) => !start.includes(r)),
      0.6,
      0.9,
    );
  }
  around();
  const inSight = (r: RingReading): boolean =>
    (r.certainty > 0.5 && r.evidence.score > NOTHING_OVER_IT) ||
    (plain(r) && r.evidence.seen > ALL_BUT_A_FEW);
  if (!read.some(inSight)) readInPart(middle, read, tell);
  // a ring of six holes is as regular as a pinion of six: fewer teeth need more to speak for them
  const worth = (r: RingReading): number =>
    (r.teeth <= 8 ? 0.6 : 1) * r.certainty * Math.max(0, r.evidence.score) ** 2;
  // where none is worth anything, a gear of which a part is seen comes before what is none
  read.sort((a, b) => worth(b) - worth(a) || Number(seenInPart(b)) - Number(seenInPart(a)));
  const [first] = read;
  const wheelAround = (larger: number, ok: (r: RingReading) => boolean): RingReading | undefined =>
    first &&
    read.find(
      (r) =>
        sizeOf(r.plane) > larger * sizeOf(first.plane) &&
        r.teeth > 1.5 * first.teeth &&
        inside(r.plane, first.plane) &&
        ok(r),
    );
  // where two layings of the same teeth give two counts, the better bears the other's doubt: the fewer teeth
  // agree better, the more
  const contested = (r: RingReading): RingReading => {
    const doubts = read.map((o) =>
      o.teeth !== r.teeth && o.certainty < r.certainty && near(o.plane, r.plane, 0.15)
        ? o.certainty * share01(1 - ((r.evidence.score - o.evidence.score) * r.teeth) / 2)
        : 0,
    );
    // the holes of a web repeat as plainly as the teeth of a pinion: of so few nothing is believed while a
    // wheel may lie around them
    const holes =
      r.teeth <= 8 &&
      read.some(
        (o) =>
          o.teeth > 3 * r.teeth &&
          o.evidence.score > 0.6 &&
          inside(o.plane, r.plane) &&
          sizeOf(o.plane) > sizeOf(r.plane),
      );
    return { ...r, certainty: r.certainty * (1 - Math.max(...doubts)) * (holes ? 0.4 : 1) };
  };
  // one that is half seen around a pinion is what was meant too, and is not sure
  const wheel =
    wheelAround(1.02, (r) => r.certainty > 0.6 && r.evidence.score > 0.85) ??
    wheelAround(1.3, (r) => r.evidence.score > 0.62 && r.evidence.seen > 0.6);
  return (wheel ? [wheel, ...read.filter((r) => r !== wheel)] : read).map(contested);
}
