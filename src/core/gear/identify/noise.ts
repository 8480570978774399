import type { Measured } from "../../quantity/measured";
import {
  AS_MADE,
  type Making,
  TOPPED,
  thinnedBy,
  toppedShare,
  UNTHINNED,
  WORN_FLANKS,
  WORN_SHARE,
  WORN_TIPS,
} from "../as-made";
import type { Reading, ToothAt } from "./readings";

/**
 * What has become of the tips and flanks: how usual it is, by how much tip diameter and spans are low, mm,
 * and how much of the shift the tips follow.
 */
export interface ToothState extends TipState {
  readonly flanks: "as made" | "worn";
  /** by how much a span is low, mm */
  readonly thinned: Measured;
}
interface TipState {
  readonly says: "as made" | "topped" | "worn";
  readonly log: number;
  readonly low: number;
  readonly u: number;
  readonly follow: number;
}

/** The shift that a topped pinion is taken to have where only the spread is asked for. */
const USUAL_SHIFT = 0.35;

/**
 * The states that a new gear of so many teeth may be in: its tips as made, topped or worn, its flanks
 * thinned, not thinned, or worn. One each, where no reading touches them.
 */
export function toothStates(
  t: { readonly teeth: number; readonly moduleMm: number },
  how: Making,
  readings: readonly Reading[],
  saidWorn: boolean,
): ToothState[] {
  const thinned = thinnedBy(t.moduleMm, how);
  const tips = tipStates(t, how, readings, saidWorn);
  const made = { flanks: "as made", thinned } as const;
  if (!readings.some((r) => r.atFlanks)) return tips.map((s) => ({ ...s, ...made }));
  const sound = 1 - WORN_FLANKS.share;
  const not = { flanks: "as made", thinned: { value: 0, u: UNTHINNED.u * Math.sqrt(t.moduleMm) } } as const;
  const worn = {
    flanks: "worn",
    thinned: {
      value: thinned.value + WORN_FLANKS.value * t.moduleMm,
      u: Math.hypot(thinned.u, WORN_FLANKS.u * t.moduleMm),
    },
  } as const;
  return tips.flatMap((s) => [
    { ...s, ...made, log: s.log + Math.log(sound * (1 - UNTHINNED.share)) },
    ...(s.says === "worn" && !saidWorn
      ? []
      : [{ ...s, ...not, log: s.log + Math.log(sound * UNTHINNED.share) }]),
    { ...s, ...worn, log: s.log + Math.log(WORN_FLANKS.share) },
  ]);
}

function tipStates(
  t: { readonly teeth: number; readonly moduleMm: number },
  how: Making,
  readings: readonly Reading[],
  saidWorn: boolean,
): TipState[] {
  const { tipLow } = AS_MADE[how];
  const made = { says: "as made", log: 0, low: tipLow.value, u: tipLow.u, follow: 1 } as const;
  if (!readings.some((r) => r.atTips)) return [made];
  const worn = {
    says: "worn",
    log: 0,
    low: WORN_TIPS.value * t.moduleMm,
    u: WORN_TIPS.u * t.moduleMm,
    follow: 1,
  } as const;
  if (saidWorn) return [worn];
  const topped = toppedShare(t.teeth);
  return [
    { ...made, log: Math.log((1 - WORN_SHARE) * (1 - topped)) },
    ...(topped
      ? [
          {
            says: "topped" as const,
            log: Math.log((1 - WORN_SHARE) * topped),
            low: tipLow.value,
            u: Math.hypot(tipLow.u, 2 * t.moduleMm * TOPPED.u * USUAL_SHIFT),
            follow: 1 - TOPPED.value,
          },
        ]
      : []),
    { ...worn, log: Math.log(WORN_SHARE) },
  ];
}

/**
 * How the readings of one gear spread together. They do not spread each by itself: all spans are thinned by
 * the same cutter, all tips are low by the same turning, all sizes have shrunk in the same mould.
 * C_ij = δ_ij u_i² + σ_τ² c_i c_j + σ_δ² p_i p_j + σ_s² seen_i seen_j, kept as its Cholesky factor.
 */
export interface Noise {
  readonly state: ToothState;
  /** rows of the lower triangle of L, C = L Lᵀ */
  readonly factor: Float64Array;
  /** −log det L */
  readonly scale: number;
  /** what each reading is low by on average, mm */
  readonly low: Float64Array;
  /** how much of the shift each reading follows */
  readonly follow: Float64Array;
  /** the whole spread of each reading, its own and the making's, mm */
  readonly u: Float64Array;
}

export function noiseOf(readings: readonly Reading[], t: ToothAt, state: ToothState, how: Making): Noise {
  const n = readings.length;
  const { thinned } = state;
  const share = AS_MADE[how].scale;
  const factor = new Float64Array((n * (n + 1)) / 2);
  const low = new Float64Array(n);
  const follow = new Float64Array(n);
  const u = new Float64Array(n);
  const thin = readings.map((r) => r.thin(t));
  const atTips = readings.map((r) => r.atTips?.(t.teeth) ?? 0);
  let scale = 0;
  for (let i = 0; i < n; i++) {
    const a = readings[i] as Reading;
    const [thinA, tipsA] = [thin[i] as number, atTips[i] as number];
    low[i] = thinned.value * thinA + state.low * tipsA;
    follow[i] = tipsA ? state.follow : 1;
    for (let j = 0; j <= i; j++) {
      const b = readings[j] as Reading;
      let sum =
        thinned.u ** 2 * thinA * (thin[j] as number) +
        state.u ** 2 * tipsA * (atTips[j] as number) +
        share ** 2 * a.seen.value * b.seen.value;
      if (i === j) {
        sum += a.seen.u ** 2 + (a.loose * t.moduleMm) ** 2;
        u[i] = Math.sqrt(sum);
      }
      for (let k = 0; k < j; k++) sum -= at(factor, i, k) * at(factor, j, k);
      factor[(i * (i + 1)) / 2 + j] = i === j ? Math.sqrt(sum) : sum / at(factor, j, j);
    }
    scale -= Math.log(at(factor, i, i));
  }
  return { state, factor, scale, low, follow, u };
}

const at = (factor: Float64Array, i: number, j: number): number => factor[(i * (i + 1)) / 2 + j] as number;

/** Solves L y = v in place. */
export function whiten({ factor }: Noise, v: Float64Array): void {
  let row = 0;
  for (let i = 0; i < v.length; i++) {
    let sum = v[i] as number;
    for (let k = 0; k < i; k++) sum -= (factor[row + k] as number) * (v[k] as number);
    v[i] = sum / (factor[row + i] as number);
    row += i + 1;
  }
}
