import type { Measured } from "../quantity/measured";
import { type Gear, gearDimensions } from "./dimensions";
import { spanOver } from "./span-measurement";

export interface ToothLoss extends Measured {
  /** the shift that the nominal was worked out with */
  readonly profileShift: number;
  /** "span over 2 lost 0.14 mm" */
  readonly says: string;
}

/**
 * What the spans of a gear have lost against their nominal, mm: tooth thickness worn away along the base tangent.
 *
 * Wear and a negative shift thin a tooth alike; the tips tell them apart, as they keep their diameter longest. So the shift is read from the tip diameter, to a tenth, where that was measured and is not worn;
 * otherwise the gear is taken as unshifted. The mean over the spans, with the spread of their mean and a hundredth of a module for what new gears are thinned.
 *
 * @returns null without a span
 */
export function toothLoss(
  gear: Gear,
  spans: readonly { readonly teeth: number; readonly value: number; readonly u: number }[],
  tip?: Measured,
  tipsWorn = false,
): ToothLoss | null {
  if (!spans.length) return null;
  const plain = { ...gear, profileShift: 0 };
  const byTip = tip && !tipsWorn ? (tip.value - gearDimensions(plain).tipDiameterMm) / (2 * gear.moduleMm) : 0;
  const profileShift = Math.min(1, Math.max(-0.5, Math.round(byTip * 10) / 10));
  const losses = spans.map((s) => spanOver({ ...gear, profileShift }, s.teeth) - s.value);
  const value = losses.reduce((a, b) => a + b, 0) / losses.length;
  const u = Math.hypot(Math.sqrt(spans.reduce((s, x) => s + x.u ** 2, 0)) / spans.length, 0.01 * gear.moduleMm);
  const over = spans.map((s) => s.teeth).join(" and ");
  return { value, u, profileShift, says: `span over ${over} teeth ${value >= 0 ? `has lost ${value.toFixed(2)}` : `is ${(-value).toFixed(2)} over`} mm` };
}
