import type { HeardTrain } from "./match";

/** A line of the train as it is drawn over a spectrum. */
export interface DrawnLine {
  readonly kind: "turn" | "mesh" | "overtone" | "sideband";
  readonly hz: number;
  /** the shaft of a turn; of the others their mesh */
  readonly shaft?: string;
  readonly mesh?: string;
  /** of an overtone: 2, 3 …; of a sideband: how many turns beside, with sign */
  readonly n?: number;
}

const OVERTONES = 3;
const SIDEBANDS = 2;

/**
 * The lines of a train at the speed that was heard: once a turn of every shaft, the mesh rates with their
 * overtones, and, of the gear that stands out, the sidebands beside its mesh: a swelling or
 * a knock once a turn is heard there.
 *
 * @param out the gear that stands out; null: none
 */
export function drawnLines(
  { lines, rpm }: Pick<HeardTrain, "lines" | "rpm">,
  out: { readonly mesh: string | null; readonly shaft: string | null } | null,
): DrawnLine[] {
  const turn = rpm.value / 60;
  const turns = lines.shafts.map((s): DrawnLine => ({ kind: "turn", hz: s.order * turn, shaft: s.shaft }));
  const meshes = lines.meshes.flatMap((m): DrawnLine[] =>
    Array.from({ length: OVERTONES }, (_, h) => ({
      kind: h ? "overtone" : "mesh",
      hz: (h + 1) * m.order * turn,
      mesh: m.mesh,
      ...(h ? { n: h + 1 } : {}),
    })),
  );
  const mesh = lines.meshes.find((m) => m.mesh === out?.mesh);
  const gear = mesh?.gears.find((g) => g.shaft === out?.shaft);
  if (!mesh || !gear) return [...turns, ...meshes];
  const sides = [1, 2].flatMap((h) =>
    Array.from({ length: 2 * SIDEBANDS + 1 }, (_, i) => i - SIDEBANDS)
      .filter((n) => n !== 0)
      .map(
        (n): DrawnLine => ({
          kind: "sideband",
          hz: (h * mesh.order + n * gear.swells) * turn,
          mesh: mesh.mesh,
          n,
        }),
      ),
  );
  return [...turns, ...meshes, ...sides.filter((s) => s.hz > 0)];
}
