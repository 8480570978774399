import { z } from "zod";
import { Fault } from "../fault";
import type { Frozen } from "../frozen";
import { measured } from "../quantity/measured";
import { capital } from "../sentence";
import { type GearMaterial, MATERIALS, materialNamed } from "./materials";
import { bevelRootStress, rootStress } from "./root-stress";
import { shaftSpeeds } from "./shaft-speeds";
import {
  FRAME,
  isSmooth,
  type Mesh,
  type PlanetaryMesh,
  type SmoothMesh,
  shaftsOf,
  type TrainInput,
  type TrainWheel,
  trainInput,
  wheelsOf,
} from "./train";

export const fuseInput = z.strictObject({
  train: trainInput,
  /** the same train with one gear of another material */
  swap: z
    .strictObject({
      mesh: z.string(),
      role: z.enum(["driver", "driven", "sun", "ring", "planet"]),
      material: z.string(),
      price: z.number().min(0).optional(),
    })
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

/** A clutch that gives way before the motor stalls. */
export interface SlippingClutch {
  readonly shaft: string;
  readonly slipsNm: number;
  /** what the motor would bring there at stall, N m */
  readonly wouldBeNm: number;
}

export interface FuseAnswer {
  /** the clutch that slips first, and so is the fuse of the train; null: none does */
  readonly clutch: SlippingClutch | null;
  /** highest share first */
  readonly gears: readonly StressedGear[];
  /** wheels that cannot be reckoned, and what is missing */
  readonly skipped: readonly { readonly wheel: TrainWheel; readonly says: string }[];
  /** "the 47-tooth nylon gear on lay breaks first …" */
  readonly says: string;
  /** after the swap */
  readonly swapped?: {
    readonly gears: readonly StressedGear[];
    readonly says: string;
    readonly warning: string | null;
  };
}

/**
 * Share of torque that a mesh hands on, at stall, where friction of rest helps nobody: textbook values for
 * greased gears.
 */
const EFFICIENCY: Readonly<Record<Mesh["kind"], number>> = {
  spur: 0.97,
  helical: 0.97,
  internal: 0.97,
  bevel: 0.96,
  worm: 0.6,
  crossed: 0.8,
  belt: 0.97,
  "smooth-belt": 0.95,
  rollers: 0.95,
  chain: 0.97,
  planetary: 0.96,
};

/**
 * Root stress along the train at motor stall as a share of each gear's strength: which gear is the fuse, and
 * what becomes the fuse if one is swapped for another material.
 *
 * Torque grows with the ratio and loses at each mesh; in a planetary set it is shared by the planets. See
 * {@link rootStress}.
 *
 * @throws Fault without a stall torque, or with a material nobody knows
 */
export function findFuse(input: FuseInput): FuseAnswer {
  const { gears, skipped, clutch } = stressed(input.train);
  const says = clutch ? clutchSays(clutch, gears) : weakestSays(gears);
  const { swap } = input;
  if (!swap) return { clutch, gears, skipped, says };
  const after = stressed(swappedTrain(input.train, swap)).gears;
  return { clutch, gears, skipped, says, swapped: { gears: after, ...swapSays(gears, after, swap) } };
}

function clutchSays(c: SlippingClutch, gears: readonly StressedGear[]): string {
  const slips = `the clutch on ${c.shaft} slips first, at ${torque(c.slipsNm)} of the ${torque(c.wouldBeNm)} that the motor would bring there at stall`;
  const [first] = gears;
  if (!first) return `${slips}.`;
  return mayBreak(first)
    ? `${slips}; and yet ${name(first)} carries ${percent(first.share)} of what its material stands by then: the clutch is set too tight, or is not the one that belongs there.`
    : `${slips}: no gear carries more than ${percent(first.share)} of what its material stands.`;
}
const torque = (nm: number): string => `${Number(nm.toPrecision(2))} N m`;

/** The clutch that slips at the smallest share of the motor's stall torque; null where all stand it. */
function slippingFirst(
  train: TrainInput,
  stallNm: number,
  turns: ReadonlyMap<string, number>,
  lost: ReadonlyMap<string, number>,
): SlippingClutch | null {
  const slipping = (train.clutches ?? []).flatMap((c): SlippingClutch[] => {
    const n = Math.abs(turns.get(c.shaft) ?? 0);
    const wouldBeNm = n < 1e-12 ? 0 : (stallNm / n) * (lost.get(c.shaft) ?? 1);
    return wouldBeNm > c.slipsNm ? [{ shaft: c.shaft, slipsNm: c.slipsNm, wouldBeNm }] : [];
  });
  return slipping.reduce<SlippingClutch | null>(
    (a, b) => (a && a.slipsNm / a.wouldBeNm <= b.slipsNm / b.wouldBeNm ? a : b),
    null,
  );
}

/**
 * A gear gives way at stall only if its root may carry all that its material stands, within two spreads of
 * the grades sold.
 */
export const mayBreak = (g: StressedGear): boolean => g.share * (1 + 2 * g.material.spread) >= 1;

/**
 * How sure it is that one gear is weaker than another, as the spreads of their materials leave it: normal in
 * the logarithm of the strengths.
 */
function weakerBy(a: StressedGear, b: StressedGear): number {
  const z = Math.log(a.share / b.share) / Math.hypot(a.material.spread, b.material.spread);
  // logistic for the normal distribution's integral, within 0.01
  return 1 / (1 + Math.exp(-1.702 * z));
}
/** Under this it is left open which of two gears is the weaker. */
const SURE = 0.9;

function weakestSays(gears: readonly StressedGear[]): string {
  const [first, second] = gears;
  if (!first) return "No gear of this train has module, face width and material written down.";
  const carries = `at stall its root carries ${percent(first.share)} of what its material stands`;
  const next = second ? `, the next, ${name(second)}, ${percent(second.share)}` : "";
  if (!mayBreak(first))
    return `No gear of this train breaks at stall: of ${name(first)}, the weakest, ${carries.replace("its root", "the root")}${next}.`;
  if (second && weakerBy(first, second) < SURE)
    return `${name(first)} or ${name(second)} breaks first: ${percent(first.share)} and ${percent(second.share)} of what their materials stand at stall, and grades differ by more than that.`;
  return `${name(first)} breaks first: ${carries}${next}.`;
}

function stressed(train: TrainInput): Pick<FuseAnswer, "gears" | "skipped" | "clutch"> {
  const stall = train.input.stallTorqueNm;
  if (stall === undefined)
    throw new Fault(
      "train.input.stallTorqueNm",
      "the motor's stall torque is missing: read it off the plate, or take five to eight times the rated torque",
    );
  const { turns } = shaftSpeeds(train);
  const lost = efficiencies(train);
  const clutch = slippingFirst(train, measured(stall, 0).value, turns, lost);
  // a clutch that slips holds the whole train to what it lets through
  const atMotorNm = measured(stall, 0).value * (clutch ? clutch.slipsNm / clutch.wouldBeNm : 1);
  const gears: StressedGear[] = [];
  const skipped: { wheel: TrainWheel; says: string }[] = [];
  for (const m of train.meshes) {
    if (m.kind === "belt" || m.kind === "chain" || isSmooth(m)) continue;
    for (const wheel of wheelsOf(m)) {
      const { teeth } = wheel;
      if (teeth === null) continue;
      const spec = specOf(m, wheel.role);
      if (!spec?.material || !spec.moduleMm || !spec.faceWidthMm) {
        skipped.push({
          wheel,
          says: [
            !spec?.moduleMm && "module",
            !spec?.faceWidthMm && "face width",
            !spec?.material && "material",
          ]
            .filter(Boolean)
            .join(", "),
        });
        continue;
      }
      const material = materialNamed(spec.material);
      if (!material)
        throw new Fault(
          `train.${m.id}.material`,
          `nobody here knows the material “${spec.material}”: it is one of ${MATERIALS.map((x) => x.material).join(", ")}`,
        );
      const torqueNm = torqueAt(m, { role: wheel.role, teeth }, turns, lost, atMotorNm);
      if (torqueNm === null) {
        skipped.push({ wheel, says: "nothing settles how it turns" });
        continue;
      }
      if (teeth < 6) {
        skipped.push({
          wheel,
          says: "a worm's thread is not reckoned by the tooth formula: its wheel gives way first",
        });
        continue;
      }
      const loaded = {
        teeth,
        moduleMm: spec.moduleMm,
        faceWidthMm: spec.faceWidthMm,
        helixAngleDeg: spec.helixAngleDeg,
        profileShift: spec.profileShift,
      };
      const stressMPa =
        m.kind === "bevel"
          ? bevelRootStress(loaded, wheel.role === "driver" ? m.driven.teeth : m.driver.teeth, torqueNm)
          : rootStress(loaded, torqueNm);
      gears.push({
        wheel,
        material,
        torqueNm,
        stressMPa,
        share: stressMPa / material.strengthMPa,
        price: spec.price,
      });
    }
  }
  return { gears: gears.sort((a, b) => b.share - a.share), skipped, clutch };
}

type Spec = {
  material?: string;
  moduleMm?: number;
  faceWidthMm?: number;
  helixAngleDeg?: number;
  profileShift?: number;
  price?: number;
};

function specOf(m: Mesh, role: TrainWheel["role"]): Spec | undefined {
  if (m.kind === "planetary") return role === "sun" ? m.sun : role === "ring" ? m.ring : m.planet;
  if (isSmooth(m)) return undefined;
  return role === "driver" ? m.driver : m.driven;
}

/** Torque at a wheel for a stalled input, N m; null where the train does not settle it. */
function torqueAt(
  m: Exclude<Mesh, SmoothMesh>,
  wheel: { readonly role: TrainWheel["role"]; readonly teeth: number },
  turns: ReadonlyMap<string, number>,
  lost: ReadonlyMap<string, number>,
  stallNm: number,
): number | null {
  const drives = m.kind === "planetary" ? entersBy(m, lost) : m.driver.shaft;
  const n = Math.abs(turns.get(drives) ?? 0);
  if (n < 1e-12) return null;
  const atDriver = (stallNm / n) * (lost.get(drives) ?? 1);
  if (m.kind === "planetary") {
    // sun, ring and carrier stand in balance as z_s : z_r : z_s + z_r, whichever of them is held; one planet
    // carries its share, and the same force stands at sun, planet and ring
    const weights = new Map([
      [m.sun.shaft, m.sun.teeth],
      [m.ring.shaft, m.ring.teeth],
      [m.carrier.shaft, m.sun.teeth + m.ring.teeth],
    ]);
    const perTooth = atDriver / (weights.get(drives) as number) / (m.planets ?? 3);
    return perTooth * wheel.teeth;
  }
  return wheel.role === "driver" ? atDriver : (atDriver * wheel.teeth * EFFICIENCY[m.kind]) / m.driver.teeth;
}

/**
 * The shaft by which power comes into a planetary set: the first of sun, ring and carrier that the motor
 * reaches.
 */
const entersBy = (m: PlanetaryMesh, reached: ReadonlyMap<string, number>): string =>
  [m.sun.shaft, m.ring.shaft, m.carrier.shaft].find((s) => s !== FRAME && reached.has(s)) ?? m.sun.shaft;

/** What is left of the motor's torque at each shaft, as the product over the meshes on the way. */
function efficiencies(train: TrainInput): ReadonlyMap<string, number> {
  const out = new Map([[train.input.shaft, 1]]);
  for (let grew = true; grew; ) {
    grew = false;
    for (const m of train.meshes) {
      const from = m.kind === "planetary" ? entersBy(m, out) : m.driver.shaft;
      const at = out.get(from);
      if (at === undefined) continue;
      for (const to of m.kind === "planetary" ? shaftsOf(m) : [m.driven.shaft]) {
        if (to === FRAME || out.has(to)) continue;
        out.set(to, at * EFFICIENCY[m.kind]);
        grew = true;
      }
    }
  }
  return out;
}

function swappedTrain(train: TrainInput, swap: NonNullable<FuseInput["swap"]>): TrainInput {
  if (!materialNamed(swap.material))
    throw new Fault("swap.material", `nobody here knows the material “${swap.material}”`);
  const mesh = train.meshes.find((m) => m.id === swap.mesh);
  if (!mesh || !specOf(mesh, swap.role))
    throw new Fault("swap.mesh", `the train has no ${swap.role} in a mesh ${swap.mesh}`);
  const changed = { material: swap.material, ...(swap.price === undefined ? {} : { price: swap.price }) };
  return {
    ...train,
    meshes: train.meshes.map((m) =>
      m === mesh ? ({ ...m, [swap.role]: { ...specOf(m, swap.role), ...changed } } as Mesh) : m,
    ),
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
  if (same)
    return {
      says: `With ${material} there, ${name(will)} still breaks first, at ${percent(will.share)} of its strength.`,
      warning: null,
    };
  if (!mayBreak(will))
    return {
      says: `With ${material} there, no gear breaks at stall: the weakest is ${name(will)}, at ${percent(will.share)} of its strength. Something else gives way.`,
      warning: null,
    };
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
