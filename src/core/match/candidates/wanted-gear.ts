import type { BevelTeeth, GearKind } from "../../gear/gear-kind";
import type { MeasuredInput } from "../../quantity/measured";
import type { HEAT_TREATMENTS, HUB_SIDES } from "../catalogue/part-spec";

/** The gear that the wanted one runs with. */
export interface WantedMate {
  readonly teeth: number;
  /** the tooth count of the gear that was chosen in its place */
  readonly willBe?: number;
  readonly profileShift?: number;
  /** of a worm */
  readonly hand?: "left" | "right";
  /** it drives the wanted gear; left out: the one with fewer teeth drives */
  readonly drives?: boolean;
}

/**
 * The gear that is looked for. Figures may carry their spread. What was not measured is left out, and shows
 * as "measure it".
 */
export interface WantedGear {
  readonly form?: GearKind;
  readonly teeth: MeasuredInput;
  readonly moduleMm: MeasuredInput;
  readonly pressureAngleDeg: number;
  readonly helixAngleDeg: MeasuredInput;
  readonly hand?: "left" | "right";
  /** of a bevel: how its teeth run */
  readonly bevelTeeth?: BevelTeeth;
  readonly profileShift: MeasuredInput;
  /** of a worm: over its reference cylinder; of a worm wheel: of the worm it runs with */
  readonly wormDiameterMm?: MeasuredInput;
  /** of a pulley: the belt it runs with */
  readonly profile?: string;
  readonly faceWidthMm?: MeasuredInput;
  readonly boreMm?: MeasuredInput;
  readonly boreForm?: string;
  /** it was pressed on its shaft, or was pressed off: hundredths decide */
  readonly pressed?: boolean;
  /** of a bore that drives by its form: round to its flat, or over its keyway */
  readonly acrossMm?: MeasuredInput;
  readonly keyMm?: MeasuredInput;
  readonly hub?: (typeof HUB_SIDES)[number];
  readonly hubMm?: MeasuredInput;
  readonly overallMm?: MeasuredInput;
  readonly offsetMm?: MeasuredInput;
  /** of a bevel: from where the pitch cones meet to the face that it sits on */
  readonly mountingMm?: MeasuredInput;
  /** of a cluster: its other rim */
  readonly secondTeeth?: number;
  readonly secondModuleMm?: MeasuredInput;
  readonly heat?: (typeof HEAT_TREATMENTS)[number];
  readonly material?: string;
  /** the gear it runs with, if that one stays */
  readonly mate?: WantedMate;
  /** of the two shafts, as measured on the case */
  readonly centreMm?: MeasuredInput;
  /** of the output now, for the change of speed */
  readonly outputRpm?: number;
}
