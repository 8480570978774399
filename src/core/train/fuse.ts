import { z } from "zod";
import { Fault } from "../fault";
import type { Frozen } from "../frozen";
import { measured } from "../quantity/measured";
import { capital } from "../sentence";
import { type GearMaterial, MATERIALS, materialNamed } from "./materials";
import { rootStress } from "./root-stress";
import { shaftSpeeds } from "./shaft-speeds";
import { type Mesh, type TrainInput, type TrainWheel, trainInput, wheelsOf } from "./train";

export const fuseInput = z.strictObject({
  train: trainInput,
  /** the same train with one gear of another material */
  swap: z
    .strictObject({ mesh: z.string(), role: z.enum(["driver", "driven", "sun", "ring", "planet"]), material: z.string(), price: z.number().min(0).optional() })
    .optional(),
});
export type FuseInput = Frozen<z.infer<typeof fuseInput>>;

export interface StressedGear {
  readonly wheel: TrainWheel;
  readonly material: GearMaterial;
  readonly torqueNm: number;
  readonly stressMPa: number;
  /** root stress over strength; the highest breaks first */
  readonly share: number;
  readonly price?: number;
}

export interface FuseAnswer {
  /** highest share first */
  readonly gears: readonly StressedGear[];
  /** wheels that cannot be reckoned, and what is missing */
  readonly skipped: readonly { readonly wheel: TrainWheel; readonly says: string }[];
  /** "the 47-tooth nylon gear on lay breaks first …" */
  readonly says: string;
  /** after the swap */
  readonly swapped?: { readonly gears: readonly StressedGear[]; readonly says: string; readonly warning: string | null };
}

/** Share of torque that a mesh hands on, at stall, where friction of rest helps nobody: textbook values for greased gears. */
const EFFICIENCY: Readonly<Record<Mesh["kind"], number>> = {
  spur: 0.97,
  helical: 0.97,
  internal: 0.97,
  bevel: 0.96,
  worm: 0.6,
  belt: 0.97,
  chain: 0.97,
  planetary: 0.96,
};

/**
 * Root stress along the train at motor stall as a share of each gear's strength: which gear is the fuse, and what becomes the fuse if one is swapped for another material.
 *
 * Torque grows with the ratio and loses at each mesh; in a planetary set it is shared by the planets. See {@link rootStress}.
 *
 * @throws Fault without a stall torque, or with a material nobody knows
 */
export function findFuse(input: FuseInput): FuseAnswer {
  const { gears, skipped } = stressed(input.train);
  const first = gears[0];
  const says = first
    ? `${name(first)} breaks first: at stall its root carries ${percent(first.share)} of what its material stands${gears[1] ? `, the next, ${name(gears[1])}, ${percent(gears[1].share)}` : ""}.`
    : "No gear of this train has module, face width and material written down.";
  const { swap } = input;
  if (!swap) return { gears, skipped, says };
  const after = stressed(swappedTrain(input.train, swap)).gears;
  return { gears, skipped, says, swapped: { gears: after, ...swapSays(gears, after, swap) } };
}

function stressed(train: TrainInput): Pick<FuseAnswer, "gears" | "skipped"> {
  const stall = train.input.stallTorqueNm;
  if (stall === undefined)
    throw new Fault("train.input.stallTorqueNm", "the motor's stall torque is missing: read it off the plate, or take five to eight times the rated torque");
  const { turns } = shaftSpeeds(train);
  const lost = efficiencies(train);
  const gears: StressedGear[] = [];
  const skipped: { wheel: TrainWheel; says: string }[] = [];
  for (const m of train.meshes) {
    if (m.kind === "belt" || m.kind === "chain") continue;
    for (const wheel of wheelsOf(m)) {
      const spec = specOf(m, wheel.role);
      if (!spec?.material || !spec.moduleMm || !spec.faceWidthMm) {
        skipped.push({
          wheel,
          says: [!spec?.moduleMm && "module", !spec?.faceWidthMm && "face width", !spec?.material && "material"].filter(Boolean).join(", "),
        });
        continue;
      }
      const material = materialNamed(spec.material);
      if (!material)
        throw new Fault(
          `train.${m.id}.material`,
          `nobody here knows the material “${spec.material}”: it is one of ${MATERIALS.map((x) => x.material).join(", ")}`,
        );
      const torqueNm = torqueAt(m, wheel, turns, lost, measured(stall, 0).value);
      if (torqueNm === null) {
        skipped.push({ wheel, says: "nothing settles how it turns" });
        continue;
      }
      if (wheel.teeth < 6) {
        skipped.push({ wheel, says: "a worm's thread is not reckoned by the tooth formula: its wheel gives way first" });
        continue;
      }
      const stressMPa = rootStress({ teeth: wheel.teeth, moduleMm: spec.moduleMm, faceWidthMm: spec.faceWidthMm, helixAngleDeg: spec.helixAngleDeg }, torqueNm);
      gears.push({ wheel, material, torqueNm, stressMPa, share: stressMPa / material.strengthMPa, price: spec.price });
    }
  }
  return { gears: gears.sort((a, b) => b.share - a.share), skipped };
}

type Spec = {
  material?: string;
  moduleMm?: number;
  faceWidthMm?: number;
  helixAngleDeg?: number;
  price?: number;
};

function specOf(m: Mesh, role: TrainWheel["role"]): Spec | undefined {
  if (m.kind === "planetary") return role === "sun" ? m.sun : role === "ring" ? m.ring : m.planet;
  return role === "driver" ? m.driver : m.driven;
}

/** Torque at a wheel for a stalled input, N m; null where the train does not settle it. */
function torqueAt(m: Mesh, wheel: TrainWheel, turns: ReadonlyMap<string, number>, lost: ReadonlyMap<string, number>, stallNm: number): number | null {
  const drives = m.kind === "planetary" ? m.sun.shaft : m.driver.shaft;
  const n = Math.abs(turns.get(drives) ?? 0);
  if (n < 1e-12) return null;
  const atDriver = (stallNm / n) * (lost.get(drives) ?? 1);
  if (m.kind === "planetary") {
    // one planet carries its share of the sun's force; the same force stands at the ring
    const perPlanet = atDriver / (m.planets ?? 3);
    return perPlanet * (wheel.teeth / m.sun.teeth);
  }
  return wheel.role === "driver" ? atDriver : (atDriver * wheel.teeth * EFFICIENCY[m.kind]) / m.driver.teeth;
}

/** What is left of the motor's torque at each shaft, as the product over the meshes on the way. */
function efficiencies(train: TrainInput): ReadonlyMap<string, number> {
  const out = new Map([[train.input.shaft, 1]]);
  for (let grew = true; grew; ) {
    grew = false;
    for (const m of train.meshes) {
      const [from, to] = m.kind === "planetary" ? [m.sun.shaft, m.carrier.shaft] : [m.driver.shaft, m.driven.shaft];
      const at = out.get(from);
      if (at === undefined || out.has(to)) continue;
      out.set(to, at * EFFICIENCY[m.kind]);
      grew = true;
    }
  }
  return out;
}

function swappedTrain(train: TrainInput, swap: NonNullable<FuseInput["swap"]>): TrainInput {
  if (!materialNamed(swap.material)) throw new Fault("swap.material", `nobody here knows the material “${swap.material}”`);
  const mesh = train.meshes.find((m) => m.id === swap.mesh);
  if (!mesh || !specOf(mesh, swap.role)) throw new Fault("swap.mesh", `the train has no ${swap.role} in a mesh ${swap.mesh}`);
  const changed = { material: swap.material, ...(swap.price === undefined ? {} : { price: swap.price }) };
  return {
    ...train,
    meshes: train.meshes.map((m) => (m === mesh ? ({ ...m, [swap.role]: { ...specOf(m, swap.role), ...changed } } as Mesh) : m)),
  };
}

function swapSays(
  before: readonly StressedGear[],
  after: readonly StressedGear[],
  swap: NonNullable<FuseInput["swap"]>,
): { says: string; warning: string | null } {
  const [was, will] = [before[0], after[0]];
  if (!was || !will) return { says: "Nothing can be said before and after.", warning: null };
  const same = was.wheel.mesh === will.wheel.mesh && was.wheel.role === will.wheel.role;
  const material = materialNamed(swap.material)?.says ?? swap.material;
  if (same) return { says: `With ${material} there, ${name(will)} still breaks first, at ${percent(will.share)} of its strength.`, warning: null };
  const says = `With ${material} there, the break moves to ${name(will)}, at ${percent(will.share)} of its strength.`;
  const dearer = was.price !== undefined && will.price !== undefined && will.price > was.price;
  const cost = dearer
    ? `: that costs ${will.price?.toFixed(2)}, not ${was.price?.toFixed(2)}`
    : will.price === undefined || was.price === undefined
      ? ": write down what both cost before deciding"
      : "";
  const warning =
    dearer || will.price === undefined || was.price === undefined
      ? `${capital(name(was))} is a fuse by design. Stronger, it moves the break to ${name(will)}${cost}.`
      : null;
  return { says, warning };
}

const name = (g: StressedGear): string => `the ${g.wheel.says} on ${g.wheel.shaft} (${g.material.says})`;
const percent = (x: number): string => `${Math.round(x * 100)} %`;
