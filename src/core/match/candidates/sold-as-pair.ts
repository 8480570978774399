import { type Criterion, criterion } from "./verdict";

/**
 * Of a pair under one number both gears go in.
 *
 * @param mateTeeth of the gear that it ran with, where that is known
 */
export const soldAsPair = (mateTeeth?: number): Criterion =>
  criterion(
    "sold as",
    "–",
    "pair",
    "–",
    "companion",
    `sold with its mate: both go in, and ${mateTeeth === undefined ? "its old mate" : `the old ${mateTeeth}-tooth gear`} comes out`,
  );
