import type { Gear } from "./dimensions";

/**
 * A gear of a pair as it was measured. Spreads are one standard deviation; what is left out is known exactly.
 */
export interface PairGear extends Gear {
  readonly hand?: "left" | "right";
  readonly helixU?: number;
  readonly shiftU?: number;
  /**
   * what the span has lost against its nominal, mm: tooth thickness thinned when it was made, worn or cut
   * away, along the base tangent
   */
  readonly spanLossMm?: number;
  readonly spanLossU?: number;
  /** over the tips as measured, mm: topped or worn tips reach less far */
  readonly tipMm?: number;
  readonly faceWidthMm?: number;
}

export interface PairVerdict {
  readonly criterion: string;
  readonly ok: boolean;
  /** it meshes, and yet this should be looked at */
  readonly caution?: boolean;
  readonly says: string;
}
