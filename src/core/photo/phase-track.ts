import { circleOf, kept } from "./circle";
import type { FacePlane } from "./face-plane";
import type { Planes } from "./picture";
import { toothDepth } from "./ring-rhythm";
import { faceLikeness, levelling, unrolled } from "./strip";

/**
 * What the teeth's own rhythm tells about a ring: where along the ring it runs ahead or behind, window by
 * window.
 */
export interface PhaseTrack {
  /** number of teeth the track was taken at */
  readonly at: number;
  readonly angles: Float64Array;
  /** how far the rhythm is ahead in each window, radians of one tooth */
  readonly phases: Float64Array;
  /** how much of each window agrees with the ring's common wave, 0 to 1 */
  readonly weights: Float64Array;
  /**
   * where the teeth begin in each window, from the calm face outwards, in tip radii; and how far that can be
   * believed, 0 to 1
   */
  readonly roots: Float64Array;
  readonly rootWeights: Float64Array;
  /** where the teeth end in each window, NaN where that is not seen */
  readonly tips: Float64Array;
}

/** Radii across the teeth, from below the root to beyond the tips, in tip radii. */
const bandRadii = (teeth: number): number[] => {
  const depth = Math.min(0.5, toothDepth(teeth));
  return Array.from({ length: 19 }, (_, i) => 1 + depth * (0.7 - 0.15 * i));
};
/**
 * Where in the depth of a tooth, from its tip, half of the rhythm's strength is reached: the root's fillet
 * has little.
 */
export const ROOT_AT = 0.9;

/**
 * Pieces that a pitch is summed in before windows are laid over them. With four of them a ring of which a
 * third is hidden was caught beside its place.
 */
const BOXES = 12;

/**
 * The wave of period `per` in rows of `columns`, as a complex number for each window: what the row and the
 * wave have in common in every box, then
 * the boxes under a window weighed by Hann's bell. A window is three pitches wide and stands at every pitch:
 * box by box each column is looked at once.
 */
function wavesInWindows(
  columns: number,
  per: number,
  middles: Int32Array,
  reach: number,
  re: Float64Array,
  im: Float64Array,
) {
  const wide = per / BOXES;
  const boxes = columns / wide;
  // the ends joined by a window on each side, so that it can be laid without asking where it is
  const a = new Float64Array(boxes + 2 * reach);
  const b = new Float64Array(boxes + 2 * reach);
  const [cos, sin] = circleOf(per);
  const bell = bellOf(2 * reach);
  return (row: Float32Array, gain: number, at: number): void => {
    for (let n = reach, j = 0; j < columns; )
      for (let box = 0, t = 0; box < BOXES; box++, n++) {
        let x = 0;
        let y = 0;
        for (const end = t + wide; t < end; t++, j++) {
          const v = row[j] as number;
          x += v * (cos[t] as number);
          y -= v * (sin[t] as number);
        }
        a[n] = gain * x;
        b[n] = gain * y;
      }
    for (const ring of [a, b]) {
      ring.copyWithin(0, boxes, boxes + reach);
      ring.copyWithin(boxes + reach, reach, 2 * reach);
    }
    for (let k = 0; k < middles.length; k++) {
      let x = 0;
      let y = 0;
      for (let t = 0, n = middles[k] as number; t < bell.length; t++, n++) {
        x += (bell[t] as number) * (a[n] as number);
        y += (bell[t] as number) * (b[n] as number);
      }
      re[at + k] = x;
      im[at + k] = y;
    }
  };
}

const bellOf = kept((n) =>
  Float64Array.from({ length: n }, (_, j) => 0.5 - 0.5 * Math.cos((2 * Math.PI * (j + 0.5)) / n)),
);

/**
 * Takes the wave of `teeth` periods in short windows around the ring, in every row across the teeth and every
 * plane of colour. Each row has a
 * phase of its own (a gap is dark here and bright there, a helix leans), but all run ahead or behind
 * together: the first singular vector of
 * rows by windows is what they share.
 */
export function phaseTrack(p: Planes, plane: FacePlane, teeth: number): PhaseTrack {
  const per = BOXES * Math.ceil(480 / teeth / BOXES);
  const columns = per * teeth;
  const radii = bandRadii(teeth);
  const strip = unrolled(p, plane, radii, columns);
  const windows = Math.max(18, Math.min(96, teeth));
  // the middle of each window, on the edge of a box
  const middles = Int32Array.from({ length: windows }, (_, k) => Math.round((k * BOXES * teeth) / windows));
  const reach = BOXES * (teeth < 16 ? 1 : 1.5);
  const half = (reach * per) / BOXES;
  const waves = [...strip.planes, faceLikeness(strip, Math.min(0.5, toothDepth(teeth)), per)];
  const lines = radii.length * waves.length;
  const re = new Float64Array(lines * windows);
  const im = new Float64Array(lines * windows);
  const waveOf = wavesInWindows(columns, per, middles, reach, re, im);
  for (const [c, wave] of waves.entries()) {
    const level = levelling(columns, per * 2, c === 3 ? 0.1 : 1.5);
    // what is like the face is a tooth, in light and in shadow: it leads where it speaks at all
    for (let i = 0; i < radii.length; i++)
      waveOf(
        level(wave.subarray(i * columns, (i + 1) * columns)),
        c === 3 ? 1.3 : 1,
        (c * radii.length + i) * windows,
      );
  }
  const edgesAt = (share: number): Float64Array =>
    Float64Array.from({ length: windows }, (_, k) =>
      faceEdge(waves[3] as Float32Array, radii, columns, ((middles[k] as number) * per) / BOXES, half, share),
    );
  const edges = edgesAt(0.3);
  const tips = edgesAt(0.8);
  // power iteration from the strongest line
  let strongest = 0;
  let max = -1;
  for (let l = 0; l < lines; l++) {
    let e = 0;
    for (let k = 0; k < windows; k++)
      e += (re[l * windows + k] as number) ** 2 + (im[l * windows + k] as number) ** 2;
    if (e > max) {
      max = e;
      strongest = l;
    }
  }
  const ur = Float64Array.from({ length: windows }, (_, k) => re[strongest * windows + k] as number);
  const ui = Float64Array.from({ length: windows }, (_, k) => im[strongest * windows + k] as number);
  const vr = new Float64Array(windows);
  const vi = new Float64Array(windows);
  for (let round = 0; round < 12; round++) {
    vr.fill(0);
    vi.fill(0);
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
  const weights = sizes.map((s) => Math.min(1, s / (usual || 1)));
  return {
    at: teeth,
    angles: Float64Array.from(middles, (m) => (2 * Math.PI * m) / (BOXES * teeth)),
    phases: Float64Array.from(ur, (v, k) => Math.atan2(ui[k] as number, v)),
    weights,
    ...rootsSeen(radii, re, im, windows, weights, edges),
    // where teeth are gone, no tip is seen
    tips: tips.map((t, k) => ((weights[k] as number) > 0.5 ? t : Number.NaN)),
  };
}

/**
 * Where the face ends in a window, in tip radii: coming inwards, the radius from which on all but `share` of
 * the columns are like it. With 0.3
 * that is the root, and where teeth are gone it still is; with 0.8 it is the tips. NaN where it ends nowhere
 * plainly (the bench is like the face).
 */
function faceEdge(
  like: Float32Array,
  radii: readonly number[],
  columns: number,
  centre: number,
  half: number,
  share: number,
): number {
  let last = Number.NaN;
  for (let i = 0; i < radii.length; i++) {
    const bins = new Uint16Array(12);
    let n = 0;
    for (let j = -half; j <= half; j++) {
      const v = like[i * columns + ((centre + j + columns) % columns)] as number;
      if (Number.isNaN(v)) continue;
      bins[(v * 11) | 0] = (bins[(v * 11) | 0] as number) + 1;
      n++;
    }
    if (n < half) continue;
    // the level that this share lies under, between two bins
    let below = 0;
    let bin = 0;
    while (below + (bins[bin] as number) < share * n) below += bins[bin++] as number;
    const level = (bin + (share * n - below) / Math.max(1, bins[bin] as number)) / 11;
    if (level >= 0.5)
      return last < 0.4
        ? (radii[i - 1] as number) +
            ((0.5 - last) / (level - last)) * ((radii[i] as number) - (radii[i - 1] as number))
        : Number.NaN;
    last = level;
  }
  return Number.NaN;
}

/**
 * Where the teeth begin, window by window: where the face ends, or else where the rhythm rises to half its
 * strength on the way out from the face.
 */
function rootsSeen(
  radii: readonly number[],
  re: Float64Array,
  im: Float64Array,
  windows: number,
  weights: Float64Array,
  edges: Float64Array,
): Pick<PhaseTrack, "roots" | "rootWeights"> {
  const roots = new Float64Array(windows);
  const rootWeights = new Float64Array(windows);
  for (let k = 0; k < windows; k++) {
    if (!Number.isNaN(edges[k])) {
      roots[k] = edges[k] as number;
      rootWeights[k] = 1;
      continue;
    }
    const strength = radii.map((_, i) => {
      let sum = 0;
      for (let c = 0; c < 4; c++) {
        const at = (c * radii.length + i) * windows + k;
        sum += (re[at] as number) ** 2 + (im[at] as number) ** 2;
      }
      return Math.sqrt(sum);
    });
    const max = Math.max(...strength);
    const half = max / 2;
    let i = radii.length - 1;
    // from the inside out, to the first row that is strong together with the next one
    while (i > 1 && !((strength[i] as number) > half && (strength[i - 1] as number) > half)) i--;
    const inner = strength[i + 1];
    const t = inner === undefined ? 0 : (half - inner) / ((strength[i] as number) - inner || 1);
    roots[k] =
      inner === undefined
        ? (radii[i] as number)
        : (radii[i + 1] as number) + t * ((radii[i] as number) - (radii[i + 1] as number));
    rootWeights[k] = 0.7 * (weights[k] as number) * (inner === undefined ? 0.3 : 1);
  }
  return { roots, rootWeights };
}
