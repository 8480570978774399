import type { Assembly } from "../../job/assembly";

/** A taper. */
export const taperFit: Assembly = {
  id: "taper-fit",
  says: "a taper",
  when: { joints: ["taper"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "Both tapers clean and dry: on by hand, then drawn up. No oil on a taper.",
    },
  ],
  source: "usual practice",
};
