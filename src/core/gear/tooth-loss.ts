import type { Measured } from "../quantity/measured";
import { AS_MADE, type Making } from "./as-made";
import { spanWhenNew } from "./as-new";
import { type Gear, gearDimensions } from "./dimensions";

export interface ToothLoss extends Measured {
  /** the shift that the new gear was worked out with */
  readonly profileShift: number;
  /** "span over 2 has lost 0.14 mm" */
  readonly says: string;
}

export interface LossFacts {
  /** the tip diameter, where it was measured and the shift is not known */
  readonly tip?: Measured | undefined;
  readonly tipsWorn?: boolean | undefined;
  readonly making?: Making | undefined;
  /** the gear was named, and its shift with it */
  readonly shiftKnown?: boolean | undefined;
}

/**
 * What the spans of a gear have lost against those of a new one ({@link spanWhenNew}), mm: tooth thickness
 * worn away along the base tangent.
 *
 * Wear and a negative shift thin a tooth alike; the tips tell them apart, as they keep their diameter
 * longest. So where the shift is not known it is read from the tip diameter, to a tenth, where that was
 * measured and is not worn; otherwise the gear is taken
 * as unshifted. The mean over the spans, with the spread of their mean and of new gears.
 *
 * @returns null without a span
 */
export function toothLoss(
  gear: Gear,
  spans: readonly { readonly teeth: number; readonly value: number; readonly u: number }[],
  { tip, tipsWorn = false, making = "unknown", shiftKnown = false }: LossFacts = {},
): ToothLoss | null {
  if (!spans.length) return null;
  const plain = { ...gear, profileShift: 0 };
  const low = AS_MADE[making].tipLow.value;
  const byTip =
    tip && !tipsWorn ? (tip.value + low - gearDimensions(plain).tipDiameterMm) / (2 * gear.moduleMm) : 0;
  const profileShift = shiftKnown
    ? gear.profileShift
    : Math.min(1, Math.max(-0.5, Math.round(byTip * 10) / 10));
  const fresh = spans.map((s) => ({ ...spanWhenNew({ ...gear, profileShift }, s.teeth, making), s }));
  const value = fresh.reduce((sum, f) => sum + f.value - f.s.value, 0) / spans.length;
  const u = Math.hypot(
    Math.sqrt(spans.reduce((sum, x) => sum + x.u ** 2, 0)) / spans.length,
    Math.max(...fresh.map((f) => f.u)),
  );
  const over = spans.map((s) => s.teeth).join(" and ");
  return {
    value,
    u,
    profileShift,
    says: `span over ${over} teeth ${value >= 0 ? `has lost ${value.toFixed(2)}` : `is ${(-value).toFixed(2)} over`} mm against a new one`,
  };
}
