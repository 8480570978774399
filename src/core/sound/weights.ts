/** What the clues of a fault weigh; learned by demo/sounds/learn.ts from made recordings of units that nobody has. */
export interface Weights {
  readonly tooth: readonly number[];
  readonly eccentric: readonly number[];
  /** below 1: a real unit is not a made one, and nobody should be surer than that allows */
  readonly trust: number;
}

export const WEIGHTS: Weights = { tooth: [1.48, 0.77, 2.89, 0.47, -0.2], eccentric: [2.5, 1.17, -0.45], trust: 0.7 };
