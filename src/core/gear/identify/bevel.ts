import { z } from "zod";
import { Fault } from "../../fault";
import type { Frozen } from "../../frozen";
import { measured, measuredInput } from "../../quantity/measured";
import { degrees, radians } from "../../quantity/units";
import { pitchConeAngle } from "../cone-angle";
import { BEVEL_TEETH, type BevelTeeth } from "../gear-kind";
import { lengthInput } from "./length-input";
import { overShift, parabolaOf, type ShiftPrior, type ShiftRow, shiftPrior } from "./over-shift";
import { noneOfThem, type Residual, ranked, residual } from "./ranked";
import { PLAIN_SIZES, type ToothSize, weightOf } from "./standard-sizes";

export const bevelInput = z.strictObject({
  kind: z.literal("bevel"),
  teeth: z.int("must be a whole number").min(4, "a gear has 4 teeth or more").max(400),
  /** of the gear it meets; missing: from the cone angle */
  mateTeeth: z.int("must be a whole number").min(4).max(400).nullable().optional(),
  /** how its teeth run; left out: not looked at */
  bevelTeeth: z.enum(BEVEL_TEETH).optional(),
  /** of spiral teeth, in the middle of the face, degrees; 35 unless measured */
  spiralAngle: measuredInput.optional(),
  hand: z.enum(["left", "right"]).optional(),
  /** between the shafts, degrees; 90 unless said otherwise */
  shaftAngle: z
    .number()
    .min(20, "a shaft angle lies between 20 and 160°")
    .max(160, "a shaft angle lies between 20 and 160°")
    .optional(),
  /** across the tips at the large end */
  tipDiameter: lengthInput("a tip diameter").optional(),
  /** tooth depth at the large end */
  wholeDepth: lengthInput("a tooth depth").optional(),
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
  /** null: not looked at */
  readonly bevelTeeth: BevelTeeth | null;
  /** in the middle of the face, degrees; 0 for straight and Zerol teeth, null where it is not known */
  readonly spiralAngle: number | null;
  readonly probability: number;
  readonly residuals: readonly Residual[];
}

const U = { tip: 0.06, depth: 0.08, face: 1.5 } as const;
/**
 * The whole depth at the large end in modules, and how much of it stands over the pitch cone of an unshifted
 * tooth (ISO 23509 practice). Straight and Zerol teeth: working depth 2 m, clearance 0.188 to 0.25 m. Spiral
 * teeth are shorter: working depth about 1.7 m
 * at a spiral angle of 35°, whole depth 1.888 m. Not looked at: any of them.
 */
const DEPTHS: Readonly<
  Record<
    BevelTeeth | "unknown",
    { readonly by: number; readonly u: number; readonly addendum: number; readonly addendumU: number }
  >
> = {
  straight: { by: 2.22, u: 0.035, addendum: 1, addendumU: 0.02 },
  zerol: { by: 2.19, u: 0.035, addendum: 1, addendumU: 0.02 },
  spiral: { by: 1.888, u: 0.06, addendum: 0.85, addendumU: 0.04 },
  unknown: { by: 2.1, u: 0.16, addendum: 0.95, addendumU: 0.08 },
};

/**
 * Names a bevel gear, straight, spiral or Zerol: standard module or diametral pitch at the large end, and the
 * mate's count where it is open.
 *
 * d = z m, tip diameter d + 2 m (h_a + x) cos δ, whole depth about 2.2 m, of spiral teeth 1.9 m. Pinions of
 * unequal pairs are lengthened and their wheels shortened, so x is free as in
 * {@link overShift}. Bevels are nearly all 20°; these readings cannot tell the pressure angle, which is taken
 * as 20°.
 *
 * @throws Fault without a tip diameter or a depth, or with neither the mate's count nor a face angle
 * @example identifyBevel({ kind: "bevel", teeth: 20, mateTeeth: 40, tipDiameter: 32.68 })[0].module // 1.5
 */
export function identifyBevel(input: BevelInput): BevelHypothesis[] {
  const { teeth, shaftAngle = 90 } = input;
  if (input.tipDiameter === undefined && input.wholeDepth === undefined)
    throw new Fault(
      "",
      "there is too little to go on: give the tip diameter at the large end, or the tooth depth there",
    );
  if (input.mateTeeth == null && input.faceAngle === undefined)
    throw new Fault(
      "mateTeeth",
      "count the teeth of the gear it meets, or measure the angle of its face: the cone follows from either",
    );
  const tip = input.tipDiameter === undefined ? undefined : measured(input.tipDiameter, U.tip);
  const depth = input.wholeDepth === undefined ? undefined : measured(input.wholeDepth, U.depth);
  const face = input.faceAngle === undefined ? undefined : measured(input.faceAngle, U.face);
  const mates = input.mateTeeth == null ? Array.from({ length: 113 }, (_, i) => i + 8) : [input.mateTeeth];
  const form = DEPTHS[input.bevelTeeth ?? "unknown"];
  const weighed = PLAIN_SIZES.flatMap((size) =>
    mates.map((mateTeeth) => {
      const m = size.moduleMm;
      const cone = pitchConeAngle(teeth, mateTeeth, shaftAngle);
      const cos = Math.cos(radians(cone));
      const rows: ShiftRow[] = [];
      if (tip)
        rows.push({
          at0: teeth * m + 2 * m * form.addendum * cos,
          slope: 2 * m * cos,
          seen: tip.value,
          u: Math.hypot(tip.u, 2 * m * form.addendumU * cos),
        });
      const { log, x } = overShift(parabolaOf(rows), bevelShifts(teeth, mateTeeth));
      const u = depth ? Math.hypot(depth.u, form.u * m) : 1;
      const byDepth = depth ? -0.5 * ((depth.value - form.by * m) / u) ** 2 - Math.log(u) : 0;
      const coneDistance = (teeth * m) / (2 * Math.sin(radians(cone)));
      const wanted = faceAngleOf(cone, coneDistance, m * form.addendum, x);
      const byFace = face ? -0.5 * ((face.value - wanted) / face.u) ** 2 : 0;
      return {
        size,
        mateTeeth,
        cone,
        coneDistance,
        x,
        wanted,
        log: Math.log(size.prior) + (rows.length ? log : 0) + byDepth + byFace,
      };
    }),
  );
  return ranked(weighed, 1, noneOfThem(weightOf(PLAIN_SIZES) * mates.length, [tip, depth])).map(
    ({ of: w, probability }) => {
      const m = w.size.moduleMm;
      const residuals: Residual[] = [
        ...residual(
          "tip diameter",
          tip && { value: tip.value, u: Math.hypot(tip.u, 2 * m * form.addendumU) },
          teeth * m + 2 * m * (form.addendum + w.x) * Math.cos(radians(w.cone)),
        ),
        ...residual(
          "tooth depth",
          depth && { value: depth.value, u: Math.hypot(depth.u, form.u * m) },
          form.by * m,
        ),
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
        bevelTeeth: input.bevelTeeth ?? null,
        spiralAngle: spiralOf(input),
        probability,
        residuals,
      };
    },
  );
}

const USUAL_SPIRAL_DEG = 35;
const spiralOf = ({ bevelTeeth, spiralAngle }: BevelInput): number | null =>
  bevelTeeth === undefined
    ? null
    : bevelTeeth !== "spiral"
      ? 0
      : spiralAngle === undefined
        ? USUAL_SPIRAL_DEG
        : measured(spiralAngle, 2).value;

/** Pinions of unequal pairs are lengthened and their wheels shortened by as much; equal gears hardly ever. */
const bevelShifts = (teeth: number, mateTeeth: number): ShiftPrior =>
  teeth === mateTeeth ? shiftPrior(0.9, 0, 0.15) : shiftPrior(0.5, teeth < mateTeeth ? 0.15 : -0.15, 0.2);

/**
 * The face over the tips leans by the addendum angle more than the pitch cone: δ_a = δ + atan(m (1 + x)/R),
 * degrees.
 */
const faceAngleOf = (coneDeg: number, coneDistance: number, m: number, x: number): number =>
  coneDeg + degrees(Math.atan((m * (1 + x)) / coneDistance));
