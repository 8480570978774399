import type { Said } from "./saying";

/** The most of one kind that a step counts, and the longest piece believed, mm. */
export const MOST_PIECES = 200;
export const LONGEST_MM = 500;

/** Why what was said of a piece cannot be; undefined: it can. */
export function outOfBounds({ qty, facts, isNot }: Said): string | undefined {
  if (isNot) return undefined;
  if (qty !== undefined && qty < 1) return "none of something is nothing";
  if (qty !== undefined && qty > MOST_PIECES) return `${qty} pieces cannot be: the maximum is ${MOST_PIECES}`;
  const { lengthMm } = facts;
  if (lengthMm !== undefined && lengthMm <= 0) return "a length of nothing";
  if (lengthMm !== undefined && lengthMm > LONGEST_MM)
    return `${lengthMm} mm is longer than anything on this bench: the maximum is ${LONGEST_MM} mm`;
  return undefined;
}
