import { Fault } from "../fault";

/**
 * The printed scale card: a square code whose side is known, a line to check the print by, and what to do
 * with it. Millimetres.
 */
export const CARD = {
  width: 85,
  height: 54,
  /** the code, from its outer edge to its outer edge */
  codeSide: 40,
  /** a line to measure after printing */
  checkLine: 75,
} as const;

/** What stands in the code: how long its side is. */
export const cardText = (sideMm: number): string => `demontage scale ${sideMm} mm`;

/** The side of the card's code, mm, from what stands in it. Throws `Fault` where another code was seen. */
export function sideOfCard(text: string): number {
  const side = Number(/^demontage scale (\d+(?:\.\d+)?) mm$/.exec(text)?.[1]);
  if (!(side > 0)) throw new Fault("card", "the code in the picture is not that of a scale card");
  return side;
}
