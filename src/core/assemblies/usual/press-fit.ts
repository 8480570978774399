import type { Assembly } from "../../job/assembly";

/** A press fit. */
export const pressFit: Assembly = {
  id: "press-fit",
  says: "a press fit",
  when: { joints: ["press-fit"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "Clean seat, a film of oil, straight, with a sleeve on the ring or hub that is tight; stop at the shoulder, or where it stood.",
    },
  ],
  source: "usual practice",
};
