import type { StripStep } from "../job/step";

/**
 * How early each step wants to go back, the highest first: as somebody ordered them, and where nobody did the
 * latest of the strip first. A step that was recorded since stands behind the one
 * that came off after it.
 *
 * @param own ids of steps, the first that goes back first; a name that leads nowhere is passed over
 * @returns a rank for each step, by its index
 */
export function ranksOf(steps: readonly Pick<StripStep, "id">[], own: readonly string[] = []): number[] {
  const at = new Map(steps.map((s, i) => [s.id, i]));
  const known = [...new Set(own.flatMap((id) => at.get(id) ?? []))];
  const isKnown = new Set(known);
  const order: number[] = [];
  const behind = (i: number): void => {
    order.push(i);
    // those recorded between this one and the next that has its place
    for (let k = i - 1; k >= 0 && !isKnown.has(k); k--) order.push(k);
  };
  for (let k = steps.length - 1; k >= 0 && !isKnown.has(k); k--) order.push(k);
  for (const i of known) behind(i);
  const ranks = new Array<number>(steps.length);
  order.forEach((i, k) => {
    ranks[i] = steps.length - k;
  });
  return ranks;
}
