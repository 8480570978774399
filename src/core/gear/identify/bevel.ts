import { z } from "zod";
import { Fault } from "../../fault";
import type { Frozen } from "../../frozen";
import { measured, measuredInput } from "../../quantity/measured";
import { degrees, radians } from "../../quantity/units";
import { pitchConeAngle } from "../cone-angle";
import { overShift, parabolaOf, type ShiftPrior, type ShiftRow, shiftPrior } from "./over-shift";
import { type Residual, ranked, residual } from "./ranked";
import { FULL_DEPTH, TOOTH_SIZES, type ToothSize } from "./standard-sizes";

const mm = (what: string) => measuredInput.refine((v) => (typeof v === "number" ? v : v.value) > 0, `${what} must be above 0 mm`);

export const bevelInput = z.strictObject({
  kind: z.literal("bevel"),
  teeth: z.int("must be a whole number").min(4, "a gear has 4 teeth or more").max(400),
  /** of the gear it meets; missing: from the cone angle */
  mateTeeth: z.int("must be a whole number").min(4).max(400).nullable().optional(),
  /** between the shafts, degrees; 90 unless said otherwise */
  shaftAngle: z.number().min(20, "a shaft angle lies between 20 and 160°").max(160, "a shaft angle lies between 20 and 160°").optional(),
  /** across the tips at the large end */
  tipDiameter: mm("a tip diameter").optional(),
  /** tooth depth at the large end */
  wholeDepth: mm("a tooth depth").optional(),
  /** angle of the face over the tips against the axis, degrees: a little more than the pitch cone's */
  faceAngle: measuredInput.optional(),
});
export type BevelInput = Frozen<z.infer<typeof bevelInput>>;

export interface BevelHypothesis {
  readonly system: ToothSize["system"];
  /** at the large end, mm */
  readonly module: number;
  readonly diametralPitch: number | null;
  readonly teeth: number;
  readonly mateTeeth: number;
  readonly pressureAngle: number;
  /** pitch cone angle δ, degrees */
  readonly coneAngle: number;
  /** outer cone distance R = d/(2 sin δ), mm */
  readonly coneDistance: number;
  readonly profileShift: number;
  readonly probability: number;
  readonly residuals: readonly Residual[];
}

const U = { tip: 0.06, depth: 0.08, face: 1.5 } as const;
/** Working depth 2 m and a clearance of 0.188 to 0.25 m (AGMA 2005 and ISO 23509 practice): the whole depth in modules. */
const DEPTH = { by: 2.22, u: 0.035 } as const;

/**
 * Names a straight bevel gear: standard module or diametral pitch at the large end, and the mate's count where it is open.
 *
 * d = z m, tip diameter d + 2 m (1 + x) cos δ, whole depth about 2.2 m. Pinions of unequal pairs are lengthened and their wheels shortened, so x is free as in
 * {@link overShift}. Straight bevels are nearly all 20°; these readings cannot tell the pressure angle, which is taken as 20°.
 *
 * @throws Fault without a tip diameter or a depth, or with neither the mate's count nor a face angle
 * @example identifyBevel({ kind: "bevel", teeth: 20, mateTeeth: 40, tipDiameter: 32.68 })[0].module // 1.5
 */
export function identifyBevel(input: BevelInput): BevelHypothesis[] {
  const { teeth, shaftAngle = 90 } = input;
  if (input.tipDiameter === undefined && input.wholeDepth === undefined)
    throw new Fault("", "there is too little to go on: give the tip diameter at the large end, or the tooth depth there");
  if (input.mateTeeth == null && input.faceAngle === undefined)
    throw new Fault("mateTeeth", "count the teeth of the gear it meets, or measure the angle of its face: the cone follows from either");
  const tip = input.tipDiameter === undefined ? undefined : measured(input.tipDiameter, U.tip);
  const depth = input.wholeDepth === undefined ? undefined : measured(input.wholeDepth, U.depth);
  const face = input.faceAngle === undefined ? undefined : measured(input.faceAngle, U.face);
  const mates = input.mateTeeth == null ? Array.from({ length: 113 }, (_, i) => i + 8) : [input.mateTeeth];
  const weighed = TOOTH_SIZES.filter((s) => s.pressureAngleDeg === 20 && s.addendum === FULL_DEPTH).flatMap((size) =>
    mates.map((mateTeeth) => {
      const m = size.moduleMm;
      const cone = pitchConeAngle(teeth, mateTeeth, shaftAngle);
      const cos = Math.cos(radians(cone));
      const rows: ShiftRow[] = [];
      if (tip) rows.push({ at0: teeth * m + 2 * m * cos, slope: 2 * m * cos, seen: tip.value, u: tip.u });
      const { log, x } = overShift(parabolaOf(rows), bevelShifts(teeth, mateTeeth));
      const u = depth ? Math.hypot(depth.u, DEPTH.u * m) : 1;
      const byDepth = depth ? -0.5 * ((depth.value - DEPTH.by * m) / u) ** 2 - Math.log(u) : 0;
      const coneDistance = (teeth * m) / (2 * Math.sin(radians(cone)));
      const wanted = faceAngleOf(cone, coneDistance, m, x);
      const byFace = face ? -0.5 * ((face.value - wanted) / face.u) ** 2 : 0;
      return { size, mateTeeth, cone, coneDistance, x, wanted, log: Math.log(size.prior) + (rows.length ? log : 0) + byDepth + byFace };
    }),
  );
  return ranked(weighed).map(({ of: w, probability }) => {
    const m = w.size.moduleMm;
    const residuals: Residual[] = [
      ...residual("tip diameter", tip, teeth * m + 2 * m * (1 + w.x) * Math.cos(radians(w.cone))),
      ...residual("tooth depth", depth && { value: depth.value, u: Math.hypot(depth.u, DEPTH.u * m) }, DEPTH.by * m),
      ...residual("face angle", face, w.wanted),
    ];
    return {
      system: w.size.system,
      module: m,
      diametralPitch: w.size.diametralPitch,
      teeth,
      mateTeeth: w.mateTeeth,
      pressureAngle: 20,
      coneAngle: w.cone,
      coneDistance: w.coneDistance,
      profileShift: w.x,
      probability,
      residuals,
    };
  });
}

/** Pinions of unequal pairs are lengthened and their wheels shortened by as much; equal gears hardly ever. */
const bevelShifts = (teeth: number, mateTeeth: number): ShiftPrior =>
  teeth === mateTeeth ? shiftPrior(0.9, 0, 0.15) : shiftPrior(0.5, teeth < mateTeeth ? 0.15 : -0.15, 0.2);

/** The face over the tips leans by the addendum angle more than the pitch cone: δ_a = δ + atan(m (1 + x)/R), degrees. */
const faceAngleOf = (coneDeg: number, coneDistance: number, m: number, x: number): number => coneDeg + degrees(Math.atan((m * (1 + x)) / coneDistance));
