import { type BeltRun, beltRunOf, beltSays } from "./belt-run";
import { oneToothOut, shaftSpeeds } from "./shaft-speeds";
import {
  countedTrain,
  FRAME,
  isSmooth,
  type Mesh,
  meshName,
  type PlanetaryMesh,
  shaftsOf,
  type TrainInput,
  turnsTheAxis,
} from "./train";
import { type Turning, turnings } from "./turning";

export interface ShaftAnswer {
  readonly shaft: string;
  /** null where nothing settles it */
  readonly rpm: number | null;
  readonly turnsPerInputTurn: number | null;
  /** against the input's; null where the axes are not parallel, or nothing settles it */
  readonly direction: 1 | -1 | null;
  /** how often a second something that sits once on the shaft comes round */
  readonly onceHz: number | null;
  /**
   * which way it is seen to turn, and from where; where the motor's own way and what lies between were told
   */
  readonly turning?: Turning;
}

export interface MeshAnswer {
  readonly id: string;
  /**
   * turns of the driver for one of the driven; null where one stands still. In a planetary set of the two
   * that turn: sun to carrier, sun to ring where the carrier is held, ring to carrier where the sun is
   */
  readonly ratio: number | null;
  /** teeth that meet in a second */
  readonly meshHz: number | null;
  /** turns until the same two teeth meet again; in a planetary set sun and planet, seen from the carrier */
  readonly sameTeethEvery: { readonly driverTurns: number; readonly drivenTurns: number } | null;
  /** what one tooth out at this mesh makes at every shaft that turns, degrees */
  readonly oneToothOff: readonly { readonly shaft: string; readonly degrees: number }[];
  /** of a belt whose centre distance or length is known */
  readonly belt?: BeltRun;
}

export interface TrainProblem {
  /** the mesh or shaft it is about */
  readonly at: string;
  readonly says: string;
}

export interface TrainAnswer {
  readonly shafts: readonly ShaftAnswer[];
  readonly meshes: readonly MeshAnswer[];
  readonly problems: readonly TrainProblem[];
}

/**
 * Speeds, rates and periods of a gear train, and what is wrong with it.
 *
 * Mesh rate f = z n/60, n against the carrier in a planetary set; the same teeth meet again every lcm(z1,
 * z2)/z1 turns of gear 1. One tooth out is 360°/z at that shaft
 * and, times the ratio, at every other. A train that locks, a shaft that nothing drives, planets that do not
 * fit are problems, not errors: what can be
 * computed is.
 *
 * @example solveTrain({ input: { shaft: "motor", rpm: 18000 }, meshes: [{ id: "m1", kind: "spur", driver: {
 *   shaft: "motor", teeth: 9 }, driven: { shaft: "lay", teeth: 45 } }] })
 * // lay: 3600 rpm, direction −1, 60 Hz; m1: ratio 5, 2700 Hz
 */
export function solveTrain(train: TrainInput): TrainAnswer {
  const counted = countedTrain(train);
  const { turns, free, locked } = shaftSpeeds(counted);
  // what an uncounted mesh would drive is asked for there, and not called undriven
  const apart = counted === train ? free : shaftSpeeds(train).free;
  const parallel = parallelToInput(train);
  const { rpm } = train.input;
  const seen = turnings(train, turns);
  const order = [...new Set([train.input.shaft, ...train.meshes.flatMap(shaftsOf)])].filter(
    (s) => s !== FRAME,
  );
  const shafts = order.map((shaft): ShaftAnswer => {
    const t = turns.get(shaft);
    if (t === undefined) return { shaft, rpm: null, turnsPerInputTurn: null, direction: null, onceHz: null };
    return {
      shaft,
      rpm: Math.abs(t) * rpm,
      turnsPerInputTurn: Math.abs(t),
      direction: !parallel.has(shaft) || t === 0 ? null : t > 0 ? 1 : -1,
      onceHz: (Math.abs(t) * rpm) / 60,
      ...(seen.has(shaft) ? { turning: seen.get(shaft) } : {}),
    };
  });
  return {
    shafts,
    meshes: train.meshes.map((m) =>
      m.assumed
        ? { id: m.id, ratio: null, meshHz: null, sameTeethEvery: null, oneToothOff: [] }
        : meshAnswer(counted, m, turns, rpm),
    ),
    problems: [
      ...train.meshes.flatMap((m) =>
        m.assumed
          ? [{ at: m.id, says: `the counts of ${meshName(m)} are only a beginning: type what you counted` }]
          : [],
      ),
      ...problemsOf(counted),
      ...locked.map((id) => lockedSays(train, id)),
      ...apart.filter((s) => s !== FRAME).map((s) => freeSays(train, s)),
    ],
  };
}

/** Greatest common divisor of two whole numbers. */
export const gcd = (a: number, b: number): number => (b ? gcd(b, a % b) : a);

function meshAnswer(train: TrainInput, m: Mesh, turns: ReadonlyMap<string, number>, rpm: number): MeshAnswer {
  const belt = beltRunOf(m);
  if (isSmooth(m)) {
    const [driver, driven] = [turns.get(m.driver.shaft), turns.get(m.driven.shaft)];
    const ratio =
      driver === undefined || driven === undefined || Math.abs(driven) < 1e-12
        ? null
        : Math.abs(driver / driven);
    return {
      id: m.id,
      ratio,
      meshHz: null,
      sameTeethEvery: null,
      oneToothOff: [],
      ...(belt ? { belt } : {}),
    };
  }
  const [a, b, z1, z2] =
    m.kind === "planetary"
      ? [m.sun.shaft, m.carrier.shaft, m.sun.teeth, m.planetTeeth]
      : [m.driver.shaft, m.driven.shaft, m.driver.teeth, m.driven.teeth];
  const na = turns.get(a);
  const nb = turns.get(b);
  const again = z2 ? { driverTurns: z2 / gcd(z1, z2), drivenTurns: z1 / gcd(z1, z2) } : null;
  // against the carrier, where there is one; a worm's teeth are its starts
  const meshing =
    na === undefined || (m.kind === "planetary" && nb === undefined)
      ? null
      : (Math.abs(na - (m.kind === "planetary" ? (nb as number) : 0)) * z1 * rpm) / 60;
  return {
    id: m.id,
    ratio:
      m.kind === "planetary"
        ? planetaryRatio(m, turns)
        : na === undefined || nb === undefined || Math.abs(nb) < 1e-12
          ? null
          : Math.abs(na / nb),
    meshHz: meshing,
    sameTeethEvery: again,
    oneToothOff: na === undefined ? [] : outAt(train, m, turns, z1, na),
    ...(belt ? { belt } : {}),
  };
}

/**
 * One tooth out at a mesh, degrees at every shaft that turns. Behind the mesh each shaft stands elsewhere by
 * what the train makes of it, also where two ways add up; of the shafts before it, which stay, it is said how
 * far they would have to be turned to make up for it.
 */
function outAt(
  train: TrainInput,
  m: Mesh,
  turns: ReadonlyMap<string, number>,
  teeth: number,
  driver: number,
): { shaft: string; degrees: number }[] {
  const moved = oneToothOut(train, m.id);
  return [...turns]
    .filter(([s, n]) => s !== FRAME && Math.abs(n) > 1e-12)
    .flatMap(([shaft, n]) => {
      const there = Math.abs(moved?.get(shaft) ?? 0);
      if (there > 1e-9) return [{ shaft, degrees: there }];
      // a sun that is held turns nothing before it
      return Math.abs(driver) < 1e-12 ? [] : [{ shaft, degrees: (360 / teeth) * Math.abs(n / driver) }];
    });
}

/**
 * Of the two that turn: sun to carrier with the ring held, sun to ring with the carrier held, ring to carrier
 * with the sun held; sun to carrier where all turn.
 */
function planetaryRatio(m: PlanetaryMesh, turns: ReadonlyMap<string, number>): number | null {
  const held = [m.sun.shaft, m.ring.shaft, m.carrier.shaft].map(
    (s) => s === FRAME || Math.abs(turns.get(s) ?? 1) < 1e-12,
  );
  const [from, to] = held[0]
    ? [m.ring.shaft, m.carrier.shaft]
    : held[2]
      ? [m.sun.shaft, m.ring.shaft]
      : [m.sun.shaft, m.carrier.shaft];
  const [a, b] = [turns.get(from), turns.get(to)];
  return a === undefined || b === undefined || Math.abs(b) < 1e-12 ? null : Math.abs(a / b);
}

/** Shafts whose axis is parallel to the input's, as far as the meshes tell. */
function parallelToInput(train: TrainInput): ReadonlySet<string> {
  const known = new Set([train.input.shaft]);
  for (let grew = true; grew; ) {
    grew = false;
    for (const m of train.meshes) {
      if (turnsTheAxis(m)) continue;
      const shafts = shaftsOf(m).filter((s) => s !== FRAME);
      if (!shafts.some((s) => known.has(s))) continue;
      for (const s of shafts)
        if (!known.has(s)) {
          known.add(s);
          grew = true;
        }
    }
  }
  return known;
}

function problemsOf(train: TrainInput): TrainProblem[] {
  const out: TrainProblem[] = [];
  const ids = new Set<string>();
  for (const m of train.meshes) {
    if (ids.has(m.id)) out.push({ at: m.id, says: `two meshes are called ${m.id}` });
    ids.add(m.id);
    const shafts = shaftsOf(m);
    if (new Set(shafts).size < shafts.length)
      out.push({ at: m.id, says: `${meshName(m)} joins a shaft with itself` });
    if (m.kind === "planetary") out.push(...planetsSay(m));
    out.push(...beltSays(m).map((says) => ({ at: m.id, says })));
    if (m.kind === "internal" && m.driven.teeth === m.driver.teeth)
      out.push({ at: m.id, says: "a ring and the gear inside it cannot have the same number of teeth" });
    if (m.kind === "worm" && m.driver.teeth > m.driven.teeth)
      out.push({
        at: m.id,
        says: "here the wheel drives the worm: below a lead angle of about 5° it locks itself; is the worm the driver?",
      });
  }
  if (train.input.shaft === FRAME)
    out.push({ at: FRAME, says: "the input is the frame, which stands still" });
  return out;
}

function planetsSay(m: PlanetaryMesh): TrainProblem[] {
  const out: TrainProblem[] = [];
  const { planets, planetTeeth: zp } = m;
  if (zp !== undefined && m.ring.teeth !== m.sun.teeth + 2 * zp)
    out.push({
      at: m.id,
      says: `the ring should have ${m.sun.teeth + 2 * zp} teeth (sun + 2 × planet), not ${m.ring.teeth}: count again, unless the gears are shifted`,
    });
  if (planets !== undefined && planets > 1 && (m.sun.teeth + m.ring.teeth) % planets !== 0)
    out.push({
      at: m.id,
      says: `${planets} planets cannot sit evenly: sun + ring = ${m.sun.teeth + m.ring.teeth} teeth is not a multiple of ${planets}`,
    });
  // neighbours stand 2 a sin(180°/N) apart, a = (z_s + z_p)/2 modules, and are z_p + 2 modules over their
  // tips
  if (planets !== undefined && planets > 1 && zp !== undefined) {
    const room = (m.sun.teeth + zp) * Math.sin(Math.PI / planets) - (zp + 2);
    if (room <= 0)
      out.push({
        at: m.id,
        says: `${planets} planets of ${zp} teeth collide: their tips would overlap by ${(-room).toFixed(1)} modules; at most ${mostPlanets(m.sun.teeth, zp)} find room`,
      });
  }
  return out;
}

/** As many planets as stand side by side without their tips touching. */
const mostPlanets = (sun: number, planet: number): number =>
  Math.floor(Math.PI / Math.asin(Math.min(1, (planet + 2) / (sun + planet))) - 1e-9);

function lockedSays(train: TrainInput, id: string): TrainProblem {
  const m = train.meshes.find((x) => x.id === id);
  if (!m)
    return { at: train.input.shaft, says: `the input shaft ${train.input.shaft} is held: the train locks` };
  return {
    at: id,
    says: `the train locks: ${shaftsOf(m)
      .filter((s) => s !== FRAME)
      .join(" and ")} are driven twice, at speeds that do not agree`,
  };
}

function freeSays(train: TrainInput, shaft: string): TrainProblem {
  const planetary = train.meshes.find((m) => m.kind === "planetary" && shaftsOf(m).includes(shaft));
  return {
    at: shaft,
    says: planetary
      ? `nothing settles how ${shaft} turns: of ${meshName(planetary)}, hold the ring or drive one more of sun, ring and carrier`
      : `nothing drives ${shaft}: no mesh joins it to ${train.input.shaft}`,
  };
}
