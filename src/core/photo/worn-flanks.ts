import { median } from "./median";

/** A ring unrolled into its likeness to the face, as the judge of single teeth has it. */
export interface LikenessStrip {
  /** row by row; 1: like the face, low: like a gap */
  readonly like: Float32Array;
  readonly columns: number;
  /** columns of one tooth, and where the middle of the first lies */
  readonly per: number;
  readonly shift: number;
  /** rows between tip and the middle of the flank */
  readonly rows: readonly number[];
  /** teeth that stand there whole, in sight */
  readonly whole: readonly boolean[];
  /** by how much a tooth is more like the face than the gaps beside it */
  readonly contrast: ArrayLike<number>;
}

export type WornFlank = "left" | "right" | "both";

/**
 * So much is called worn, in pitches: a tenth of a tooth's thickness. Less is light, grease and the mould.
 */
const LEAST = 0.07;
/** And so many times what whole teeth differ by among themselves. */
const SPREADS = 6;
/** Teeth that are compared with, and the fewest that are enough. */
const NEAR = 8;
const FEWEST = 4;
/** In so much of the rows it must show. */
const ALL_ROWS = 0.8;
/** Under this contrast between teeth and gaps nothing is said of a flank. */
const PLAIN = 0.25;

/**
 * Teeth of which one flank, or both, has lost metal against the teeth beside it: worn thin, hooked, or pushed
 * over. The gear's own teeth are the measure, as the light on a flank changes around the ring but slowly;
 * what all teeth have lost alike shows in no picture, but in a span.
 *
 * @returns for each tooth which flank it is, seen with the tooth upright; null: none, or it cannot be told
 */
export function wornFlanks(s: LikenessStrip): (WornFlank | null)[] {
  const teeth = s.whole.length;
  const none = s.whole.map(() => null);
  if (s.whole.filter(Boolean).length < FEWEST + 2) return none;
  const half = s.per / 2;
  /**
   * how far from its middle a tooth's flank stands in each row, in pitches: where what is seen turns from
   * tooth to gap
   */
  const reach = (k: number, side: -1 | 1): number[] => {
    const contrast = s.contrast[k] as number;
    const at = (i: number, j: number): number =>
      s.like[i * s.columns + ((k * s.per + s.shift + side * j + 2 * s.columns) % s.columns)] as number;
    return s.rows.map((i) => {
      const level = Math.max(at(i, 0), at(i, 1)) - contrast / 2;
      for (let j = 1; j <= half; j++) {
        const [before, here] = [at(i, j - 1), at(i, j)];
        if (here < level)
          return (j - 1 + Math.min(1, Math.max(0, (before - level) / (before - here || 1)))) / s.per;
      }
      return half / s.per;
    });
  };
  const worn = ([-1, 1] as const).map((side) => {
    const own = s.whole.map((w, k) => (w && (s.contrast[k] as number) > PLAIN ? reach(k, side) : null));
    return own.map((rows, k) => {
      const near: number[][] = [];
      for (let d = 1; d <= teeth / 2 && near.length < NEAR; d++)
        for (const j of [(k + d) % teeth, (k - d + teeth) % teeth]) {
          const other = own[j];
          if (other) near.push(other);
        }
      if (!rows || near.length < FEWEST) return false;
      const usual = rows.map((_, i) => median(near.map((r) => r[i] as number)));
      const lost = rows.map((r, i) => (usual[i] as number) - r);
      // what the teeth beside it differ by among themselves
      const spread = median(near.map((r) => Math.abs(median(r.map((v, i) => v - (usual[i] as number))))));
      const by = median(lost);
      return (
        by > LEAST && by > SPREADS * spread && lost.filter((l) => l > by / 3).length >= ALL_ROWS * lost.length
      );
    });
  });
  return s.whole.map((_, k) => {
    const [left, right] = [worn[0]?.[k], worn[1]?.[k]];
    return left && right ? "both" : left ? "left" : right ? "right" : null;
  });
}
