import type { BackMoment } from "../job/step";

/** What is said most for a step's return, with the moment at which it comes. */
export const OFTEN_SAID: readonly (readonly [says: string, when: BackMoment])[] = [
  ["turn it until the teeth fall in", "after"],
  ["press until it is flush", "after"],
  ["finger tight only, until all are started", "after"],
  ["snug, then an eighth of a turn", "after"],
  ["tap down first, then the screws", "before"],
  ["pass the lead through first", "before"],
  ["wires clear of the faces", "closing"],
  ["belt untwisted, on the right pulley", "closing"],
  ["draw it tight at last", "end"],
  ["set it again to where it stood", "end"],
  ["set it square, and measure it", "calibrate"],
  ["set its travel, and measure it", "calibrate"],
];
