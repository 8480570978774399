import type { TrainInput } from "@/core/train/train";

/** A train nobody has written down yet. */
export const EMPTY_TRAIN: TrainInput = { input: { shaft: "motor", rpm: 0 }, meshes: [] };
