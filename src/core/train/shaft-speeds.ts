import { FRAME, type Mesh, type PairMesh, pairSizes, shaftsOf, type TrainInput, turnsTheAxis } from "./train";

/** Σ (factor × speed of shaft) = constant: what a mesh asks of the shafts it joins. */
interface Relation {
  readonly terms: readonly (readonly [shaft: string, factor: number])[];
  readonly is: number;
  /** the mesh it comes from; empty for the input and the frame */
  readonly mesh: string;
}

export interface ShaftSpeeds {
  /** turns for one turn of the input, with sign; a shaft that nothing settles is not in it */
  readonly turns: ReadonlyMap<string, number>;
  readonly free: readonly string[];
  /** meshes that would have to slip */
  readonly locked: readonly string[];
}

/**
 * How often every shaft turns for one turn of the input.
 *
 * A pair: n1 z1 = ∓ n2 z2 (minus for external gears and rollers, plus for internal gears, belts and chains;
 * diameters in place of teeth where there are none). A planetary set (Willis):
 * (n_sun − n_carrier) z_sun = −(n_ring − n_carrier) z_ring. The frame stands still. That is a linear system;
 * it is solved by elimination, mesh by mesh, so that the
 * mesh at which the train locks can be named. Bevels and worms turn the axis: their sign is a matter of the
 * eye, so where a loop closes over them each sign is tried.
 */
export function shaftSpeeds(train: TrainInput): ShaftSpeeds {
  return solved(train).speeds;
}

/**
 * By how much every shaft stands elsewhere if one mesh was put together one tooth out, the input held where
 * it was: degrees, with sign. The same linear system, with one tooth (360° of tooth angle) on the right of
 * that mesh. Where power comes by two ways and adds
 * up in a planetary set, each shaft moves by its own share. Null where the train would lock: its loop cannot
 * be closed one tooth out.
 */
export function oneToothOut(train: TrainInput, mesh: string): ReadonlyMap<string, number> | null {
  const { speeds, flipped } = solved(train);
  if (speeds.locked.length) return null;
  const out = eliminate(train, flipped, (id) => (id === mesh ? 360 : 0), 0);
  return out.locked.length ? null : out.turns;
}

function solved(train: TrainInput): { readonly speeds: ShaftSpeeds; readonly flipped: ReadonlySet<string> } {
  const open = train.meshes.filter(turnsTheAxis).slice(0, 10);
  let first: { readonly speeds: ShaftSpeeds; readonly flipped: ReadonlySet<string> } | undefined;
  for (let signs = 0; signs < 2 ** open.length; signs++) {
    const flipped = new Set(open.filter((_, i) => (signs >> i) & 1).map((m) => m.id));
    const speeds = eliminate(train, flipped);
    if (!speeds.locked.length) return { speeds, flipped };
    first ??= { speeds, flipped };
  }
  return first as NonNullable<typeof first>;
}

function relationOf(m: Mesh, flipped: boolean): Relation {
  if (m.kind === "planetary")
    return {
      mesh: m.id,
      is: 0,
      terms: [
        [m.sun.shaft, m.sun.teeth],
        [m.ring.shaft, m.ring.teeth],
        [m.carrier.shaft, -(m.sun.teeth + m.ring.teeth)],
      ],
    };
  const [driver, driven] = pairSizes(m);
  return {
    mesh: m.id,
    is: 0,
    terms: [
      [m.driver.shaft, driver],
      [m.driven.shaft, turnsSameWay(m) || flipped ? -driven : driven],
    ],
  };
}

/**
 * A ring and the gear in it, and what a belt or chain joins, turn the same way; a belt that is crossed over
 * does not.
 */
const turnsSameWay = (m: PairMesh): boolean =>
  m.kind === "internal" ||
  m.kind === "belt" ||
  m.kind === "chain" ||
  (m.kind === "smooth-belt" && !m.crossed);

function eliminate(
  train: TrainInput,
  flipped: ReadonlySet<string>,
  is: (mesh: string) => number = () => 0,
  input = 1,
): ShaftSpeeds {
  const names = [...new Set([train.input.shaft, ...train.meshes.flatMap(shaftsOf)])];
  const column = new Map(names.map((s, i) => [s, i]));
  const width = names.length;
  const relations: Relation[] = [
    { terms: [[train.input.shaft, 1]], is: input, mesh: "" },
    ...(column.has(FRAME) ? [{ terms: [[FRAME, 1]] as const, is: 0, mesh: "" }] : []),
    ...train.meshes.map((m) => ({ ...relationOf(m, flipped.has(m.id)), is: is(m.id) })),
  ];
  /** rows in reduced form: pivot column → row with 1 there and 0 in the columns of all other pivots */
  const rows = new Map<number, Float64Array>();
  const locked: string[] = [];
  for (const r of relations) {
    const row = new Float64Array(width + 1);
    for (const [s, f] of r.terms) (row[column.get(s) as number] as number) += f;
    row[width] = r.is;
    const size = Math.max(...row.map(Math.abs));
    for (const [pivot, done] of rows) subtract(row, done, row[pivot] as number);
    let pivot = -1;
    for (let c = 0; c < width; c++)
      if (
        Math.abs(row[c] as number) > 1e-9 * size &&
        (pivot < 0 || Math.abs(row[c] as number) > Math.abs(row[pivot] as number))
      )
        pivot = c;
    if (pivot < 0) {
      if (Math.abs(row[width] as number) > 1e-9 * size) locked.push(r.mesh);
      continue;
    }
    const by = row[pivot] as number;
    for (let c = 0; c <= width; c++) row[c] = (row[c] as number) / by;
    for (const done of rows.values()) subtract(done, row, done[pivot] as number);
    rows.set(pivot, row);
  }
  const turns = new Map<string, number>();
  const free: string[] = [];
  names.forEach((name, c) => {
    const row = rows.get(c);
    const settled = row && names.every((_, other) => other === c || Math.abs(row[other] as number) < 1e-12);
    if (settled) turns.set(name, (row as Float64Array)[width] as number);
    else free.push(name);
  });
  return { turns, free, locked };
}

function subtract(from: Float64Array, row: Float64Array, times: number): void {
  if (times === 0) return;
  for (let c = 0; c < from.length; c++) from[c] = (from[c] as number) - times * (row[c] as number);
}
