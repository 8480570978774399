import { degrees, radians } from "../quantity/units";
import { type Gear, gearDimensions, inverseInvolute, involute, transversePressureAngle } from "./dimensions";
import { involuteStartRadius } from "./outline";

/** A gear of a pair as it was measured. */
export interface PairGear extends Gear {
  readonly hand?: "left" | "right";
  /** what the span has lost against its nominal, mm: tooth thickness worn or cut away along the base tangent */
  readonly spanLossMm?: number;
}

export interface PairVerdict {
  readonly criterion: string;
  readonly ok: boolean;
  /** it meshes, and yet this should be looked at */
  readonly caution?: boolean;
  readonly says: string;
}

export interface PairAnswer {
  readonly verdicts: readonly PairVerdict[];
  readonly meshes: boolean;
  /** null where the two do not mesh at all */
  readonly figures: {
    /** a = m_t (z1 + z2)/2, mm */
    readonly referenceCentreMm: number;
    /** without backlash, for their shifts, mm */
    readonly tightCentreMm: number;
    /** what the rest is worked out for: the measured distance, or the tight one and a twentieth of a module's backlash */
    readonly centreMm: number;
    readonly workingPressureAngleDeg: number;
    /** ε_α */
    readonly contactRatio: number;
    /** normal backlash, mm, with the wear of both */
    readonly backlashMm: number;
    /** tip of one to root of the other, mm */
    readonly tipClearanceMm: readonly [ofGear: number, ofMate: number];
  } | null;
}

/** Backlash that is cut into unmeasured pairs of this size, in modules: DIN 3967 practice, coarse. */
const USUAL_BACKLASH = 0.05;

/**
 * Whether two external gears on parallel shafts mesh, and how.
 *
 * inv α_wt = inv α_t + 2 tan α_n (x1 + x2)/(z1 + z2); a_w = a cos α_t/cos α_wt; ε_α = [√(d_a1² − d_b1²) + √(d_a2² − d_b2²) − 2 a_w sin α_wt]/(2 π m_t cos α_t) (ISO 21771, 5.3 to 5.4). Backlash is what the two working
 * thicknesses leave of the working pitch: each wear loss W of a span takes W/(2 m_n sin α_n) off the shift of its gear. Interference: where a tip reaches below the first point of the other's involute.
 *
 * @param centreMm the measured centre distance, mm
 * @example pairOf(z20, z40).figures.contactRatio // 1.635 for 20° without shift: the textbook's pair
 */
export function pairOf(gear: PairGear, mate: PairGear, centreMm?: number): PairAnswer {
  const verdicts = meshingVerdicts(gear, mate);
  if (verdicts.some((v) => !v.ok)) return { verdicts, meshes: false, figures: null };
  const [g, h] = [gearDimensions(gear), gearDimensions(mate)];
  const z = gear.teeth + mate.teeth;
  const alphaT = transversePressureAngle(gear);
  const tan = Math.tan(radians(gear.pressureAngleDeg));
  const reference = (g.referenceDiameterMm + h.referenceDiameterMm) / 2;
  const tight =
    reference * (Math.cos(alphaT) / Math.cos(inverseInvolute(Math.max(1e-9, involute(alphaT) + (2 * tan * (gear.profileShift + mate.profileShift)) / z))));
  const a = centreMm ?? tight + (USUAL_BACKLASH * gear.moduleMm) / (2 * Math.sin(alphaT));
  const baseSum = (g.baseDiameterMm + h.baseDiameterMm) / 2;
  if (a <= baseSum)
    return {
      verdicts: [
        ...verdicts,
        { criterion: "centre distance", ok: false, says: `at ${a.toFixed(2)} mm the base circles overlap: these two cannot run so close` },
      ],
      meshes: false,
      figures: null,
    };
  const alphaW = Math.acos(baseSum / a);
  const reach = (d: typeof g): number => Math.sqrt(Math.max(0, d.tipDiameterMm ** 2 - d.baseDiameterMm ** 2));
  const contactRatio = (reach(g) + reach(h) - 2 * a * Math.sin(alphaW)) / (2 * Math.PI * g.transverseModuleMm * Math.cos(alphaT));
  const backlashMm = backlashOf(gear, mate, a, alphaT, alphaW);
  const tipClearanceMm = [a - g.tipDiameterMm / 2 - h.rootDiameterMm / 2, a - h.tipDiameterMm / 2 - g.rootDiameterMm / 2] as const;
  const m = gear.moduleMm;
  /** how far along the line of action, from the foot on the base circle, the other's tip reaches; negative: past the foot */
  const foot = (other: typeof g): number => a * Math.sin(alphaW) - reach(other) / 2;
  const dips = (own: PairGear, ownD: typeof g, otherD: typeof g): boolean => {
    const along = foot(otherD);
    return along < 0 || Math.hypot(ownD.baseDiameterMm / 2, along) < involuteStartRadius(own) - 0.01 * m;
  };
  const all: PairVerdict[] = [
    ...verdicts,
    contactRatio >= 1.2
      ? { criterion: "contact ratio", ok: true, says: `${contactRatio.toFixed(2)}: one tooth takes over before the last lets go` }
      : {
          criterion: "contact ratio",
          ok: contactRatio >= 1,
          says: `${contactRatio.toFixed(2)}, under 1.2: it runs hard and loud${contactRatio < 1 ? ", and lets go between teeth" : ""}`,
        },
    backlashMm > 0
      ? {
          criterion: "backlash",
          ok: true,
          says: backlashMm > 0.2 * m ? `${backlashMm.toFixed(2)} mm is a lot: it knocks at every change of load` : `${backlashMm.toFixed(2)} mm: it turns free`,
        }
      : { criterion: "backlash", ok: false, says: `${(-backlashMm).toFixed(2)} mm too tight: it binds at this centre distance` },
    ...(Math.min(...tipClearanceMm) < 0.1 * m
      ? [
          {
            criterion: "tip clearance",
            ok: Math.min(...tipClearanceMm) > 0,
            says: `${Math.min(...tipClearanceMm).toFixed(2)} mm, less than a tenth of the module: tips meet roots`,
          },
        ]
      : []),
    dips(gear, g, h) || dips(mate, h, g)
      ? {
          criterion: "interference",
          ok: true,
          caution: true,
          says: "a tip reaches below where the other's involute begins: cut by a rack that root is cleared and some contact is lost, moulded without clearance it digs in. Look for wear at the root of the smaller gear",
        }
      : { criterion: "interference", ok: true, says: "tips stay on the flanks" },
  ];
  return {
    verdicts: all,
    meshes: all.every((v) => v.ok),
    figures: {
      referenceCentreMm: reference,
      tightCentreMm: tight,
      centreMm: a,
      workingPressureAngleDeg: degrees(alphaW),
      contactRatio,
      backlashMm,
      tipClearanceMm,
    },
  };
}

function meshingVerdicts(gear: PairGear, mate: PairGear): PairVerdict[] {
  const size = (g: Gear): string => `module ${Number(g.moduleMm.toFixed(3))}`;
  const same = Math.abs(gear.moduleMm - mate.moduleMm) < 0.004 * gear.moduleMm;
  const angle = Math.abs(gear.pressureAngleDeg - mate.pressureAngleDeg) < 0.3;
  const helix = Math.abs(gear.helixAngleDeg - mate.helixAngleDeg) < 0.75;
  const out: PairVerdict[] = [
    { criterion: "module", ok: same, says: same ? `both ${size(gear)}` : `${size(gear)} does not mesh with ${size(mate)}` },
    {
      criterion: "pressure angle",
      ok: angle,
      says: angle ? `both ${gear.pressureAngleDeg}°` : `${gear.pressureAngleDeg}° does not mesh with ${mate.pressureAngleDeg}°`,
    },
  ];
  if (gear.helixAngleDeg || mate.helixAngleDeg) {
    out.push({
      criterion: "helix angle",
      ok: helix,
      says: helix
        ? `both ${Number(gear.helixAngleDeg.toFixed(1))}°`
        : `${Number(gear.helixAngleDeg.toFixed(1))}° does not mesh with ${Number(mate.helixAngleDeg.toFixed(1))}° on parallel shafts`,
    });
    if (gear.hand && mate.hand) {
      const opposite = gear.hand !== mate.hand;
      out.push({
        criterion: "hand",
        ok: opposite,
        says: opposite ? `${gear.hand} meets ${mate.hand}` : `both are ${gear.hand}-hand: on parallel shafts one must be left, one right`,
      });
    }
  }
  return out;
}

/** Normal backlash, mm: what both working tooth thicknesses leave of the working pitch, times the cosines into the normal of the flank. */
function backlashOf(gear: PairGear, mate: PairGear, a: number, alphaT: number, alphaW: number): number {
  const z = gear.teeth + mate.teeth;
  const alphaN = radians(gear.pressureAngleDeg);
  const half = (g: PairGear): number => {
    const x = g.profileShift - (g.spanLossMm ?? 0) / (2 * g.moduleMm * Math.sin(alphaN));
    return (Math.PI / 2 + 2 * x * Math.tan(alphaN)) / g.teeth + involute(alphaT) - involute(alphaW);
  };
  const radius = (g: PairGear): number => (a * g.teeth) / z;
  const pitch = (2 * Math.PI * radius(gear)) / gear.teeth;
  const transverse = pitch - 2 * radius(gear) * half(gear) - 2 * radius(mate) * half(mate);
  const cosBetaB = Math.sqrt(1 - (Math.sin(radians(gear.helixAngleDeg)) * Math.cos(alphaN)) ** 2);
  return transverse * Math.cos(alphaW) * cosBetaB;
}
