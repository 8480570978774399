import { gearDimensions } from "../gear/dimensions";
import { pitchLineSpeed } from "../grease/charge";
import type { Job } from "../job/job";
import { radians } from "../quantity/units";
import { shaftSpeeds } from "../train/shaft-speeds";
import {
  countedTrain,
  FRAME,
  isSmooth,
  type Mesh,
  type TrainInput,
  type TrainWheel,
  wheelsOf,
} from "../train/train";

/** What a wheel of the train, or a gear named at Judge, tells of its lubrication. */
export interface WheelFacts {
  /** normal module, face width, helix angle, as far as they are known */
  readonly teeth: number | null;
  readonly moduleMm?: number;
  readonly faceWidthMm?: number;
  readonly helixAngleDeg?: number;
  /** what it is made of, and its mate */
  readonly materials: readonly string[];
  readonly pitchLineMPerS?: number;
  readonly isWorm: boolean;
}

export type WheelRef = { readonly mesh: string; readonly role: string };

/** Meshes of teeth that run in a lubricant: belts, chains and rollers do not. */
export const isLubricated = (m: Mesh): boolean => !isSmooth(m) && m.kind !== "belt" && m.kind !== "chain";

/** A wheel's own entry in its mesh: module, face, material. */
function ownOf(
  m: Mesh,
  role: string,
): {
  moduleMm?: number;
  faceWidthMm?: number;
  material?: string;
  helixAngleDeg?: number;
  teeth?: number;
  part?: string;
} {
  if (isSmooth(m)) return {};
  if (m.kind === "planetary") {
    const planet = { ...m.planet, teeth: m.planetTeeth };
    return role === "sun" ? m.sun : role === "ring" ? m.ring : planet;
  }
  return role === "driver" ? m.driver : m.driven;
}

/** The train's wheels that run in a lubricant. */
export const lubricatedWheels = (train: TrainInput | undefined): TrainWheel[] =>
  (train?.meshes ?? []).filter(isLubricated).flatMap(wheelsOf);

/** The wheel of a train that a point names, or the first that is this part. */
export function wheelAt(
  train: TrainInput | undefined,
  at: { readonly wheel?: WheelRef; readonly part?: string },
): TrainWheel | undefined {
  const all = lubricatedWheels(train);
  return at.wheel
    ? all.find((w) => w.mesh === at.wheel?.mesh && w.role === at.wheel?.role)
    : at.part
      ? all.find((w) => w.part === at.part)
      : undefined;
}

/**
 * What is known of a wheel: from the train, and where that is silent, from its part, its name and its
 * readings at Judge.
 */
export function wheelFacts(
  job: Pick<Job, "train" | "parts" | "findings" | "readings">,
  at: { readonly wheel?: WheelRef; readonly part?: string },
): WheelFacts | undefined {
  const { train } = job;
  const wheel = wheelAt(train, at);
  const part = wheel?.part ?? at.part;
  const finding = job.findings.find((f) => f.part === part);
  const mesh = wheel && train?.meshes.find((m) => m.id === wheel.mesh);
  const materialOf = (id: string | undefined): string | undefined =>
    job.parts.find((p) => p.id === id)?.material;
  if (!wheel || !mesh || !train) {
    const { identity } = finding ?? {};
    if (!identity) return undefined;
    const own = materialOf(part);
    return {
      teeth: identity.teeth,
      moduleMm: identity.moduleMm,
      helixAngleDeg: identity.helixAngleDeg,
      faceWidthMm: readingOf(job, part, "face width"),
      materials: own ? [own] : [],
      isWorm: false,
    };
  }
  const own = ownOf(mesh, wheel.role);
  const materials = wheelsOf(mesh).flatMap((w) => {
    const m = ownOf(mesh, w.role).material ?? materialOf(w.part);
    return m ?? [];
  });
  // what meshes has one module
  const moduleMm =
    own.moduleMm ??
    finding?.identity?.moduleMm ??
    wheelsOf(mesh).flatMap((w) => ownOf(mesh, w.role).moduleMm ?? [])[0];
  const helixAngleDeg = own.helixAngleDeg ?? finding?.identity?.helixAngleDeg;
  const facts: WheelFacts = {
    teeth: wheel.teeth,
    materials,
    isWorm: mesh.kind === "worm",
    ...(moduleMm !== undefined && { moduleMm }),
    ...(helixAngleDeg !== undefined && { helixAngleDeg }),
    ...((own.faceWidthMm ?? readingOf(job, part, "face width")) !== undefined && {
      faceWidthMm: own.faceWidthMm ?? readingOf(job, part, "face width"),
    }),
  };
  const speed = pitchSpeed(train, mesh, wheel, moduleMm, helixAngleDeg);
  return speed === undefined ? facts : { ...facts, pitchLineMPerS: speed };
}

const readingOf = (job: Pick<Job, "readings">, part: string | undefined, what: string): number | undefined =>
  part === undefined ? undefined : job.readings.findLast((r) => r.part === part && r.what === what)?.value;

/**
 * How fast a wheel's teeth run at the pitch line, m/s; in a planetary set against the carrier. Not known
 * where nothing settles it, or no count was looked at.
 */
function pitchSpeed(
  train: TrainInput,
  mesh: Mesh,
  wheel: TrainWheel,
  moduleMm: number | undefined,
  helix: number | undefined,
): number | undefined {
  if (mesh.assumed || moduleMm === undefined || wheel.teeth === null || mesh.kind === "worm")
    return undefined;
  const { turns, locked } = shaftSpeeds(countedTrain(train));
  if (locked.length) return undefined;
  const of = (shaft: string): number | undefined => (shaft === FRAME ? 0 : turns.get(shaft));
  const own = of(mesh.kind === "planetary" ? mesh.sun.shaft : wheel.shaft);
  const frame = mesh.kind === "planetary" ? of(mesh.carrier.shaft) : 0;
  if (own === undefined || frame === undefined) return undefined;
  const teeth = mesh.kind === "planetary" ? mesh.sun.teeth : wheel.teeth;
  return pitchLineSpeed(
    (moduleMm * teeth) / Math.cos(radians(helix ?? 0)),
    Math.abs(own - frame) * train.input.rpm,
  );
}

/**
 * What the tooth spaces of a wheel hold when half filled, ml: ½ (d_a² − d_f²)/4 · π · b. Undefined where a
 * size is not known.
 */
export function toothVolumeMl({
  teeth,
  moduleMm,
  faceWidthMm,
  helixAngleDeg,
}: Pick<WheelFacts, "teeth" | "moduleMm" | "faceWidthMm" | "helixAngleDeg">): number | undefined {
  if (teeth === null || teeth < 4 || moduleMm === undefined || faceWidthMm === undefined) return undefined;
  const { tipDiameterMm: da, rootDiameterMm: df } = gearDimensions({
    teeth,
    moduleMm,
    pressureAngleDeg: 20,
    helixAngleDeg: helixAngleDeg ?? 0,
    profileShift: 0,
  });
  return (((da * da - df * df) / 8) * Math.PI * faceWidthMm) / 1000;
}

/**
 * What a wheel takes up of the room it lies in, ml: a cylinder of its reference diameter. Undefined where a
 * size is not known.
 */
export function wheelVolumeMl({
  teeth,
  moduleMm,
  faceWidthMm,
  helixAngleDeg,
}: WheelFacts): number | undefined {
  if (teeth === null || teeth < 4 || moduleMm === undefined || faceWidthMm === undefined) return undefined;
  const d = (moduleMm * teeth) / Math.cos(radians(helixAngleDeg ?? 0));
  return ((Math.PI / 4) * d * d * faceWidthMm) / 1000;
}
