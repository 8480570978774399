/** Where a screw sits on a flange, in a unit square, and when its turn comes (from 1). */
export interface FlangeScrew {
  readonly x: number;
  readonly y: number;
  readonly turn: number;
}

/**
 * The order for the screws of a flange: four or more crosswise, each next one opposite the last, or as nearly
 * opposite as an odd number of holes allows (the star of a wheel with five).
 * Fewer than four have no order worth drawing.
 *
 * @param count screws, 4 to 12 are drawn
 * @example tighteningOrder(4).map((s) => s.turn) // [1, 3, 2, 4]
 */
export function tighteningOrder(count: number): FlangeScrew[] {
  if (count < 4 || count > 12) return [];
  const angle = (i: number): number => (2 * Math.PI * (i + (count === 4 ? 0.5 : 0))) / count - Math.PI / 2;
  const half = Math.floor(count / 2);
  // opposite, then a quarter on, then opposite …; of an odd number always half the flange on, which comes to
  // every hole once
  const order =
    count % 2
      ? Array.from({ length: count }, (_, k) => (k * half) % count)
      : spread(half).flatMap((i) => [i, i + half]);
  return Array.from({ length: count }, (_, i) => {
    const [x, y] = [Math.cos(angle(i)), Math.sin(angle(i))];
    // out from the middle as far as the square's edge: four screws stand in its corners
    const edge = 0.5 / Math.max(Math.abs(x), Math.abs(y));
    return { x: 0.5 + edge * x, y: 0.5 + edge * y, turn: order.indexOf(i) + 1 };
  });
}

/**
 * The order for screws in a row: from the middle outwards, to either side in turn, so that what they hold is
 * not trapped between two ends.
 *
 * @param count screws, 3 to 12 are drawn
 * @example rowOrder(5).map((s) => s.turn) // [4, 2, 1, 3, 5]
 */
export function rowOrder(count: number): FlangeScrew[] {
  if (count < 3 || count > 12) return [];
  const order = fromTheMiddle(count);
  return Array.from({ length: count }, (_, i) => ({
    x: i / (count - 1),
    y: 0.5,
    turn: order.indexOf(i) + 1,
  }));
}

/** Places of a row from its middle outwards, to either side in turn. */
function fromTheMiddle(count: number): number[] {
  const middle = (count - 1) / 2;
  return Array.from({ length: count }, (_, i) => i).sort(
    (a, b) => Math.abs(a - middle) - Math.abs(b - middle) || a - b,
  );
}

/** Holes lie in a row where they stray from its line by less than this share of its length. */
const ROW_STRAY = 0.08;
/** Angles that are closer than this are taken for the same: holes are pointed at by hand, rad. */
const SAME_ANGLE = 0.12;

/**
 * The order for the screws of a flange as its holes really lie. Of a row from the middle outwards; else
 * crosswise: each first of a pair goes where the most room is between those
 * that are drawn, and the second of it opposite.
 *
 * @param at where the holes are, in any unit that is the same both ways
 * @returns the turn of each, from 1, in the order in which they were given; of fewer than three none
 * @example orderOfHoles([{ x: 0, y: 0 }, { x: 1, y: 0 }, { x: 1, y: 1 }, { x: 0, y: 1 }]) // { inARow: false,
 *   turns: [1, 3, 2, 4] }
 */
export function orderOfHoles(at: readonly { readonly x: number; readonly y: number }[]): {
  readonly inARow: boolean;
  readonly turns: readonly number[];
} {
  const n = at.length;
  if (n < 3) return { inARow: false, turns: [] };
  const mean = (of: (p: { x: number; y: number }) => number): number =>
    at.reduce((sum, p) => sum + of(p), 0) / n;
  const [cx, cy] = [mean((p) => p.x), mean((p) => p.y)];
  const axis =
    0.5 *
    Math.atan2(
      2 * mean((p) => (p.x - cx) * (p.y - cy)),
      mean((p) => (p.x - cx) ** 2) - mean((p) => (p.y - cy) ** 2),
    );
  const along = at.map((p) => (p.x - cx) * Math.cos(axis) + (p.y - cy) * Math.sin(axis));
  const aside = at.map((p) => Math.abs((p.y - cy) * Math.cos(axis) - (p.x - cx) * Math.sin(axis)));
  const length = Math.max(...along) - Math.min(...along);
  if (Math.max(...aside) <= ROW_STRAY * length) {
    const places = at.map((_, i) => i).sort((a, b) => (along[a] ?? 0) - (along[b] ?? 0));
    const order = fromTheMiddle(n).map((place) => places[place]);
    return { inARow: true, turns: at.map((_, i) => order.indexOf(i) + 1) };
  }
  const angle = at.map((p) => Math.atan2(p.y - cy, p.x - cx));
  const apart = (a: number, b: number): number => {
    const d = Math.abs((angle[a] ?? 0) - (angle[b] ?? 0)) % (2 * Math.PI);
    return Math.min(d, 2 * Math.PI - d);
  };
  const order = [0];
  while (order.length < n) {
    const last = order.at(-1) as number;
    const room = (i: number): number => Math.min(...order.map((o) => apart(i, o)));
    const isPartner = order.length % 2 === 1;
    const left = at.map((_, i) => i).filter((i) => !order.includes(i));
    // the second of a pair lies opposite; the next pair begins where most room is, and of two such places
    // where it is furthest from the last
    const [first, then] = isPartner
      ? [(i: number) => apart(i, last), room]
      : [room, (i: number) => apart(i, last)];
    const best = left.reduce((a, b) => {
      const more = first(b) - first(a);
      return more > SAME_ANGLE || (Math.abs(more) <= SAME_ANGLE && then(b) - then(a) > SAME_ANGLE) ? b : a;
    });
    order.push(best);
  }
  return { inARow: false, turns: at.map((_, i) => order.indexOf(i) + 1) };
}

/** On a gasket or an O-ring the screws are drawn down in passes, shares of the whole. */
export const SEAL_PASSES = [0.3, 0.6, 1] as const;

/**
 * The passes of screws that press a gasket or an O-ring, in words.
 *
 * @example passesInWords(2) // "in three passes, round and round: 0.6, 1.2, 2 N m"
 */
export function passesInWords(torqueNm?: number): string {
  const figures = SEAL_PASSES.map((p) =>
    torqueNm === undefined ? `${Math.round(p * 100)} %` : String(Number((p * torqueNm).toPrecision(2))),
  );
  return `in three passes, round and round: ${figures.join(", ")}${torqueNm === undefined ? "" : " N m"}`;
}

/** 0 … n−1 so that neighbours follow each other as far apart as can be: 0, n/2, n/4 … */
function spread(n: number): number[] {
  const out: number[] = [];
  const step = Math.max(1, Math.round(n / 2));
  for (let s = 0; s < step; s++) for (let i = s; i < n; i += step) out.push(i);
  return out;
}
