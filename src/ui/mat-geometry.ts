/** Measures of the Mat's pockets, px. */
export const POCKET = { width: 104, height: 104, gap: 12, pitch: 116, top: 18 } as const;

/**
 * What lies left and right of an arc, and its path; from what was needed to what needed it, hanging under the
 * band.
 */
export interface MatArc {
  readonly from: number;
  readonly to: number;
  readonly d: string;
}

/**
 * The arcs under the Mat: one for each need that is not simply the step before. The further apart, the deeper
 * an arc hangs, up to 38 px.
 *
 * @param needs for each pocket the indices of the pockets it needed
 */
export function matArcs(needs: readonly (readonly number[])[]): MatArc[] {
  const arcs: MatArc[] = [];
  needs.forEach((own, to) => {
    for (const from of own) {
      if (from === to - 1) continue;
      const x0 = from * POCKET.pitch + POCKET.width / 2;
      const x1 = to * POCKET.pitch + POCKET.width / 2;
      const depth = Math.min(38, 10 + 7 * Math.abs(to - from));
      arcs.push({
        from,
        to,
        d: `M${x0} 2C${x0 + (x1 - x0) * 0.2} ${depth * 1.3} ${x1 - (x1 - x0) * 0.2} ${depth * 1.3} ${x1} 2`,
      });
    }
  });
  return arcs;
}

/**
 * The place, counted from 0, that a pocket taken from `from` has after it was put down before or after the
 * pocket that lies at `at`.
 *
 * @example placeAfterDrop(3, 1, "before") // 1
 */
export function placeAfterDrop(from: number, at: number, side: "before" | "after"): number {
  const closedUp = from < at ? at - 1 : at;
  return side === "before" ? closedUp : closedUp + 1;
}
