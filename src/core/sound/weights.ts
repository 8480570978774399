/**
 * What the clues of a fault weigh; learned by demo/sounds/learn.ts from made recordings of units that nobody
 * has.
 */
export interface Weights {
  readonly tooth: readonly number[];
  readonly eccentric: readonly number[];
  /** below 1: a real unit is not a made one, and nobody should be surer than that allows */
  readonly trust: number;
}

export const WEIGHTS: Weights = {
  tooth: [1.9, 0.52, 2.66, 0.82, -0.44],
  eccentric: [2.38, 1, -1.81],
  trust: 0.7,
};
