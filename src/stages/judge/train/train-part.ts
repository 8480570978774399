import type { TrainInput } from "@/core/train/train";
import type { ActionResult } from "../../saving/act";

export interface TrainPart {
  readonly id: string;
  readonly name: string;
  readonly teeth?: number | undefined;
  readonly moduleMm?: number | undefined;
  readonly helixAngleDeg?: number | undefined;
  readonly faceWidthMm?: number | undefined;
  readonly material?: string | undefined;
}

export type ChangeTrain = (change: (now: TrainInput) => TrainInput) => Promise<ActionResult>;
