import type { Assembly } from "../../job/assembly";

/** A part that goes on warm. */
export const warmFit: Assembly = {
  id: "warm-fit",
  says: "a part that goes on warm",
  when: { joints: ["shrunk"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "It came off warm and goes on warm: heat what is outside, not the shaft, and it drops on. Gloves, and nothing near that burns.",
    },
  ],
  source: "usual practice",
};
