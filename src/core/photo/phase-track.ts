import { type FacePlane, resized } from "./face-plane";
import type { Planes } from "./picture";
import { toothDepth } from "./ring-rhythm";
import { solved } from "./silhouettes";
import { faceLikeness, levelled, unrolled } from "./strip";

/** What the teeth's own rhythm tells about a ring: where along the ring it runs ahead or behind, window by window. */
export interface PhaseTrack {
  /** number of teeth the track was taken at */
  readonly at: number;
  readonly angles: Float64Array;
  /** how far the rhythm is ahead in each window, radians of one tooth */
  readonly phases: Float64Array;
  /** how much of each window agrees with the ring's common wave, 0 to 1 */
  readonly weights: Float64Array;
  /** where the teeth begin in each window, from the calm face outwards, in tip radii; and how far that can be believed, 0 to 1 */
  readonly roots: Float64Array;
  readonly rootWeights: Float64Array;
}

/** A count that fits a track, and how the plane must be moved for it. */
export interface TrackFit {
  readonly teeth: number;
  /** mean agreement of the windows with that count, -1 to 1 */
  readonly agreement: number;
  /** agreement less what the moves cost that it needed */
  readonly score: number;
  readonly plane: FacePlane;
}

/** Radii across the teeth, from below the root to beyond the tips, in tip radii. */
const bandRadii = (teeth: number): number[] => {
  const depth = Math.min(0.5, toothDepth(teeth));
  return Array.from({ length: 19 }, (_, i) => 1 + depth * (0.7 - 0.15 * i));
};
/** Where in the depth of a tooth, from its tip, half of the rhythm's strength is reached: the root's fillet has little. */
const ROOT_AT = 0.9;

/**
 * Takes the wave of `teeth` periods in short windows around the ring, in every row across the teeth and every plane of colour. Each row has a
 * phase of its own (a gap is dark here and bright there, a helix leans), but all run ahead or behind together: the first singular vector of
 * rows by windows is what they share.
 */
export function phaseTrack(p: Planes, plane: FacePlane, teeth: number): PhaseTrack {
  const per = Math.max(12, Math.ceil(480 / teeth));
  const columns = per * teeth;
  const radii = bandRadii(teeth);
  const strip = unrolled(p, plane, radii, columns);
  const windows = Math.max(18, Math.min(96, teeth));
  const half = Math.round(per * (teeth < 16 ? 1 : 1.5));
  const waves = [...strip.planes, faceLikeness(strip, Math.min(0.5, toothDepth(teeth)), per)];
  const lines = radii.length * waves.length;
  const re = new Float64Array(lines * windows);
  const im = new Float64Array(lines * windows);
  const cos = Float64Array.from({ length: per }, (_, j) => Math.cos((2 * Math.PI * j) / per));
  const sin = Float64Array.from({ length: per }, (_, j) => Math.sin((2 * Math.PI * j) / per));
  const hann = Float64Array.from({ length: 2 * half + 1 }, (_, j) => 0.5 - 0.5 * Math.cos((2 * Math.PI * (j + 0.5)) / (2 * half + 1)));
  const energy = new Float64Array(windows);
  for (let c = 0; c < waves.length; c++)
    for (let i = 0; i < radii.length; i++) {
      const row = levelled((waves[c] as Float32Array).subarray(i * columns, (i + 1) * columns), per * 2, c === 3 ? 0.1 : 1.5);
      // what is like the face is a tooth, in light and in shadow: it leads where it speaks at all
      if (c === 3) for (let j = 0; j < columns; j++) row[j] = 1.3 * (row[j] as number);
      for (let k = 0; k < windows; k++) {
        const centre = Math.round((k * columns) / windows);
        let a = 0;
        let b = 0;
        let e = 0;
        for (let j = -half; j <= half; j++) {
          const col = (centre + j + columns) % columns;
          const w = hann[j + half] as number;
          const v = (row[col] as number) * w;
          a += v * (cos[col % per] as number);
          b -= v * (sin[col % per] as number);
          e += v * (row[col] as number);
        }
        const at = (c * radii.length + i) * windows + k;
        re[at] = a;
        im[at] = b;
        energy[k] = (energy[k] as number) + e;
      }
    }
  // power iteration from the strongest line
  let strongest = 0;
  let most = -1;
  for (let l = 0; l < lines; l++) {
    let e = 0;
    for (let k = 0; k < windows; k++) e += (re[l * windows + k] as number) ** 2 + (im[l * windows + k] as number) ** 2;
    if (e > most) {
      most = e;
      strongest = l;
    }
  }
  const ur = Float64Array.from({ length: windows }, (_, k) => re[strongest * windows + k] as number);
  const ui = Float64Array.from({ length: windows }, (_, k) => im[strongest * windows + k] as number);
  for (let round = 0; round < 12; round++) {
    const vr = new Float64Array(windows);
    const vi = new Float64Array(windows);
    for (let l = 0; l < lines; l++) {
      let fr = 0;
      let fi = 0;
      for (let k = 0; k < windows; k++) {
        const at = l * windows + k;
        fr += (re[at] as number) * (ur[k] as number) + (im[at] as number) * (ui[k] as number);
        fi += (im[at] as number) * (ur[k] as number) - (re[at] as number) * (ui[k] as number);
      }
      for (let k = 0; k < windows; k++) {
        const at = l * windows + k;
        vr[k] = (vr[k] as number) + fr * (re[at] as number) + fi * (im[at] as number);
        vi[k] = (vi[k] as number) + fr * (im[at] as number) - fi * (re[at] as number);
      }
    }
    let norm = 0;
    for (let k = 0; k < windows; k++) norm += (vr[k] as number) ** 2 + (vi[k] as number) ** 2;
    norm = Math.sqrt(norm) || 1;
    for (let k = 0; k < windows; k++) {
      ur[k] = (vr[k] as number) / norm;
      ui[k] = (vi[k] as number) / norm;
    }
  }
  const sizes = Float64Array.from(ur, (v, k) => Math.hypot(v, ui[k] as number));
  const usual = Float64Array.from(sizes).sort()[Math.floor(windows * 0.7)] as number;
  return {
    at: teeth,
    angles: Float64Array.from({ length: windows }, (_, k) => (2 * Math.PI * k) / windows),
    phases: Float64Array.from(ur, (v, k) => Math.atan2(ui[k] as number, v)),
    weights: sizes.map((s) => Math.min(1, s / (usual || 1))),
    ...rootsSeen(radii, re, im, windows, sizes.map((s) => Math.min(1, s / (usual || 1)))),
  };
}

/** The rhythm's strength over the radius, window by window: where it rises to half on the way out from the face. */
function rootsSeen(radii: readonly number[], re: Float64Array, im: Float64Array, windows: number, weights: Float64Array): Pick<PhaseTrack, "roots" | "rootWeights"> {
  const roots = new Float64Array(windows);
  const rootWeights = new Float64Array(windows);
  for (let k = 0; k < windows; k++) {
    const strength = radii.map((_, i) => {
      let sum = 0;
      for (let c = 0; c < 4; c++) {
        const at = (c * radii.length + i) * windows + k;
        sum += (re[at] as number) ** 2 + (im[at] as number) ** 2;
      }
      return Math.sqrt(sum);
    });
    const most = Math.max(...strength);
    const half = most / 2;
    let i = radii.length - 1;
    // from the inside out, to the first row that is strong together with the next one
    while (i > 1 && !((strength[i] as number) > half && (strength[i - 1] as number) > half)) i--;
    const inner = strength[i + 1];
    const t = inner === undefined ? 0 : (half - inner) / ((strength[i] as number) - inner || 1);
    roots[k] = inner === undefined ? (radii[i] as number) : (radii[i + 1] as number) + t * ((radii[i] as number) - (radii[i + 1] as number));
    rootWeights[k] = (weights[k] as number) * (inner === undefined ? 0.3 : 1);
  }
  return { roots, rootWeights };
}

const wrapped = (x: number): number => x - 2 * Math.PI * Math.round(x / (2 * Math.PI));

/** Spreads, in tip radii and shares of it: the moves that are believed, the perspective, and where a root is seen (in depths of a tooth). */
const SPREAD = { centre: 0.08, stretch: 0.08, perspective: 0.06, root: 0.35, phase: 0.6 } as const;

/**
 * How well a count fits a track. The rhythm at angle θ is ahead by (n − at)·θ, plus what a centre off by e (first harmonic) and a face that is
 * leaned or stretched by s (second harmonic) make of it: φ = c + (n − at) θ + n (e_x sin θ − e_y cos θ + s_1 sin 2θ − s_2 cos 2θ).
 * The roots are seen at ρ = ρ₀ + e·u + u·S u − q·u with u = (cos θ, sin θ) and the perspective q. Both are solved together by least squares: first
 * on the phases as they were unwrapped, then on what is left of them after wrapping, so that one wrong turn mends itself.
 */
export function trackFit(track: PhaseTrack, plane: FacePlane, teeth: number): TrackFit {
  const { angles, phases, weights, at, roots, rootWeights } = track;
  const n = angles.length;
  const depth = Math.min(0.5, toothDepth(teeth));
  const phaseRows = Array.from(angles, (a) => [1, teeth * Math.sin(a), -teeth * Math.cos(a), teeth * Math.sin(2 * a), -teeth * Math.cos(2 * a), 0, 0, 0]);
  const rootRows = Array.from(angles, (a) => [0, Math.cos(a), Math.sin(a), Math.cos(2 * a), Math.sin(2 * a), 1, -Math.cos(a), -Math.sin(a)]);
  const prior = [0, SPREAD.centre, SPREAD.centre, SPREAD.stretch, SPREAD.stretch, 0.15, SPREAD.perspective, SPREAD.perspective].map((x) => (x ? 1 / x ** 2 : 0));
  const goal = [0, 0, 0, 0, 0, 1 - ROOT_AT * depth, 0, 0];
  const at0 = (row: readonly number[], x: readonly number[]): number => row.reduce((s, v, i) => s + v * (x[i] as number), 0);
  const model = (x: readonly number[], k: number): number => at0(phaseRows[k] as number[], x) + (teeth - at) * (angles[k] as number);
  const score = (x: readonly number[]): { agreement: number; score: number } => {
    let sum = 0;
    let all = 0;
    let off = 0;
    let rootAll = 0;
    for (let k = 0; k < n; k++) {
      sum += (weights[k] as number) * Math.cos((phases[k] as number) - model(x, k));
      // a window without a rhythm is no proof of one
      all += Math.max(0.5, weights[k] as number);
      const r = ((roots[k] as number) - at0(rootRows[k] as number[], x)) / (SPREAD.root * depth);
      off += (rootWeights[k] as number) * Math.log1p(r * r);
      rootAll += rootWeights[k] as number;
    }
    const moves = x.reduce((s, v, i) => s + (i === 0 ? 0 : (prior[i] as number) * (v - (goal[i] as number)) ** 2), 0);
    return { agreement: sum / (all || 1), score: sum / (all || 1) - 0.15 * (off / (rootAll || 1)) - 0.008 * moves };
  };
  const fitTo = (residual: (k: number) => number, from: readonly number[], trust: number): number[] => {
    const m = Array.from({ length: 8 }, (_, i) => Array.from({ length: 8 }, (_, j) => (i === j ? (prior[i] as number) : 0)));
    const b = from.map((v, i) => (prior[i] as number) * ((goal[i] as number) - v));
    const add = (row: readonly number[], r: number, w: number): void => {
      for (let i = 0; i < 8; i++) {
        b[i] = (b[i] as number) + w * (row[i] as number) * r;
        for (let j = 0; j < 8; j++) (m[i] as number[])[j] = ((m[i] as number[])[j] as number) + w * (row[i] as number) * (row[j] as number);
      }
    };
    const sigma = SPREAD.root * depth;
    for (let k = 0; k < n; k++) {
      const r = residual(k);
      add(phaseRows[k] as number[], r, (weights[k] as number) ** 2 / SPREAD.phase ** 2 / (1 + (r / trust) ** 2));
      const q = (roots[k] as number) - at0(rootRows[k] as number[], from);
      add(rootRows[k] as number[], q, (rootWeights[k] as number) ** 2 / sigma ** 2 / (1 + (q / sigma) ** 2));
    }
    const step = solved(m, b);
    return from.map((v, i) => v + (step[i] as number));
  };
  // unwrapped along the ring, the drift of this count taken out first; from four places
  let best: { x: number[]; agreement: number; score: number } | null = null;
  for (let start = 0; start < 4; start++) {
    const zero = Math.floor((n * start) / 4);
    const unwrapped = new Float64Array(n);
    let last = wrapped((phases[zero] as number) - (teeth - at) * (angles[zero] as number));
    for (let i = 0; i < n; i++) {
      const k = (zero + i) % n;
      const now = (phases[k] as number) - (teeth - at) * (angles[k] as number);
      if ((weights[k] as number) > 0.3 || i === 0) last += wrapped(now - last);
      unwrapped[k] = last;
    }
    let x = fitTo((k) => unwrapped[k] as number, goal, 1e9);
    const drifted = x;
    x = fitTo((k) => (unwrapped[k] as number) - at0(phaseRows[k] as number[], drifted), drifted, 1e9);
    for (let round = 0; round < 6; round++) {
      const now = x;
      x = fitTo((k) => wrapped((phases[k] as number) - model(now, k)), now, round < 3 ? 3 : 1);
    }
    const s = score(x);
    if (!best || s.score > best.score) best = { x, ...s };
  }
  const { x, ...rest } = best as { x: number[]; agreement: number; score: number };
  const size = (x[5] as number) / (1 - ROOT_AT * depth);
  const now = moved(plane, [x[1] as number, x[2] as number], [x[3] as number, x[4] as number]);
  return { teeth, ...rest, plane: resized({ ...now, q: [now.q[0] + (x[6] as number), now.q[1] + (x[7] as number)] }, Math.max(0.85, Math.min(1.18, size))) };
}

/** The plane with its centre moved by e (tip radii, in the face) and stretched by s; the turn that this gives is left out. */
export function moved(f: FacePlane, e: readonly [number, number], s: readonly [number, number]): FacePlane {
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
  return { ...f, centre: [f.centre[0] + a0 * e[0] + a1 * e[1], f.centre[1] + a1 * e[0] + a2 * e[1]], a: turned };
}

/** Follows the rhythm until the plane lies still: counts near `teeth` are tried at every round. */
export function followed(p: Planes, plane: FacePlane, teeth: number, rounds = 4, reach = Math.max(2, Math.round(teeth * 0.07))): TrackFit {
  let now: TrackFit = { teeth, agreement: 0, score: 0, plane };
  for (let round = 0; round < rounds; round++) {
    const track = phaseTrack(p, now.plane, now.teeth);
    now = fitsNear(track, now.plane, now.teeth, round < rounds - 1 ? reach : 2)[0] as TrackFit;
  }
  return now;
}

/** Fits of all counts near one, best first. */
export function fitsNear(track: PhaseTrack, plane: FacePlane, teeth: number, reach: number): TrackFit[] {
  const out: TrackFit[] = [];
  for (let z = Math.max(5, teeth - reach); z <= teeth + reach; z++) out.push(trackFit(track, plane, z));
  return out.sort((a, b) => b.score - a.score);
}
