import { z } from "zod";
import { Fault } from "../../fault";
import type { Frozen } from "../../frozen";
import { measured } from "../../quantity/measured";
import { degrees, radians } from "../../quantity/units";
import { lengthFields, lengthInput } from "./length-input";
import { overShift, parabolaOf, type ShiftRow, shiftPrior } from "./over-shift";
import { noneOfThem, type Residual, ranked, residual } from "./ranked";
import { PLAIN_SIZES, type ToothSize, weightOf } from "./standard-sizes";

export const wormInput = z.strictObject({
  kind: z.literal("worm"),
  /** of the worm */
  starts: z.int("must be a whole number").min(1, "a worm has 1 start or more").max(12),
  /** outside diameter of the worm */
  tipDiameter: lengthInput("a tip diameter").optional(),
  /** along the worm, from thread to thread over so many threads */
  axialPitch: z.strictObject({ threads: z.int().min(1).max(40), ...lengthFields }).optional(),
  wheelTeeth: z
    .int("must be a whole number")
    .min(8, "a worm wheel has 8 teeth or more")
    .max(400)
    .nullable()
    .optional(),
  /** of the wheel, in its middle plane */
  throatDiameter: lengthInput("a throat diameter").optional(),
  centreDistance: lengthInput("a centre distance").optional(),
  hand: z.enum(["left", "right"]).optional(),
});
export type WormInput = Frozen<z.infer<typeof wormInput>>;

export interface WormHypothesis {
  readonly system: ToothSize["system"];
  /** axial module of the worm, transverse of the wheel, mm */
  readonly module: number;
  /**
   * which of the two is the standard one: the axial module, or the normal, as in worms that are cut like
   * screws and run with helical wheels
   */
  readonly standard: "axial" | "normal";
  /** m_n = m cos γ, mm; null where the lead is not known */
  readonly normalModule: number | null;
  readonly diametralPitch: number | null;
  readonly starts: number;
  readonly wheelTeeth: number | null;
  /** reference diameter d1 of the worm, mm; null where its tip was not measured */
  readonly referenceDiameter: number | null;
  /** lead angle γ, degrees: tan γ = z1 m/d1 */
  readonly leadAngle: number | null;
  /** below about 5° the wheel cannot drive the worm */
  readonly selfLocking: boolean | null;
  /** of the wheel */
  readonly profileShift: number;
  readonly probability: number;
  readonly residuals: readonly Residual[];
}

/** Of the steep worms, so many have a standard normal module. */
const NORMAL_SHARE = 0.15;
/** sin of the lead angle from which the two differ by more than a reading could miss: about 10°. */
const STEEP = 0.17;
/** A worm set is brought to a round centre distance by shifting its wheel either way. */
const WHEEL_SHIFTS = shiftPrior(0.6, 0, 0.3);

const U = { tip: 0.03, pitch: 0.05, throat: 0.08, centre: 0.05 } as const;

/**
 * Names a worm and its wheel: the axial module, worm diameter and lead.
 *
 * Axial pitch p_x = π m; worm d1 = d_a1 − 2 m; wheel d2 = z2 m, throat d2 + 2 m (1 + x); a = (d1 + d2)/2 + x
 * m (DIN 3975, ISO 14521). The wheel's shift x is free, as
 * it is what brings a worm set to a round centre distance. Steep worms of several starts may have a standard
 * normal module m_n = m cos γ instead: both are weighed.
 *
 * @throws Fault without the axial pitch, or the wheel's teeth with its throat
 * @example identifyWorm({ kind: "worm", starts: 1, tipDiameter: 12, axialPitch: { threads: 4, value: 12.56 }
 *   })[0].module // 1
 */
export function identifyWorm(input: WormInput): WormHypothesis[] {
  const pitch =
    input.axialPitch === undefined
      ? undefined
      : { threads: input.axialPitch.threads, ...measured(input.axialPitch, U.pitch) };
  const throat =
    input.throatDiameter === undefined || input.wheelTeeth == null
      ? undefined
      : measured(input.throatDiameter, U.throat);
  const tip = input.tipDiameter === undefined ? undefined : measured(input.tipDiameter, U.tip);
  const centre =
    input.centreDistance === undefined || input.wheelTeeth == null || !tip
      ? undefined
      : measured(input.centreDistance, U.centre);
  if (!pitch && !throat)
    throw new Fault(
      "axialPitch",
      "there is too little to go on: measure along the worm over several threads, or count the wheel's teeth and measure its throat",
    );
  const z2 = input.wheelTeeth ?? 0;
  const weigh = (size: ToothSize, standard: WormHypothesis["standard"]) => {
    const d1 = tip ? tip.value - 2 * size.moduleMm : null;
    // d1 sin γ = z1 m_n: where the normal module is the standard one, the axial is m_n/cos γ
    const sinLead = d1 === null ? 0 : (input.starts * size.moduleMm) / d1;
    const m =
      standard === "axial" ? size.moduleMm : size.moduleMm / Math.sqrt(Math.max(1e-6, 1 - sinLead * sinLead));
    const rows: ShiftRow[] = [];
    if (throat) rows.push({ at0: z2 * m + 2 * m, slope: 2 * m, seen: throat.value, u: throat.u });
    if (centre && d1 !== null)
      rows.push({
        at0: (d1 + z2 * m) / 2,
        slope: m,
        seen: centre.value,
        u: Math.hypot(centre.u, (tip?.u ?? 0) / 2),
      });
    const shift = rows.length ? overShift(parabolaOf(rows), WHEEL_SHIFTS) : { log: 0, x: 0 };
    const byPitch = pitch
      ? -0.5 * ((pitch.value - pitch.threads * Math.PI * m) / pitch.u) ** 2 - Math.log(pitch.u)
      : 0;
    // a worm thinner than its root, or far thicker than any, is none
    const possible = d1 === null || (d1 > 2.8 * m && d1 < 40 * m) ? 0 : -1e3;
    const usual = standard === "axial" ? 1 - NORMAL_SHARE : NORMAL_SHARE;
    return {
      size,
      standard,
      m,
      sinLead,
      d1,
      x: shift.x,
      log: Math.log(size.prior * usual) + shift.log + byPitch + possible,
    };
  };
  const weighed = [
    ...PLAIN_SIZES.map((size) => weigh(size, "axial")),
    // at a small lead the two are one
    ...PLAIN_SIZES.map((size) => weigh(size, "normal")).filter((w) => w.sinLead > STEEP && w.sinLead < 0.9),
  ];
  return ranked(weighed, 1, noneOfThem(weightOf(PLAIN_SIZES), [pitch, throat])).map(
    ({ of: w, probability }) => {
      const { m } = w;
      const lead =
        w.d1 === null
          ? null
          : degrees(w.standard === "axial" ? Math.atan((input.starts * m) / w.d1) : Math.asin(w.sinLead));
      const residuals: Residual[] = [
        ...(pitch ? residual(`pitch over ${pitch.threads} threads`, pitch, pitch.threads * Math.PI * m) : []),
        ...residual("throat diameter", throat, z2 * m + 2 * m * (1 + w.x)),
        ...(w.d1 !== null ? residual("centre distance", centre, (w.d1 + z2 * m) / 2 + w.x * m) : []),
      ];
      return {
        system: w.size.system,
        module: Math.round(m * 1e6) / 1e6,
        standard: w.standard,
        normalModule:
          w.standard === "normal" ? w.size.moduleMm : lead === null ? null : m * Math.cos(radians(lead)),
        diametralPitch: w.size.diametralPitch,
        starts: input.starts,
        wheelTeeth: input.wheelTeeth ?? null,
        referenceDiameter: w.d1,
        leadAngle: lead,
        selfLocking: lead === null ? null : lead < 5,
        profileShift: w.x,
        probability,
        residuals,
      };
    },
  );
}
