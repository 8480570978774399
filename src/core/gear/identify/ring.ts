import { z } from "zod";
import { Fault } from "../../fault";
import type { Frozen } from "../../frozen";
import { type Measured, measured } from "../../quantity/measured";
import { betweenPinsOf } from "../../quantity/reading-kinds";
import { AS_MADE, making, thinnedBy } from "../as-made";
import { betweenPins, ringTipMm } from "../between-pins";
import { lengthFields, lengthInput } from "./length-input";
import { overShift, parabolaOf, type ShiftRow, shiftPrior } from "./over-shift";
import { noneOfThem, type Residual, ranked, residual } from "./ranked";
import { FULL_DEPTH, TOOTH_SIZES, type ToothSize, weightOf } from "./standard-sizes";

export const ringInput = z.strictObject({
  kind: z.literal("internal"),
  teeth: z.int("must be a whole number").min(12, "a ring has 12 teeth or more").max(400),
  /** across the tips, inside */
  tipDiameter: lengthInput("a tip diameter").optional(),
  betweenPins: z.strictObject({ pin: z.number().positive(), ...lengthFields }).optional(),
  making: making.optional(),
});
export type RingInput = Frozen<z.infer<typeof ringInput>>;

export interface RingHypothesis {
  readonly system: ToothSize["system"];
  readonly module: number;
  readonly diametralPitch: number | null;
  readonly teeth: number;
  readonly pressureAngle: number;
  readonly profileShift: number;
  readonly probability: number;
  readonly residuals: readonly Residual[];
}

/** Inner jaws across teeth read wider apart than on a bore. */
const U = { tip: 0.05, pins: 0.03 } as const;
/** Rings are shifted with the pinion that runs in them, and then by as much. */
const RING_SHIFTS = shiftPrior(0.65, 0.1, 0.25);

/**
 * Names a straight internal ring: standard module or diametral pitch, pressure angle and shift.
 *
 * Tips inside at d − 2 m (1 − x), as made a little wider; between pins see {@link betweenPins}, wider too, as
 * its teeth are thinned. The shift is free.
 *
 * @throws Fault with neither reading
 * @example identifyRing({ kind: "internal", teeth: 60, tipDiameter: 58.03, betweenPins: { pin: 1.7, value:
 *   57.69 } })[0].module // 1
 */
export function identifyRing(input: RingInput): RingHypothesis[] {
  const { teeth, betweenPins: pins, making: how = "unknown" } = input;
  const tip = input.tipDiameter === undefined ? undefined : measured(input.tipDiameter, U.tip);
  const over = pins && measured(pins, U.pins);
  if (!tip && !over)
    throw new Fault("", "there is too little to go on: measure across the tips inside, or between two pins");
  const { tipLow } = AS_MADE[how];
  const at = (size: ToothSize, x: number) => ({
    teeth,
    moduleMm: size.moduleMm,
    pressureAngleDeg: size.pressureAngleDeg,
    profileShift: x,
  });
  const sizes = TOOTH_SIZES.filter((s) => s.addendum === FULL_DEPTH);
  const weighed = sizes.map((size) => {
    const m = size.moduleMm;
    const rows: (ShiftRow & { readonly what: string; readonly read: Measured })[] = [];
    if (tip)
      rows.push({
        what: "tip diameter",
        read: tip,
        at0: ringTipMm(at(size, 0)) + tipLow.value,
        slope: 2 * m,
        seen: tip.value,
        u: Math.hypot(tip.u, tipLow.u, AS_MADE[how].scale * tip.value),
      });
    if (over && pins) {
      const show = (x: number): number => betweenPins(at(size, x), pins.pin);
      const slope = (show(0.1) - show(-0.1)) / 0.2;
      // a tooth of the ring that is thinned by a span is a gap that is shifted by that span
      const thinned = thinnedBy(m, how);
      const perSpan = slope / (2 * m * Math.sin((size.pressureAngleDeg * Math.PI) / 180));
      const at0 = show(0) + thinned.value * perSpan;
      if (!Number.isFinite(at0) || !Number.isFinite(slope))
        return { size, rows, x: 0, log: Number.NEGATIVE_INFINITY };
      rows.push({
        what: betweenPinsOf(pins.pin),
        read: over,
        at0,
        slope,
        seen: over.value,
        u: Math.hypot(over.u, thinned.u * perSpan, AS_MADE[how].scale * over.value),
      });
    }
    const { log, x } = overShift(parabolaOf(rows), RING_SHIFTS);
    return { size, rows, x, log: Math.log(size.prior) + log };
  });
  return ranked(weighed, 1, noneOfThem(weightOf(sizes), [tip, over])).map(({ of: w, probability }) => ({
    system: w.size.system,
    module: w.size.moduleMm,
    diametralPitch: w.size.diametralPitch,
    teeth,
    pressureAngle: w.size.pressureAngleDeg,
    profileShift: w.x,
    probability,
    residuals: w.rows.flatMap((r) => residual(r.what, { value: r.seen, u: r.u }, r.at0 + r.slope * w.x)),
  }));
}
