import { Fault } from "../fault";
import { degrees, radians } from "../quantity/units";

/** The numbers that make an external involute gear. Millimetres and degrees. */
export interface Gear {
  readonly teeth: number;
  /** normal module m_n, mm */
  readonly moduleMm: number;
  /** normal pressure angle α_n, degrees */
  readonly pressureAngleDeg: number;
  /** helix angle β at the reference cylinder, degrees; 0 for a spur gear */
  readonly helixAngleDeg: number;
  /** profile shift coefficient x, in modules */
  readonly profileShift: number;
  /**
   * how high the tooth stands over the reference circle without shift, in modules; 1 unless it is a stub
   * tooth
   */
  readonly addendum?: number;
}

export interface GearDimensions {
  readonly referenceDiameterMm: number;
  readonly baseDiameterMm: number;
  readonly tipDiameterMm: number;
  readonly rootDiameterMm: number;
  readonly transverseModuleMm: number;
  readonly transversePressureAngleDeg: number;
  /** normal base pitch p_bn: what two neighbouring spans differ by, mm */
  readonly normalBasePitchMm: number;
  /** below this count the cutter digs into the flank */
  readonly undercutBelowTeeth: number;
}

/** Addendum and dedendum of the basic rack in modules (ISO 53, profile A: c = 0.25). */
export const ADDENDUM = 1;
export const DEDENDUM = 1.25;

/**
 * How deep the tooth goes below the reference circle without shift, in modules: a quarter of a module more
 * than it stands over it.
 */
export const dedendumOf = (g: Pick<Gear, "addendum">): number =>
  (g.addendum ?? ADDENDUM) + DEDENDUM - ADDENDUM;

/** The involute function inv α = tan α − α, α in radians. inv(20°) = 0.014904. */
export const involute = (alpha: number): number => Math.tan(alpha) - alpha;

/**
 * The angle whose involute is `inv`, radians, by Newton's method from Cheng's series. Valid for 0 ≤ inv ≤ 5.
 *
 * @example inverseInvolute(0.014904) // 0.34907, which is 20°
 */
export function inverseInvolute(inv: number): number {
  if (!(inv >= 0)) throw new RangeError("the involute of an angle is never negative");
  let a = Math.cbrt(3 * inv) / (1 + 0.4 * Math.cbrt(3 * inv) ** 2 * 0.5);
  for (let i = 0; i < 60; i++) {
    const tan = Math.tan(a);
    if (tan === 0) break;
    const step = (tan - a - inv) / (tan * tan);
    a = Math.min(Math.max(a - step, a / 4), (a + Math.PI / 2) / 2);
    if (Math.abs(step) < 1e-15) break;
  }
  return a;
}

/** tan α_t = tan α_n / cos β (ISO 21771, 4.3.5); radians out. */
export const transversePressureAngle = (g: Pick<Gear, "pressureAngleDeg" | "helixAngleDeg">): number =>
  Math.atan(Math.tan(radians(g.pressureAngleDeg)) / Math.cos(radians(g.helixAngleDeg)));

/** cos β_b; sin β_b = sin β cos α_n (ISO 21771, 4.3.7). */
export const cosBaseHelix = (g: Pick<Gear, "helixAngleDeg" | "pressureAngleDeg">): number =>
  Math.sqrt(1 - (Math.sin(radians(g.helixAngleDeg)) * Math.cos(radians(g.pressureAngleDeg))) ** 2);

/**
 * The diameters and pitches of an external gear with addendum 1.0 m_n (or its own) and dedendum 1.25 m_n.
 *
 * Formulas: ISO 21771, clauses 4.3 to 4.6. Refuses fewer than 4 teeth, a module that is not above 0, a
 * pressure angle
 * outside 5 to 45°, a helix of 80° or more.
 *
 * @example gearDimensions({ teeth: 20, moduleMm: 2, pressureAngleDeg: 20, helixAngleDeg: 0, profileShift: 0
 *   }).tipDiameterMm // 44
 */
export function gearDimensions(g: Gear): GearDimensions {
  checkGear(g);
  const cosBeta = Math.cos(radians(g.helixAngleDeg));
  const alphaT = transversePressureAngle(g);
  const d = (g.teeth * g.moduleMm) / cosBeta;
  return {
    referenceDiameterMm: d,
    baseDiameterMm: d * Math.cos(alphaT),
    tipDiameterMm: d + 2 * g.moduleMm * ((g.addendum ?? ADDENDUM) + g.profileShift),
    rootDiameterMm: d - 2 * g.moduleMm * (dedendumOf(g) - g.profileShift),
    transverseModuleMm: g.moduleMm / cosBeta,
    transversePressureAngleDeg: degrees(alphaT),
    normalBasePitchMm: Math.PI * g.moduleMm * Math.cos(radians(g.pressureAngleDeg)),
    undercutBelowTeeth: (2 * (ADDENDUM - g.profileShift) * cosBeta) / Math.sin(alphaT) ** 2,
  };
}

function checkGear(g: Gear): void {
  if (!Number.isInteger(g.teeth) || g.teeth < 4 || g.teeth > 2000)
    throw new Fault("teeth", `a gear has 4 to 2000 whole teeth, not ${g.teeth}`);
  if (!(g.moduleMm > 0 && g.moduleMm <= 50))
    throw new Fault("module", `a module lies above 0 and up to 50 mm, not ${g.moduleMm}`);
  if (!(g.pressureAngleDeg >= 5 && g.pressureAngleDeg <= 45))
    throw new Fault("pressureAngle", `a pressure angle lies between 5 and 45°, not ${g.pressureAngleDeg}`);
  if (!(Math.abs(g.helixAngleDeg) < 80))
    throw new Fault("helixAngle", `a helix angle lies below 80°, not ${g.helixAngleDeg}`);
  if (!(Math.abs(g.profileShift) <= 2))
    throw new Fault("profileShift", `a profile shift lies between −2 and 2 modules, not ${g.profileShift}`);
}
