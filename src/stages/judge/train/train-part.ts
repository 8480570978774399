import type { TrainInput } from "@/core/train/train";
import type { ActionResult } from "../../saving/act";

export interface TrainPart {
  readonly id: string;
  readonly name: string;
  readonly teeth?: number;
  readonly moduleMm?: number;
  readonly helixAngleDeg?: number;
  readonly faceWidthMm?: number;
  readonly material?: string;
}

export type ChangeTrain = (change: (now: TrainInput) => TrainInput) => Promise<ActionResult>;
