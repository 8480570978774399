import { CALIPER_U_MM } from "../quantity/caliper";
import { type Measured, measured } from "../quantity/measured";
import { degrees, radians } from "../quantity/units";
import {
  cosBaseHelix,
  gearDimensions,
  inverseInvolute,
  involute,
  transversePressureAngle,
} from "./dimensions";
import { involuteStartRadius } from "./outline";
import type { PairGear, PairVerdict } from "./pair-gear";
import { meshingVerdicts } from "./pair-verdicts";

export interface PairAnswer {
  readonly verdicts: readonly PairVerdict[];
  readonly meshes: boolean;
  /** null where the two do not mesh at all */
  readonly figures: {
    /** a = m_t (z1 + z2)/2, mm */
    readonly referenceCentreMm: number;
    /** without backlash, for their shifts and their teeth as thin as they are, mm */
    readonly tightCentreMm: number;
    /** what the rest is worked out for: the measured distance, or the one that belongs to their shifts */
    readonly centreMm: number;
    readonly workingPressureAngleDeg: number;
    /** ε_α */
    readonly contactRatio: number;
    /** ε_β = b sin β/(π m_n) over the narrower face; 0 for straight teeth, null where no face was measured */
    readonly overlapRatio: number | null;
    /** normal backlash, mm, with the thinning and the wear of both */
    readonly backlashMm: number;
    /** one standard deviation */
    readonly backlashU: number;
    /** tip of one to root of the other, mm */
    readonly tipClearanceMm: readonly [ofGear: number, ofMate: number];
  } | null;
}

/** Backlash that is cut into unmeasured pairs of this size, in modules: DIN 3967 practice, coarse. */
const USUAL_BACKLASH = 0.05;

interface Mesh {
  readonly centreMm: number;
  readonly alphaW: number;
  readonly contactRatio: number;
  readonly backlashMm: number;
}

/**
 * Whether two external gears on parallel shafts mesh, and how.
 *
 * inv α_wt = inv α_t + 2 tan α_n (x1 + x2)/(z1 + z2); a_w = a cos α_t/cos α_wt; ε_α = [√(d_a1² − d_b1²) +
 * √(d_a2² − d_b2²) − 2 a_w sin α_wt]/(2 π m_t cos α_t); ε_β = b sin β/(π m_n) (ISO 21771, 5.3 to 5.4).
 * Backlash is what the two working
 * thicknesses leave of the working pitch: each loss W of a span takes W/(2 m_n sin α_n) off the shift of its
 * gear. Interference: where a tip reaches below the first point of the other's involute.
 *
 * Two gears that mesh have one helix angle, and it was measured twice: they are taken to have the mean by
 * their spreads, each keeping its tips. Nothing is refused that the spreads of helix, shift, wear and centre
 * distance leave open: it is a caution then.
 *
 * @param centre the measured centre distance, mm
 * @example pairOf(z20, z40).figures.contactRatio // 1.635 for 20° without shift: the textbook's pair
 */
export function pairOf(gear: PairGear, mate: PairGear, centre?: number | Measured): PairAnswer {
  const verdicts = meshingVerdicts(gear, mate);
  if (verdicts.some((v) => !v.ok)) return { verdicts, meshes: false, figures: null };
  const [one, other] = alikeHelix(gear, mate);
  const at = centre === undefined ? undefined : measured(centre, CALIPER_U_MM);
  const mesh = meshOf(one, other, at?.value);
  if (!mesh) {
    const says = `at ${at?.value.toFixed(2)} mm the base circles overlap: these two cannot run so close`;
    return {
      verdicts: [...verdicts, { criterion: "centre distance", ok: false, says }],
      meshes: false,
      figures: null,
    };
  }
  const backlashU = backlashSpread(one, other, mesh, at);
  const overlapRatio = overlapOf(one, other);
  const [g, h] = [gearDimensions(one), gearDimensions(other)];
  const a = mesh.centreMm;
  const tipClearanceMm = [
    a - tipOf(one) / 2 - h.rootDiameterMm / 2,
    a - tipOf(other) / 2 - g.rootDiameterMm / 2,
  ] as const;
  const all: PairVerdict[] = [
    ...verdicts,
    contactVerdict(mesh.contactRatio, overlapRatio),
    backlashVerdict(mesh.backlashMm, backlashU, one.moduleMm),
    ...clearanceVerdict(Math.min(...tipClearanceMm), one.moduleMm),
    interferenceVerdict(one, other, mesh),
  ];
  return {
    verdicts: all,
    meshes: all.every((v) => v.ok),
    figures: {
      referenceCentreMm: (g.referenceDiameterMm + h.referenceDiameterMm) / 2,
      tightCentreMm: tightCentre(one, other, true),
      centreMm: a,
      workingPressureAngleDeg: degrees(mesh.alphaW),
      contactRatio: mesh.contactRatio,
      overlapRatio,
      backlashMm: mesh.backlashMm,
      backlashU,
      tipClearanceMm,
    },
  };
}

/** The measured tips, or the nominal ones. */
const tipOf = (g: PairGear): number => g.tipMm ?? gearDimensions(g).tipDiameterMm;

/**
 * Both with one helix angle. Each keeps its tip diameter, as that was measured: what the angle takes away,
 * the shift gets.
 */
function alikeHelix(gear: PairGear, mate: PairGear): [PairGear, PairGear] {
  if (gear.helixAngleDeg === mate.helixAngleDeg) return [gear, mate];
  const weight = (g: PairGear): number => 1 / Math.max(1e-3, g.helixU ?? 0) ** 2;
  const [w, v] = [weight(gear), weight(mate)];
  const helixAngleDeg = (w * gear.helixAngleDeg + v * mate.helixAngleDeg) / (w + v);
  const turned = (g: PairGear): PairGear => ({
    ...g,
    helixAngleDeg,
    helixU: 1 / Math.sqrt(w + v),
    profileShift:
      g.profileShift +
      (g.teeth / 2) * (1 / Math.cos(radians(g.helixAngleDeg)) - 1 / Math.cos(radians(helixAngleDeg))),
  });
  return [turned(gear), turned(mate)];
}

/** The shift that a gear's teeth have left, thinned and worn as they are. */
const shiftLeft = (g: PairGear): number =>
  g.profileShift - (g.spanLossMm ?? 0) / (2 * g.moduleMm * Math.sin(radians(g.pressureAngleDeg)));

function tightCentre(gear: PairGear, mate: PairGear, asThinAsTheyAre: boolean): number {
  const alphaT = transversePressureAngle(gear);
  const sum = asThinAsTheyAre ? shiftLeft(gear) + shiftLeft(mate) : gear.profileShift + mate.profileShift;
  const inv =
    involute(alphaT) + (2 * Math.tan(radians(gear.pressureAngleDeg)) * sum) / (gear.teeth + mate.teeth);
  const reference = (gearDimensions(gear).referenceDiameterMm + gearDimensions(mate).referenceDiameterMm) / 2;
  return (reference * Math.cos(alphaT)) / Math.cos(inverseInvolute(Math.max(1e-9, inv)));
}

/**
 * How two gears run at a centre distance; without one at that which belongs to their shifts. Null where their
 * base circles overlap.
 */
function meshOf(gear: PairGear, mate: PairGear, centreMm: number | undefined): Mesh | null {
  const [g, h] = [gearDimensions(gear), gearDimensions(mate)];
  const alphaT = transversePressureAngle(gear);
  const unmeasured = gear.spanLossMm === undefined && mate.spanLossMm === undefined;
  const usual = unmeasured ? (USUAL_BACKLASH * gear.moduleMm) / (2 * Math.sin(alphaT)) : 0;
  const a = centreMm ?? tightCentre(gear, mate, false) + usual;
  const baseSum = (g.baseDiameterMm + h.baseDiameterMm) / 2;
  if (a <= baseSum) return null;
  const alphaW = Math.acos(baseSum / a);
  const contactRatio =
    (reach(gear) + reach(mate) - 2 * a * Math.sin(alphaW)) /
    (2 * Math.PI * g.transverseModuleMm * Math.cos(alphaT));
  return { centreMm: a, alphaW, contactRatio, backlashMm: backlashOf(gear, mate, a, alphaT, alphaW) };
}

/** √(d_a² − d_b²): how far along the line of action a tip reaches, doubled. */
const reach = (g: PairGear): number =>
  Math.sqrt(Math.max(0, tipOf(g) ** 2 - gearDimensions(g).baseDiameterMm ** 2));

/**
 * Normal backlash, mm: what both working tooth thicknesses leave of the working pitch, times the cosines into
 * the normal of the flank.
 */
function backlashOf(gear: PairGear, mate: PairGear, a: number, alphaT: number, alphaW: number): number {
  const z = gear.teeth + mate.teeth;
  const alphaN = radians(gear.pressureAngleDeg);
  const half = (g: PairGear): number =>
    (Math.PI / 2 + 2 * shiftLeft(g) * Math.tan(alphaN)) / g.teeth + involute(alphaT) - involute(alphaW);
  const radius = (g: PairGear): number => (a * g.teeth) / z;
  const pitch = (2 * Math.PI * radius(gear)) / gear.teeth;
  const transverse = pitch - 2 * radius(gear) * half(gear) - 2 * radius(mate) * half(mate);
  return transverse * Math.cos(alphaW) * cosBaseHelix(gear);
}

/**
 * How far the spreads of both shifts, both losses, the common helix and the centre distance leave the
 * backlash open, mm. By differences: each is moved by its spread.
 */
function backlashSpread(gear: PairGear, mate: PairGear, mesh: Mesh, at: Measured | undefined): number {
  // without a measured distance the gears stand where their shifts say, and only their losses make the
  // backlash
  const moved = (a: PairGear, b: PairGear, centre = at?.value): number =>
    (meshOf(a, b, centre)?.backlashMm ?? mesh.backlashMm) - mesh.backlashMm;
  const shifted = (g: PairGear): PairGear => ({ ...g, profileShift: g.profileShift + (g.shiftU ?? 0) });
  const thinner = (g: PairGear): PairGear => ({ ...g, spanLossMm: (g.spanLossMm ?? 0) + (g.spanLossU ?? 0) });
  return Math.hypot(
    moved(shifted(gear), mate),
    moved(gear, shifted(mate)),
    moved(thinner(gear), mate),
    moved(gear, thinner(mate)),
    at ? moved(gear, mate, at.value + at.u) : 0,
  );
}

function overlapOf(gear: PairGear, mate: PairGear): number | null {
  if (!gear.helixAngleDeg) return 0;
  const faces = [gear.faceWidthMm, mate.faceWidthMm].filter((f) => f !== undefined);
  return faces.length
    ? (Math.min(...faces) * Math.sin(radians(gear.helixAngleDeg))) / (Math.PI * gear.moduleMm)
    : null;
}

/** Slanted teeth take over along the face as well: the sum counts. */
function contactVerdict(transverse: number, overlap: number | null): PairVerdict {
  const criterion = "contact ratio";
  const sum = transverse + (overlap ?? 0);
  const says = overlap
    ? `${transverse.toFixed(2)} and ${overlap.toFixed(2)} from the slant`
    : transverse.toFixed(2);
  if (sum >= 1.2)
    return { criterion, ok: true, says: `${says}: one tooth takes over before the last lets go` };
  return {
    criterion,
    ok: sum >= 1,
    says: `${says}, under 1.2: it runs hard and loud${sum < 1 ? ", and lets go between teeth" : ""}`,
  };
}

function backlashVerdict(backlashMm: number, u: number, moduleMm: number): PairVerdict {
  const criterion = "backlash";
  if (backlashMm > 0)
    return {
      criterion,
      ok: true,
      says:
        backlashMm > 0.2 * moduleMm
          ? `${backlashMm.toFixed(2)} mm is a lot: it knocks at every change of load`
          : `${backlashMm.toFixed(2)} mm: it turns free`,
    };
  const tight = `${(-backlashMm).toFixed(2)} mm too tight`;
  return backlashMm + 2 * u > 0
    ? {
        criterion,
        ok: true,
        caution: true,
        says: `${tight} by these readings, which may be off by ${(2 * u).toFixed(2)}: turn the two by hand`,
      }
    : { criterion, ok: false, says: `${tight}: it binds at this centre distance` };
}

function clearanceVerdict(leastMm: number, moduleMm: number): PairVerdict[] {
  if (leastMm >= 0.1 * moduleMm) return [];
  return [
    {
      criterion: "tip clearance",
      ok: leastMm > 0,
      says: `${leastMm.toFixed(2)} mm, less than a tenth of the module: tips meet roots`,
    },
  ];
}

function interferenceVerdict(gear: PairGear, mate: PairGear, { centreMm: a, alphaW }: Mesh): PairVerdict {
  const criterion = "interference";
  /**
   * how far along the line of action, from the foot on the base circle, the other's tip reaches; negative:
   * past the foot
   */
  const foot = (other: PairGear): number => a * Math.sin(alphaW) - reach(other) / 2;
  const dips = (own: PairGear, other: PairGear): boolean => {
    const along = foot(other);
    return (
      along < 0 ||
      Math.hypot(gearDimensions(own).baseDiameterMm / 2, along) <
        involuteStartRadius(own) - 0.01 * own.moduleMm
    );
  };
  if (!dips(gear, mate) && !dips(mate, gear)) return { criterion, ok: true, says: "tips stay on the flanks" };
  return {
    criterion,
    ok: true,
    caution: true,
    says: "a tip reaches below where the other's involute begins: cut by a rack that root is cleared and some contact is lost, moulded without clearance it digs in. Look for wear at the root of the smaller gear",
  };
}
