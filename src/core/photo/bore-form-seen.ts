import type { BoreForm } from "../gear/bore-form";
import { boreShapes, type Shape } from "./bore-shapes";
import { seenOver } from "./camera";
import { cellAt, type FaceColour, faceColour, type Patch, patchOf, strange } from "./face-patch";
import { type FacePlane, type Spot, sizeOf } from "./face-plane";
import type { Planes } from "./picture";

/** The form of a bore as it is seen in a picture. */
export interface SeenBoreForm {
  readonly form: BoreForm;
  readonly probability: number;
  /** of its circle, or half its width across flats, in tip radii */
  readonly share: number;
}

/** How a shape lies: its radius, its turn, where its middle is; all in the face's measure. */
interface Laid {
  readonly share: number;
  readonly turn: number;
  readonly x: number;
  readonly y: number;
}

/** Points along an edge, at first and at last. */
const COARSE = 56;
const FINE = 128;
/** Bores are looked for between these radii, in tip radii. */
const LEAST = 0.07;
const MOST = 0.46;
/** A step of the radius, as a share of it. */
const STEP = 1.07;
/** A hub stands up to so many tip radii over the face, or lies that much below it. */
const HIGH = 0.7;
const LOW = -0.1;
/**
 * Places on the way that a hub's bore may be seen at are this far apart, and so far to its sides, in tip
 * radii.
 */
const APART = 0.03;
const SIDES = [0, -0.04, 0.04] as const;
/** Where so little of a circle lies on an edge, no other form lies on one. */
const HOPELESS = 0.15;
/** From so much on a shape is taken for one. */
const SHAPE = 0.45;
/** A shape further in is the bore if it is so plain against the plainest. */
const INNER = 0.8;
/** What is inscribed in a circle, or goes around it, is so much smaller or larger. */
const SHRUNK = [0.84, 0.9, 0.95, 1, 1.05] as const;
/** A bore of this radius is plain, pixels. */
const PLAIN_PX = 30;
/** How much a share of the edge says: the logarithm of the odds for the whole of it. */
const WEIGHT = 40;

/**
 * Which form the bore has, the likeliest first. The face around a bore is of one colour, what is seen in the
 * bore is of any other: each form is laid into the middle in every size, turn and place, and what counts is
 * how much of its edge has the face's colour just outside and another just inside. So neither
 * a hub around the bore, which is of the face's colour inside too, nor what lies in the bore is taken for its
 * edge. A hub that stands up is seen beside the middle, along the way in which the camera leans: there it is
 * looked for.
 *
 * @returns empty where nothing in the middle looks like a bore
 */
export function boreFormsOf(p: Planes, face: FacePlane): SeenBoreForm[] {
  const patch = patchOf(p, face);
  const places = placesOver(p, face);
  const pixel = 1 / sizeOf(face);
  // at first far enough from the edge to find it from nearby; then close to it as well, so that its place is
  // told
  const far = (share: number): number => Math.max(0.14 * share, 2.6 * pixel);
  const near = (share: number): readonly number[] => [
    Math.max(0.045 * share, 1.3 * pixel),
    Math.max(0.1 * share, 2.6 * pixel),
  ];
  const coarse = boreShapes(COARSE);
  const round = coarse[0] as Shape;
  /** of each form, at each size, where it fits best */
  const best = coarse.map((): { at: Laid; score: number }[] => []);
  for (let share = LEAST; share <= MOST; share *= STEP) {
    const tops = coarse.map((): { at: Laid; score: number } => ({
      at: { share, turn: 0, x: 0, y: 0 },
      score: 0,
    }));
    for (const [x, y] of places) {
      const colour = faceColour(patch, round.edge, { share: share * 1.3, x, y });
      const circle = edgeShare(patch, round.edge, { share, turn: 0, x, y }, [far(share)], colour);
      for (const [f, shape] of coarse.entries()) {
        if (f && circle < HOPELESS) break;
        const turns = shape.turn ? Math.max(3, Math.round(shape.turn / 9)) : 1;
        for (let i = 0; i < turns; i++) {
          const at: Laid = { share, turn: (i * shape.turn * Math.PI) / 180 / turns, x, y };
          const score = edgeShare(patch, shape.edge, at, [far(share)], colour);
          if (score > (tops[f] as { score: number }).score) tops[f] = { at, score };
        }
      }
    }
    for (const [f, top] of tops.entries()) best[f]?.push(top);
  }
  const peaks = (best[0] as { score: number }[]).map((_, i) =>
    Math.max(...best.map((b) => (b[i] as { score: number }).score)),
  );
  const highest = Math.max(...peaks);
  if (!(highest > SHAPE)) return [];
  // the innermost that is nearly as plain: a recess around the hub is no bore
  const at = peaks.findIndex((s, i) => s > Math.max(SHAPE, INNER * highest) && s >= (peaks[i + 1] ?? 0));
  const fine = boreShapes(FINE);
  const scored = (f: number, l: Laid): number => {
    const colour = faceColour(patch, round.edge, { ...l, share: l.share * 1.3 });
    return edgeShare(patch, (fine[f] as Shape).edge, l, near(l.share), colour);
  };
  const coarseBest = (f: number): Laid => {
    const around = (best[f] as { at: Laid; score: number }[]).slice(Math.max(0, at - 4), at + 5);
    return around.reduce((a, b) => (b.score > a.score ? b : a)).at;
  };
  const circle = climbed((l) => scored(0, l), coarseBest(0));
  const weighed = coarse.map((shape, f) => {
    if (!f) return { form: shape.form, share: circle.at.share, score: circle.score, often: shape.often };
    // from where it was found by itself, and from the circle in any turn
    const turns = Math.max(4, Math.round(shape.turn / 5));
    const turned = SHRUNK.flatMap((k) =>
      Array.from(
        { length: turns },
        (_, i): Laid => ({
          ...circle.at,
          share: circle.at.share * k,
          turn: (i * shape.turn * Math.PI) / 180 / turns,
        }),
      ),
    );
    const fromCircle = turned.reduce(
      (a, l) => {
        const score = scored(f, l);
        return score > a.score ? { l, score } : a;
      },
      { l: circle.at, score: Number.NEGATIVE_INFINITY },
    ).l;
    const ends = [coarseBest(f), fromCircle].map((l) => climbed((x) => scored(f, x), l));
    const end = ends.reduce((a, b) => (b.score > a.score ? b : a));
    return { form: shape.form, share: end.at.share, score: end.score, often: shape.often };
  });
  // of a bore that is a few pixels across the edge says less
  const pixels = circle.at.share * sizeOf(face);
  const says = WEIGHT * Math.min(1, pixels / PLAIN_PX);
  const top = Math.max(...weighed.map((w) => w.score));
  const odds = weighed.map((w) => ({
    form: w.form,
    share: w.share,
    weight: w.often * Math.exp(says * (w.score - top)),
  }));
  const all = odds.reduce((s, w) => s + w.weight, 0);
  return odds
    .map(({ form, share, weight }) => ({ form, share, probability: weight / all }))
    .sort((a, b) => b.probability - a.probability);
}

/**
 * Places of the face where the middle of a hub's bore may be seen: along the way in which a camera sees the
 * face's normal, and a little to its sides.
 */
function placesOver(p: Planes, face: FacePlane): Spot[] {
  const over = seenOver(p.whole, face);
  const [u, v] = over(HIGH);
  const way = Math.hypot(u, v);
  const steps = Math.max(4, Math.ceil(way / APART));
  const side: Spot = way > 1e-6 ? [-v / way, u / way] : [1, 0];
  return Array.from({ length: steps + 1 }, (_, i) => over(LOW + ((HIGH - LOW) * i) / steps)).flatMap(
    ([x, y]) => SIDES.map((s): Spot => [x + s * side[0], y + s * side[1]]),
  );
}

/** How much of a laid shape's edge has the face's colour outside and another inside: 1 all of it. */
function edgeShare(
  patch: Patch,
  edge: Shape["edge"],
  at: Laid,
  offs: readonly number[],
  colour: FaceColour,
): number {
  const [c, s] = [Math.cos(at.turn), Math.sin(at.turn)];
  let sum = 0;
  for (const [x, y, nx, ny] of edge) {
    const [u, v] = [at.x + (x * c - y * s) * at.share, at.y + (x * s + y * c) * at.share];
    const [du, dv] = [nx * c - ny * s, nx * s + ny * c];
    for (const off of offs)
      sum +=
        strange(patch, cellAt(u - du * off, v - dv * off), colour) -
        strange(patch, cellAt(u + du * off, v + dv * off), colour);
  }
  return sum / edge.length / offs.length;
}

/** The best place nearby, by steps that grow smaller. */
function climbed(score: (at: Laid) => number, from: Laid): { at: Laid; score: number } {
  let at = from;
  let best = score(at);
  for (let step = 1; step > 0.1; step /= 2)
    for (let better = true; better; ) {
      better = false;
      for (const [key, by] of [
        ["share", 0.03 * at.share],
        ["turn", 0.08],
        ["x", 0.06 * at.share],
        ["y", 0.06 * at.share],
      ] as const)
        for (const sign of [-1, 1]) {
          const next = { ...at, [key]: at[key] + sign * by * step };
          const s = score(next);
          if (s > best + 1e-6) [at, best, better] = [next, s, true];
        }
    }
  return { at, score: best };
}
