import { solveTrain } from "../train/solve";
import { isSmooth, type Mesh, type TrainInput } from "../train/train";

/** A gear that can be heard: how often a damage on it, or its running out of true, comes round. */
export interface HeardGear {
  readonly mesh: string;
  readonly shaft: string;
  readonly role: "driver" | "driven" | "sun" | "ring" | "planet";
  readonly teeth: number;
  /** times a damage of one tooth is met, for one turn of the motor */
  readonly knocks: number;
  /** times a lack of roundness swells, for one turn of the motor */
  readonly swells: number;
}

/** What a mesh sings: so many waves for one turn of the motor, and the gears that shape them. */
export interface HeardMesh {
  readonly mesh: string;
  readonly order: number;
  readonly gears: readonly HeardGear[];
}

export interface TrainLines {
  readonly meshes: readonly HeardMesh[];
  /** every shaft that turns, in turns for one turn of the motor */
  readonly shafts: readonly { readonly shaft: string; readonly order: number }[];
}

/**
 * The orders (times in one turn of the motor) at which a train is heard: once a turn of every shaft, the mesh
 * rates, and how often a single tooth of every gear comes round. Of a planetary
 * set everything is met once by each planet. What has no teeth sings nothing.
 */
export function trainLines(train: TrainInput): TrainLines {
  // at 60 rpm a rate in hertz is a number for each turn
  const solved = solveTrain({ ...train, input: { ...train.input, rpm: 60 } });
  const shafts = solved.shafts.flatMap((s) =>
    s.turnsPerInputTurn ? [{ shaft: s.shaft, order: s.turnsPerInputTurn }] : [],
  );
  const turnOf = new Map(shafts.map((s) => [s.shaft, s.order]));
  const meshes = train.meshes.flatMap((m) => {
    const order = solved.meshes.find((a) => a.id === m.id)?.meshHz;
    return order ? [{ mesh: m.id, order, gears: gearsOf(m, order, turnOf) }] : [];
  });
  return { meshes, shafts };
}

function gearsOf(m: Mesh, order: number, turnOf: ReadonlyMap<string, number>): HeardGear[] {
  if (isSmooth(m)) return [];
  if (m.kind === "planetary") {
    const planets = m.planets ?? 3;
    const sun = order / m.sun.teeth;
    const ring = order / m.ring.teeth;
    const out: HeardGear[] = [
      { mesh: m.id, shaft: m.sun.shaft, role: "sun", teeth: m.sun.teeth, knocks: planets * sun, swells: sun },
      {
        mesh: m.id,
        shaft: m.ring.shaft,
        role: "ring",
        teeth: m.ring.teeth,
        knocks: planets * ring,
        swells: ring,
      },
    ];
    // a tooth of a planet meets the sun and the ring in one turn of it
    if (m.planetTeeth)
      out.push({
        mesh: m.id,
        shaft: m.carrier.shaft,
        role: "planet",
        teeth: m.planetTeeth,
        knocks: (2 * order) / m.planetTeeth,
        swells: order / m.planetTeeth,
      });
    return out;
  }
  return (["driver", "driven"] as const).flatMap((role) => {
    const turn = turnOf.get(m[role].shaft);
    return turn
      ? [{ mesh: m.id, shaft: m[role].shaft, role, teeth: m[role].teeth, knocks: turn, swells: turn }]
      : [];
  });
}

/** A line that is looked for, as an order. */
export interface Wave {
  readonly mesh: string;
  readonly order: number;
  /** how much it counts */
  readonly weight: number;
}

/** The mesh rates and their overtones, as orders; an overtone counts less than what it stands on. */
export const wavesOf = (lines: TrainLines, overtones: number): Wave[] =>
  lines.meshes.flatMap((m) =>
    Array.from({ length: overtones }, (_, h) => ({
      mesh: m.mesh,
      order: m.order * (h + 1),
      weight: 1 / Math.sqrt(h + 1),
    })),
  );
