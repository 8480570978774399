import type { HeardTrain } from "./match";

/** One line of two recordings laid over each other. */
export interface ComparedLine {
  readonly what: "mesh" | "swell" | "knock";
  readonly mesh: string;
  /** null: the mesh as a whole */
  readonly shaft: string | null;
  /** how often a second, in the later recording where there is one */
  readonly hz: number;
  /**
   * dB of a mesh (against all that is heard) and of a knock (against what is heard between), percent of a
   * swelling; null where it was not heard
   */
  readonly before: number | null;
  readonly after: number | null;
}

/** A swelling less deep, and a knock less plain, is as good as none. */
const LEAST = { swellPercent: 12, plain: 4, loud: 0.5 };

/**
 * Two recordings line by line, each against its own loudness: every mesh, and what stands out once a turn in
 * one of them. A shaft that carries two gears is named once for its knock.
 */
export function compared(before: HeardTrain | null, after: HeardTrain | null): ComparedLine[] {
  const either = after ?? before;
  if (!either) return [];
  const hz = either.rpm.value / 60;
  const knocked = new Set<number>();
  return either.lines.meshes.flatMap(({ mesh, order, gears }) => {
    const level = (h: HeardTrain | null): number | null => h?.levels.find((l) => l.mesh === mesh)?.db ?? null;
    const out: ComparedLine[] = [
      { what: "mesh", mesh, shaft: null, hz: order * hz, before: level(before), after: level(after) },
    ];
    for (const g of gears) {
      const sign = (h: HeardTrain | null) =>
        h?.signs.find((s) => s.gear.mesh === mesh && s.gear.role === g.role);
      const swell = (h: HeardTrain | null): number | null => {
        const s = sign(h)?.swell;
        return s ? 100 * s.depth : null;
      };
      const knock = (h: HeardTrain | null): number | null => {
        const k = sign(h)?.knock;
        return k ? 4.343 * Math.max(0, k.loud) : null;
      };
      const isPlain = (h: HeardTrain | null): boolean =>
        (sign(h)?.knock?.plain ?? 0) > LEAST.plain && (sign(h)?.knock?.loud ?? 0) > LEAST.loud;
      const line = { mesh, shaft: g.shaft };
      if (Math.max(swell(before) ?? 0, swell(after) ?? 0) > LEAST.swellPercent)
        out.push({ ...line, what: "swell", hz: g.swells * hz, before: swell(before), after: swell(after) });
      if ((isPlain(before) || isPlain(after)) && !knocked.has(g.knocks)) {
        knocked.add(g.knocks);
        out.push({ ...line, what: "knock", hz: g.knocks * hz, before: knock(before), after: knock(after) });
      }
    }
    return out;
  });
}
