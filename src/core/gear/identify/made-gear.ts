import { thinnedBy } from "../as-made";
import { type Gear, gearDimensions } from "../dimensions";
import { bestSpanTeeth, spanOver } from "../span-measurement";
import type { IdentifyInput } from "./input";

/** A gear by what differs from a plain spur of 20°. For tests. */
export const plainGear = (teeth: number, moduleMm: number, more: Partial<Gear> = {}): Gear => ({
  teeth,
  moduleMm,
  pressureAngleDeg: 20,
  helixAngleDeg: 0,
  profileShift: 0,
  ...more,
});

/** By how much a gear differs from its drawing, mm; how many teeth lie between its two spans. */
export interface AsItIs {
  readonly thinned?: number;
  readonly low?: number;
  readonly apart?: number;
}
/** A gear as it is drawn: without backlash, its tips full. */
export const AS_DRAWN: AsItIs = { thinned: 0, low: 0 };

/**
 * What a perfect caliper reads of a gear as it is made: its tips and two spans, and a helix angle told by
 * eye. For tests.
 */
export function madeGear(
  g: Gear,
  { thinned = thinnedBy(g.moduleMm).value, low = 0.04, apart = 1 }: AsItIs = {},
): IdentifyInput & {
  readonly tipDiameter: { readonly value: number; readonly u: number };
  readonly spans: NonNullable<IdentifyInput["spans"]>;
} {
  const k = bestSpanTeeth(g);
  return {
    kind: g.helixAngleDeg ? "helical" : "spur",
    teeth: g.teeth,
    tipDiameter: { value: gearDimensions(g).tipDiameterMm - low, u: 0.03 },
    spans: [k, k + apart].map((n) => ({ teeth: n, value: spanOver(g, n) - thinned, u: 0.02 })),
    ...(g.helixAngleDeg ? { helixAngle: { value: g.helixAngleDeg, u: 1.5 } } : {}),
  };
}
