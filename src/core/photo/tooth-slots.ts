import { type FacePlane, resized } from "./face-plane";
import { median } from "./median";
import type { Planes } from "./picture";
import { toothDepth } from "./ring-rhythm";
import { faceLikeness, type Strip, unrolled } from "./strip";
import { type WornFlank, wornFlanks } from "./worn-flanks";

export type SlotState = "there" | "missing" | "short" | "hidden";

/** One place where a tooth belongs. */
export interface ToothSlot {
  readonly state: SlotState;
  /** angle of the tooth's middle in the face, radians clockwise on screen from the face's x */
  readonly angle: number;
  /** how much of a tooth is seen there: about 1 for a whole tooth, about 0 for none */
  readonly filled: number;
  /** how far it looks like the teeth nearest to it, from flank to flank: -1 to 1 */
  readonly alike: number;
  /** a flank that has lost metal, seen with the tooth upright */
  readonly worn?: WornFlank;
}

export interface ToothSlots {
  readonly slots: readonly ToothSlot[];
  /** how plainly teeth and the gaps beside them differ in their likeness to the face, 0 to 1 */
  readonly separation: number;
  /** the plane with its radius 1 at the tips as they are seen, and the root circle's share of it */
  readonly plane: FacePlane;
  readonly rootShare: number;
  /** one standard deviation of the tip and the root radius as measured, in tip radii */
  readonly tipSpread: number;
  readonly rootSpread: number;
  /**
   * how much of what lies beyond the tips looks like the face: a ring of holes has the face all around it, a
   * gear has not
   */
  readonly beyond: number;
}

/** With this share of a place of a colour that is neither gear nor bench, something lies on it. */
const FOREIGN = 0.12;
/** Columns a tooth is looked at in. */
const PER = 24;

/** Kept between 0 and 1. */
export const share01 = (x: number): number => Math.max(0, Math.min(1, x));

/** Worked out when it is first asked for. */
function once<T>(of: () => T): () => T {
  let known: { readonly is: T } | undefined;
  return () => {
    known ??= { is: of() };
    return known.is;
  };
}

/** Mean of a strip's plane over some columns of a slot and some rows. */
function meanOver(s: Strip, plane: Float32Array, rows: readonly number[], from: number, to: number): number {
  let sum = 0;
  let n = 0;
  for (const i of rows)
    for (let j = from; j <= to; j++) {
      const v = plane[i * s.columns + (((j % s.columns) + s.columns) % s.columns)] as number;
      if (Number.isNaN(v)) continue;
      sum += v;
      n++;
    }
  return n ? sum / n : Number.NaN;
}

/** A statistic (the median, if none is said) over the slots within `reach` of one, itself left out. */
function around(
  x: ArrayLike<number>,
  k: number,
  reach: number,
  of: (near: number[]) => number = median,
): number {
  const n = x.length;
  const near: number[] = [];
  for (let d = 1; d <= Math.min(reach, (n - 1) >> 1); d++)
    near.push(x[(k + d) % n] as number, x[(k - d + n) % n] as number);
  return of(near);
}

/**
 * Looks at every place of a ring where a tooth belongs. A tooth is like the face it stands on; a gap is not.
 * A place that is like neither (grease, a
 * screw) is hidden: there is no reason to call its tooth gone.
 * @param visible angles where the ring is known to be in sight, if it is known; elsewhere a tooth is gone
 *   only where face and bench look as they do there
 */
export function toothSlots(
  p: Planes,
  plane: FacePlane,
  teeth: number,
  visible: (angle: number) => boolean = () => true,
): ToothSlots {
  const depth = Math.min(0.5, toothDepth(teeth));
  const radii = Float64Array.from({ length: 28 }, (_, i) => 1 + depth * (0.75 - 0.1 * i));
  const columns = teeth * PER;
  const strip = unrolled(p, plane, radii, columns);
  const like = faceLikeness(strip, depth, PER);
  const rowsBetween = (from: number, to: number): number[] =>
    [...radii.keys()].filter(
      (i) => (1 - (radii[i] as number)) / depth >= from && (1 - (radii[i] as number)) / depth <= to,
    );
  const middle = rowsBetween(0.2, 0.75);

  // the phase in which the ring is most like the face is the middle of the teeth
  let re = 0;
  let im = 0;
  for (let t = 0; t < PER; t++) {
    let sum = 0;
    for (const i of middle)
      for (let j = t; j < columns; j += PER) {
        const v = like[i * columns + j] as number;
        if (!Number.isNaN(v)) sum += v;
      }
    re += sum * Math.cos((2 * Math.PI * t) / PER);
    im += sum * Math.sin((2 * Math.PI * t) / PER);
  }
  const shift = Math.round((Math.atan2(im, re) / (2 * Math.PI)) * PER);
  const q = Math.round(PER * 0.17);

  const tooth = Float64Array.from({ length: teeth }, (_, k) =>
    meanOver(strip, like, middle, k * PER + shift - q, k * PER + shift + q),
  );
  const gap = Float64Array.from({ length: teeth }, (_, k) =>
    meanOver(
      strip,
      like,
      rowsBetween(0.1, 0.6),
      k * PER + shift + PER / 2 - q,
      k * PER + shift + PER / 2 + q,
    ),
  );
  const inner = Float64Array.from({ length: teeth }, (_, k) =>
    meanOver(strip, like, rowsBetween(0.6, 0.95), k * PER + shift - q, k * PER + shift + q),
  );
  const outer = Float64Array.from({ length: teeth }, (_, k) =>
    meanOver(strip, like, rowsBetween(0.12, 0.45), k * PER + shift - q, k * PER + shift + q),
  );
  const wholeTooth = upperHalfMedian(tooth);
  const wholeInner = upperHalfMedian(inner);
  const openGap = median(gap);
  const share = (v: number, k: number, whole: number): number => {
    // what a whole tooth and an open gap are like hereabouts; the ring's own where too little is left
    const w = Math.max(0.75 * whole, Math.min(1, around(tooth, k, 5, upperHalfMedian)));
    const g = Math.min(around(gap, k, 3), 0.5 * (openGap + w));
    return (v - g) / Math.max(0.08, w - g);
  };
  const fills = Float64Array.from(tooth, (v, k) => share(v, k, wholeTooth));
  // as it is seen, and in its likeness to the face: a gap may be brighter than the teeth here and darker
  // there
  const seen = likeTeeth(strip.planes, columns, rowsBetween(0.1, 0.7), fills, shift);
  const alike = likeTeeth([like], columns, rowsBetween(0.1, 0.7), fills, shift).map((a, k) =>
    Math.max(a, seen[k] as number),
  );
  // where teeth and gaps differ plainly from each other, the colour has its say; where they hardly do, the
  // form alone
  const contrast = Float64Array.from(tooth, (v, k) => v - around(gap, k, 2));
  const trusts = Float64Array.from(contrast, (_, k) =>
    share01((Math.min(median(contrast), around(contrast, k, 4)) - 0.1) / 0.5),
  );
  // what a tooth's form is like here: plain in a sharp picture, less so in a blurred one
  const form = Math.max(0.45, median(alike) - 0.32);
  // what lies over a place is asked only where one seems empty: most rings have none
  const rowsOf = {
    foot: rowsBetween(1.12, 1.5),
    tooth: middle,
    gap: rowsBetween(0.1, 0.6),
    outside: rowsBetween(-0.5, -0.15),
  };
  const foreignness = once(() => foreignShare(strip, rowsOf, fills, shift, q));
  const foreign = (k: number): number => foreignness()(k);
  const covered = once(() =>
    coveredFeet(
      strip,
      rowsOf,
      teeth,
      shift,
      q,
      Array.from({ length: teeth }, (_, k) => visible((2 * Math.PI * (k * PER + shift)) / columns)),
    ),
  );
  const slots = Array.from(tooth, (_, k): ToothSlot => {
    const filled = fills[k] as number;
    const a = alike[k] as number;
    const angle = (2 * Math.PI * (k * PER + shift)) / columns;
    if (Number.isNaN(filled) || Number.isNaN(a))
      return { state: filled > 0.6 ? "there" : "hidden", angle, filled: filled || 0, alike: 0 };
    const trust = trusts[k] as number;
    const byColour = Math.max(-3, Math.min(3, (filled - 0.55) / 0.2));
    const byForm = Math.max(-2, Math.min(2, (a - form) / 0.13));
    // the more plainly the colours speak, the less the form has to say: a stub is formed like the foot of a
    // tooth, and grease on a tooth hides its form
    const told =
      trust > 0.4 && filled > 0.62
        ? a < 0.1
        : (trust > 0.4 && filled < 0.5) || (trust > 0.15 && filled < 0.2)
          ? a < 0.85
          : trust * byColour + (1 - 0.25 * trust) * byForm < 0;
    // as much gear as a whole tooth has, in a form that is a tooth's by half: its light is its own, or
    // something grey lies on it
    const unclear = filled > 0.68 && a > 0.3;
    if (told)
      return {
        state: foreign(k) > FOREIGN || covered()[k] || unclear ? "hidden" : "missing",
        angle,
        filled,
        alike: a,
      };
    const short =
      trust > 0.6 &&
      share(outer[k] as number, k, wholeTooth) < 0.3 &&
      share(inner[k] as number, k, wholeInner) > 0.6;
    return { state: short ? "short" : "there", angle, filled, alike: a };
  });
  const worn = wornFlanks({
    like,
    columns,
    per: PER,
    shift,
    rows: rowsBetween(0.1, 0.55),
    whole: slots.map((t) => t.state === "there"),
    contrast,
  });
  for (const [k, flank] of worn.entries())
    if (flank && foreign(k) <= FOREIGN) slots[k] = { ...(slots[k] as ToothSlot), worn: flank };
  const contrasts = slots.flatMap((t, k) =>
    t.state === "there" ? [(tooth[k] as number) - around(gap, k, 2)] : [],
  );
  const separation = contrasts.length ? median(contrasts) : 0;

  // where the teeth end and the gaps begin
  const tips: number[] = [];
  const roots: number[] = [];
  for (const [k, s] of slots.entries()) {
    if (s.state === "there") {
      const half = ((tooth[k] as number) + Math.min(around(gap, k, 3), 0.6 * (tooth[k] as number))) / 2;
      const at = crossing(
        radii,
        (i) => meanOver(strip, like, [i], k * PER + shift - 2, k * PER + shift + 2),
        half,
        0.5,
        depth,
      );
      if (at !== null) tips.push(at);
    }
    const half = (1 + (gap[k] as number)) / 2;
    const at = crossing(
      radii,
      (i) => meanOver(strip, like, [i], k * PER + shift + PER / 2 - 2, k * PER + shift + PER / 2 + 2),
      half,
      1.7,
      depth,
    );
    if (at !== null) roots.push(at);
  }
  const tip = tips.length > teeth / 4 ? median(tips) : 1;
  const root = roots.length > teeth / 4 ? median(roots) : 1 - depth;
  const beyondRows = rowsBetween(-0.7, -0.35);
  const beyond = median(
    Float64Array.from({ length: teeth }, (_, k) =>
      meanOver(strip, like, beyondRows, k * PER, k * PER + PER - 1),
    ),
  );
  // the first tooth is the first after twelve o'clock
  const start = slots.reduce(
    (best, s, k) => (clockwise(s.angle) < clockwise((slots[best] as ToothSlot).angle) ? k : best),
    0,
  );
  return {
    slots: [...slots.slice(start), ...slots.slice(0, start)],
    separation,
    plane: resized(plane, tip),
    rootShare: root / tip,
    tipSpread: spreadOf(tips, teeth),
    rootSpread: spreadOf(roots, teeth),
    beyond,
  };
}

/**
 * Places at whose foot, just inside the root, the face is not of the colour it has around, and which do not
 * show plain gap or bench: what lies over a
 * tooth mostly lies over the face there too.
 */
function coveredFeet(
  s: Strip,
  rowsOf: {
    readonly foot: readonly number[];
    readonly tooth: readonly number[];
    readonly gap: readonly number[];
    readonly outside: readonly number[];
  },
  teeth: number,
  shift: number,
  q: number,
  visible: readonly boolean[],
): boolean[] {
  const across = (rows: readonly number[], from: number): Float64Array[] =>
    s.planes.map((p) =>
      Float64Array.from({ length: teeth }, (_, k) =>
        meanOver(s, p, rows, k * PER + shift + from - q, k * PER + shift + from + q),
      ),
    );
  const feet = across(rowsOf.foot, 0);
  const zones = across(rowsOf.tooth, 0);
  const open = [across(rowsOf.gap, PER / 2), across(rowsOf.outside, 0)];
  // the nearest places that are in sight, four on each side where all are
  const nearest = visible.map((_, k) => {
    const near: number[] = [];
    for (let d = 1; d <= teeth / 2 && near.length < 8; d++)
      for (const j of [(k + d) % teeth, (k - d + teeth) % teeth]) if (visible[j]) near.push(j);
    return near;
  });
  const distance = (a: readonly Float64Array[], b: readonly Float64Array[], k: number): number =>
    Math.hypot(
      ...a.map(
        (x, c) =>
          (x[k] as number) - median((nearest[k] as number[]).map((j) => (b[c] as Float64Array)[j] as number)),
      ),
    );
  const oddOnes = (of: readonly Float64Array[]): boolean[] => {
    const off = Float64Array.from({ length: teeth }, (_, k) => distance(of, of, k));
    const odd = Math.max(16, 4 * median(off.filter((_, k) => visible[k])));
    return Array.from(off, (o) => o > odd);
  };
  const foot = oddOnes(feet);
  const outside = oddOnes(open[1] as Float64Array[]);
  return visible.map(
    (seen, k) =>
      (seen
        ? foot[k] && Math.min(...open.map((b) => distance(zones, b, k))) > 15
        : foot[k] || outside[k]) as boolean,
  );
}

/**
 * How much of a place has a colour that can be neither the gear's nor that of the gaps around it nor the
 * bench's, in any light from deep shadow to a little brighter
 * than both, nor a blend of two of them: something else lies there. All of it, where the place is so on the
 * whole. Asked place by place, as few need it.
 */
function foreignShare(
  s: Strip,
  rowsOf: {
    readonly foot: readonly number[];
    readonly tooth: readonly number[];
    readonly gap: readonly number[];
    readonly outside: readonly number[];
  },
  fills: Float64Array,
  shift: number,
  q: number,
): (place: number) => number {
  const teeth = fills.length;
  const [p0, p1, p2] = s.planes;
  const colour = (rows: readonly number[], at: number): Colour => [
    meanOver(s, p0, rows, at - q, at + q),
    meanOver(s, p1, rows, at - q, at + q),
    meanOver(s, p2, rows, at - q, at + q),
  ];
  const own = Array.from(fills, (_, k) => colour(rowsOf.tooth, k * PER + shift));
  const gaps = Array.from(fills, (_, k) => colour(rowsOf.gap, k * PER + shift + PER / 2));
  const outside = Array.from(fills, (_, k) => colour(rowsOf.outside, k * PER + shift));
  const usual = (of: readonly Colour[]): Colour => [
    median(of.map((v) => v[0])),
    median(of.map((v) => v[1])),
    median(of.map((v) => v[2])),
  ];
  const gear = usual(own.filter((_, k) => (fills[k] as number) > 0.7));
  return (k) => {
    // its own two gaps may lie under the same thing
    const walls = usual(
      [2, 3, 4, 5].flatMap((d) => [
        gaps[(k + d) % teeth] as Colour,
        gaps[(k - d - 1 + 2 * teeth) % teeth] as Colour,
      ]),
    );
    // between teeth the gear's own wall may hide the bench, that is seen where a tooth is gone
    const bench = usual(
      [0, 1, 2, 3].flatMap((d) => [
        outside[(k + d) % teeth] as Colour,
        outside[(k - d + teeth) % teeth] as Colour,
      ]),
    );
    const off = (v: Colour): number =>
      Math.min(offBlend(v, gear, walls), offBlend(v, gear, bench), offBlend(v, walls, bench));
    if (off(own[k] as Colour) > 20) return 1;
    let foreign = 0;
    let n = 0;
    for (const i of [...rowsOf.foot, ...rowsOf.tooth])
      for (let j = -PER / 2; j < PER / 2; j += 2) {
        const col = (((k * PER + shift + j) % s.columns) + s.columns) % s.columns;
        const at = i * s.columns + col;
        const v: Colour = [p0[at] as number, p1[at] as number, p2[at] as number];
        if (Number.isNaN(v[0])) continue;
        n++;
        if (off(v) > 20) foreign++;
      }
    return n ? foreign / n : 0;
  };
}

type Colour = readonly [number, number, number];

/** Distance of a colour from the nearest α·a + β·b with α, β ≥ 0 and α + β ≤ 1.3. */
function offBlend([v0, v1, v2]: Colour, [a0, a1, a2]: Colour, [b0, b1, b2]: Colour): number {
  let min = Number.POSITIVE_INFINITY;
  for (let i = 0; i <= 12; i++) {
    // along the way from a to b, then as bright as suits it best
    const [m0, m1, m2] = [a0 + ((b0 - a0) * i) / 12, a1 + ((b1 - a1) * i) / 12, a2 + ((b2 - a2) * i) / 12];
    const k = Math.max(0, Math.min(1.3, (v0 * m0 + v1 * m1 + v2 * m2) / (m0 * m0 + m1 * m1 + m2 * m2 || 1)));
    min = Math.min(min, (v0 - k * m0) ** 2 + (v1 - k * m1) ** 2 + (v2 - k * m2) ** 2);
  }
  return Math.sqrt(min);
}

/**
 * How far each place looks like the teeth nearest to it: its correlation with their median over a pitch, row
 * by row about the row's own mean, so
 * that only what stands from flank to flank counts.
 */
function likeTeeth(
  planes: readonly Float32Array[],
  columns: number,
  rows: readonly number[],
  fills: Float64Array,
  shift: number,
): Float64Array {
  const teeth = fills.length;
  const size = rows.length * PER * planes.length;
  const patches = Array.from({ length: teeth }, (_, k) => {
    const patch = new Float32Array(size);
    const begin = k * PER + shift - PER / 2 + columns;
    let at = 0;
    for (const plane of planes)
      for (const i of rows) {
        let mean = 0;
        const from = at;
        for (let j = 0; j < PER; j++) {
          const v = plane[i * columns + ((begin + j) % columns)] as number;
          patch[at++] = v;
          mean += v / PER;
        }
        for (let j = from; j < at; j++) patch[j] = (patch[j] as number) - mean;
      }
    return patch;
  });
  const enough = Math.max(5, Math.min(12, Math.round(teeth / 3)));
  // a patch without a place outside the picture
  const complete = patches.map((patch) => !patch.includes(Number.NaN));
  return Float64Array.from(patches, (patch, k) => {
    const seen: Float32Array[] = [];
    for (let d = 1; d <= teeth / 2 && seen.length < enough; d++)
      for (const j of d * 2 === teeth ? [(k + d) % teeth] : [(k + d) % teeth, (k - d + teeth) % teeth])
        if ((fills[j] as number) > 0.5 && complete[j]) seen.push(patches[j] as Float32Array);
    if (!complete[k]) return Number.NaN;
    if (seen.length < 2) return 0;
    let ab = 0;
    let aa = 0;
    let bb = 0;
    const values = new Float64Array(seen.length);
    for (let i = 0; i < size; i++) {
      // put in order as they come: there are a dozen at most
      for (let j = 0; j < seen.length; j++) {
        const v = (seen[j] as Float32Array)[i] as number;
        let at = j;
        for (; at > 0 && (values[at - 1] as number) > v; at--) values[at] = values[at - 1] as number;
        values[at] = v;
      }
      const usual = ((values[(seen.length - 1) >> 1] ?? 0) + (values[seen.length >> 1] ?? 0)) / 2;
      const own = patch[i] as number;
      ab += own * usual;
      aa += own * own;
      bb += usual * usual;
    }
    return ab / (Math.sqrt(aa * bb) || 1);
  });
}

/** How far round from twelve o'clock, clockwise on screen. */
const clockwise = (angle: number): number =>
  (((angle + Math.PI / 2) % (2 * Math.PI)) + 2 * Math.PI) % (2 * Math.PI);

/**
 * What one standard deviation of a median of radii is, in tip radii: from their own scatter, and never under
 * a thousandth or so.
 */
const spreadOf = (x: readonly number[], teeth: number): number =>
  x.length > teeth / 4
    ? Math.hypot((1.25 * 1.48 * median(x.map((v) => Math.abs(v - median(x))))) / Math.sqrt(x.length), 0.004)
    : 0.03;

const upperHalfMedian = (x: ArrayLike<number>): number => {
  const s = Float64Array.from(x)
    .filter((v) => !Number.isNaN(v))
    .sort();
  return s.length ? (s[Math.floor(s.length * 0.7)] as number) : Number.NaN;
};

/**
 * Going outwards from `start` (depths of a tooth below the tip), the radius at which a profile first falls
 * below `half`.
 */
function crossing(
  radii: ArrayLike<number>,
  value: (i: number) => number,
  half: number,
  start: number,
  depth: number,
): number | null {
  let last = Number.NaN;
  for (let i = radii.length - 1; i >= 0; i--) {
    const r = radii[i] as number;
    if ((1 - r) / depth > start) continue;
    const v = value(i);
    if (v < half)
      return Number.isNaN(last)
        ? null
        : r - ((half - v) / Math.max(1e-6, last - v)) * (r - (radii[i + 1] as number));
    last = v;
  }
  return null;
}
