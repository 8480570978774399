import { axesOf, type FacePlane, resized } from "./face-plane";
import { solved } from "./least-squares";
import { type PhaseTrack, phaseTrack, ROOT_AT } from "./phase-track";
import type { Planes } from "./picture";
import { toothDepth } from "./ring-rhythm";

/** A count that fits a track, and how the plane must be moved for it. */
export interface TrackFit {
  readonly teeth: number;
  /** mean agreement of the windows with that count, -1 to 1 */
  readonly agreement: number;
  /** agreement less what the moves cost that it needed */
  readonly score: number;
  readonly plane: FacePlane;
}

/**
 * What is left over in each window after a fit: of the phase in radians of a tooth, of root and tip in tip
 * radii; NaN where nothing was seen.
 */
export interface Strays {
  readonly phases: Float64Array;
  /** the phases of all windows, also of those that had no say */
  readonly all: Float64Array;
  readonly roots: Float64Array;
  readonly tips: Float64Array;
}

const wrapped = (x: number): number => x - 2 * Math.PI * Math.round(x / (2 * Math.PI));

/** Spreads, in tip radii and shares of it: the moves that are believed, and of the perspective. */
const SPREAD = { centre: 0.08, stretch: 0.08, size: 0.15 } as const;

/**
 * How far the windows are believed: one standard deviation of a phase (radians of a tooth), and of where a
 * root or a tip is seen (tip radii).
 */
export interface WindowSpread {
  readonly phase: number;
  readonly root: number;
}

/** Of a ring that is not known yet: its windows may have anything lying over them. */
const wideSpread = (teeth: number): WindowSpread => ({
  phase: 0.6,
  root: 0.15 * Math.min(0.5, toothDepth(teeth)) + 0.006,
});

/**
 * How well a count fits a track. The rhythm at angle θ is ahead by (n − at)·θ, plus what a centre off by e
 * (first harmonic) and a face that is
 * leaned or stretched by s (second harmonic) make of it: φ = c + (n − at) θ + n (e_x sin θ − e_y cos θ + s_1
 * sin 2θ − s_2 cos 2θ).
 * The roots are seen at ρ = ρ₀ + e·u + u·S u − q·u with u = (cos θ, sin θ) and the perspective q. Both are
 * solved together by least squares: first
 * on the phases as they were unwrapped, then on what is left of them after wrapping, so that one wrong turn
 * mends itself.
 */
export function trackFit(
  track: PhaseTrack,
  plane: FacePlane,
  teeth: number,
  spread = wideSpread(teeth),
  terms = termsOf(track),
): TrackFit & { readonly strays: Strays } {
  const { angles, phases, weights, at, roots, rootWeights, tips } = track;
  const n = angles.length;
  const depth = Math.min(0.5, toothDepth(teeth));
  // nine terms: c, e_x, e_y, s_1, s_2, ρ₀, q_x, q_y, ρ₁; a phase has the first five, a root the next but one
  // and all but the first, a tip has ρ₁ for ρ₀
  const prior = [
    0,
    SPREAD.centre,
    SPREAD.centre,
    SPREAD.stretch,
    SPREAD.stretch,
    SPREAD.size,
    0,
    0,
    SPREAD.size,
  ].map((x) => (x ? 1 / x ** 2 : 0));
  const goal = [0, 0, 0, 0, 0, 1 - ROOT_AT * depth, -plane.q[0], -plane.q[1], 1];
  const sigma = spread.root;
  // perspective goes with the tilt, along the short axis: how far is not known, a hand's breadth or an arm's
  // length
  const axes = axesOf(plane);
  const [along, across] = [1 / 0.02 ** 2, 1 / (0.02 + 0.3 * Math.sin((axes.tiltDeg * Math.PI) / 180)) ** 2];
  const [dc, ds] = [Math.cos(axes.direction), Math.sin(axes.direction)];
  const qq = [
    along * dc * dc + across * ds * ds,
    (along - across) * dc * ds,
    along * ds * ds + across * dc * dc,
  ] as const;
  type Moves = ArrayLike<number>;
  const ahead = (x: Moves, k: number): number => {
    const t = 4 * k;
    return (
      (x[0] as number) +
      teeth *
        ((x[1] as number) * (terms[t + 1] as number) -
          (x[2] as number) * (terms[t] as number) +
          (x[3] as number) * (terms[t + 3] as number) -
          (x[4] as number) * (terms[t + 2] as number)) +
      (teeth - at) * (angles[k] as number)
    );
  };
  const circleAt = (x: Moves, k: number, which: 5 | 8): number => {
    const t = 4 * k;
    return (
      ((x[1] as number) - (x[6] as number)) * (terms[t] as number) +
      ((x[2] as number) - (x[7] as number)) * (terms[t + 1] as number) +
      (x[3] as number) * (terms[t + 2] as number) +
      (x[4] as number) * (terms[t + 3] as number) +
      (x[which] as number)
    );
  };
  const score = (x: Moves): { agreement: number; score: number } => {
    let sum = 0;
    let all = 0;
    let off = 0;
    let rootAll = 0;
    for (let k = 0; k < n; k++) {
      sum += (weights[k] as number) * Math.cos((phases[k] as number) - ahead(x, k));
      const r = ((roots[k] as number) - circleAt(x, k, 5)) / sigma;
      // a window without a rhythm is no proof of one, unless the face is seen to end at the root there: then
      // teeth are gone
      all += Math.max(
        (rootWeights[k] as number) === 1 && Math.abs(r) < 1.5 ? 0.2 : 0.5,
        weights[k] as number,
      );
      off += (rootWeights[k] as number) * Math.log1p(r * r);
      rootAll += rootWeights[k] as number;
      const tip = tips[k] as number;
      if (!Number.isNaN(tip)) {
        const t = (tip - circleAt(x, k, 8)) / sigma;
        off += Math.log1p(t * t);
        rootAll++;
      }
    }
    const [q0, q1] = [(x[6] as number) - (goal[6] as number), (x[7] as number) - (goal[7] as number)];
    let moves = qq[0] * q0 * q0 + 2 * qq[1] * q0 * q1 + qq[2] * q1 * q1;
    for (let i = 1; i < 6; i++) moves += (prior[i] as number) * ((x[i] as number) - (goal[i] as number)) ** 2;
    return {
      agreement: sum / (all || 1),
      score: sum / (all || 1) - 0.15 * (off / (rootAll || 1)) - 0.008 * moves,
    };
  };
  const m = new Float64Array(81);
  const row = new Float64Array(9);
  const fitTo = (residual: (k: number) => number, from: Moves, trust: number): Float64Array => {
    m.fill(0);
    const b = new Float64Array(9);
    for (let i = 0; i < 9; i++) {
      m[10 * i] = (prior[i] as number) + 1e-9;
      b[i] = (prior[i] as number) * ((goal[i] as number) - (from[i] as number));
    }
    const [q0, q1] = [(goal[6] as number) - (from[6] as number), (goal[7] as number) - (from[7] as number)];
    m[60] = (m[60] as number) + qq[0];
    m[61] = qq[1];
    m[70] = (m[70] as number) + qq[2];
    b[6] = qq[0] * q0 + qq[1] * q1;
    b[7] = qq[1] * q0 + qq[2] * q1;
    const add = (first: number, last: number, r: number, w: number): void => {
      for (let i = first; i <= last; i++) {
        const wi = w * (row[i] as number);
        b[i] = (b[i] as number) + wi * r;
        // one half: the other is its mirror
        for (let j = i; j <= last; j++) m[9 * i + j] = (m[9 * i + j] as number) + wi * (row[j] as number);
      }
    };
    for (let k = 0; k < n; k++) {
      const t = 4 * k;
      const [c1, s1, c2, s2] = [
        terms[t] as number,
        terms[t + 1] as number,
        terms[t + 2] as number,
        terms[t + 3] as number,
      ];
      const r = residual(k);
      row[0] = 1;
      row[1] = teeth * s1;
      row[2] = -teeth * c1;
      row[3] = teeth * s2;
      row[4] = -teeth * c2;
      add(0, 4, r, (weights[k] as number) ** 2 / spread.phase ** 2 / (1 + (r / trust) ** 2));
      const q = (roots[k] as number) - circleAt(from, k, 5);
      row[1] = c1;
      row[2] = s1;
      row[3] = c2;
      row[4] = s2;
      row[5] = 1;
      row[6] = -c1;
      row[7] = -s1;
      row[8] = 0;
      add(1, 7, q, (rootWeights[k] as number) ** 2 / sigma ** 2 / (1 + (q / sigma) ** 2));
    }
    for (let k = 0; k < n; k++) {
      const tip = tips[k] as number;
      if (Number.isNaN(tip)) continue;
      const t = 4 * k;
      const [c1, s1] = [terms[t] as number, terms[t + 1] as number];
      row[0] = 0;
      row[1] = c1;
      row[2] = s1;
      row[3] = terms[t + 2] as number;
      row[4] = terms[t + 3] as number;
      row[5] = 0;
      row[6] = -c1;
      row[7] = -s1;
      row[8] = 1;
      const q = tip - circleAt(from, k, 8);
      add(1, 8, q, 1 / sigma ** 2 / (1 + (q / sigma) ** 2));
    }
    for (let i = 1; i < 9; i++) for (let j = 0; j < i; j++) m[9 * i + j] = m[9 * j + i] as number;
    const step = solved(m, b);
    return step.map((v, i) => v + (from[i] as number));
  };
  // unwrapped along the ring, the drift of this count taken out first; from several places, as it goes wrong
  // where nothing is seen
  let best: { x: Moves; agreement: number; score: number } | null = null;
  const unwrapped = new Float64Array(n);
  for (const zero of [0, n >> 1, ...afterLongestGap(weights)]) {
    let last = wrapped((phases[zero] as number) - (teeth - at) * (angles[zero] as number));
    for (let i = 0; i < n; i++) {
      const k = (zero + i) % n;
      const now = (phases[k] as number) - (teeth - at) * (angles[k] as number);
      if ((weights[k] as number) > 0.3 || i === 0) last += wrapped(now - last);
      unwrapped[k] = last + (teeth - at) * (angles[k] as number);
    }
    let x: Moves = [0, 0, 0, 0, 0, goal[5] as number, 0, 0, 1];
    for (let round = 0; round < 2; round++) {
      const now = x;
      x = fitTo((k) => (unwrapped[k] as number) - ahead(now, k), now, 1e9);
    }
    for (let round = 0; round < 4; round++) {
      const now = x;
      x = fitTo((k) => wrapped((phases[k] as number) - ahead(now, k)), now, round < 2 ? 3 : 1);
    }
    const s = score(x);
    if (!best || s.score > best.score) best = { x, ...s };
  }
  const { x, ...rest } = best as { x: Moves; agreement: number; score: number };
  const all = Float64Array.from(phases, (phi, k) => wrapped(phi - ahead(x, k)));
  const strays = {
    all,
    phases: all.map((phi, k) => (weights[k] ? phi : Number.NaN)),
    roots: Float64Array.from(roots, (r, k) => (rootWeights[k] ? r - circleAt(x, k, 5) : Number.NaN)),
    tips: Float64Array.from(tips, (t, k) => t - circleAt(x, k, 8)),
  };
  const size = (x[5] as number) / (1 - ROOT_AT * depth);
  const now = shifted(plane, [x[1] as number, x[2] as number], [x[3] as number, x[4] as number]);
  return {
    teeth,
    ...rest,
    strays,
    plane: resized(
      { ...now, q: [now.q[0] + (x[6] as number), now.q[1] + (x[7] as number)] },
      Math.max(0.85, Math.min(1.18, size)),
    ),
  };
}

/** cos θ, sin θ, cos 2θ, sin 2θ of each window: the same for every count that is tried on a track. */
function termsOf(track: PhaseTrack): Float64Array {
  const out = new Float64Array(track.angles.length * 4);
  for (const [k, a] of track.angles.entries()) {
    const c = Math.cos(a);
    const s = Math.sin(a);
    out[4 * k] = c;
    out[4 * k + 1] = s;
    out[4 * k + 2] = c * c - s * s;
    out[4 * k + 3] = 2 * s * c;
  }
  return out;
}

/** The window after the longest run of windows that say little, if it is a tenth of the ring or more. */
function afterLongestGap(weights: Float64Array): number[] {
  const n = weights.length;
  let [longest, after, run] = [0, 0, 0];
  for (let k = 0; k < 2 * n; k++) {
    if ((weights[k % n] as number) <= 0.3) run++;
    else {
      if (run > longest) [longest, after] = [run, k % n];
      run = 0;
    }
  }
  return longest >= n / 10 ? [after] : [];
}

/**
 * The plane with its centre moved by e (tip radii, in the face) and stretched by s; the turn that this gives
 * is left out.
 */
export function shifted(f: FacePlane, e: readonly [number, number], s: readonly [number, number]): FacePlane {
  const [a0, a1, a2] = f.a;
  const b00 = a0 * (1 + s[0]) + a1 * s[1];
  const b01 = a0 * s[1] + a1 * (1 - s[0]);
  const b10 = a1 * (1 + s[0]) + a2 * s[1];
  const b11 = a1 * s[1] + a2 * (1 - s[0]);
  // B = A (1 + S) has a small turn in it: B Rᵀ is symmetric for tan t = (b10 − b01) / (b00 + b11)
  const t = Math.atan2(b10 - b01, b00 + b11);
  const [c, n] = [Math.cos(t), Math.sin(t)];
  // B = A' R with R a turn by t: A' = B Rᵀ
  const turned = [b00 * c - b01 * n, (b00 * n + b01 * c + b10 * c - b11 * n) / 2, b10 * n + b11 * c] as const;
  return {
    ...f,
    centre: [f.centre[0] + a0 * e[0] + a1 * e[1], f.centre[1] + a1 * e[0] + a2 * e[1]],
    a: turned,
  };
}

/** Follows the rhythm until the plane lies still: counts near `teeth` are tried at every round. */
export function followed(
  p: Planes,
  plane: FacePlane,
  teeth: number,
  rounds = 4,
  reach = Math.max(2, Math.round(teeth * 0.07)),
): TrackFit {
  let now: TrackFit = { teeth, agreement: 0, score: 0, plane };
  for (let round = 0; round < rounds; round++) {
    const track = phaseTrack(p, now.plane, now.teeth);
    now = fitsNear(
      track,
      now.plane,
      now.teeth,
      round < rounds - 1 ? reach : Math.min(2, reach),
    )[0] as TrackFit;
  }
  return now;
}

/** Fits of all counts near one, best first. */
export function fitsNear(track: PhaseTrack, plane: FacePlane, teeth: number, reach: number): TrackFit[] {
  const out: TrackFit[] = [];
  const terms = termsOf(track);
  for (let z = Math.max(5, teeth - reach); z <= teeth + reach; z++)
    out.push(trackFit(track, plane, z, wideSpread(z), terms));
  return out.sort((a, b) => b.score - a.score);
}
