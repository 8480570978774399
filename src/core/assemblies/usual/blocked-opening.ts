import type { Assembly } from "../../job/assembly";

/** An opening that was blocked. */
export const blockedOpening: Assembly = {
  id: "blocked-opening",
  says: "an opening that was blocked",
  when: { joints: ["blocked"] },
  adds: [
    {
      act: "look",
      moment: "on",
      key: "opening-clear",
      asks: "Is everything out again that was put in for protection, and nothing left in the opening?",
      ifNot:
        "Take it out now, whole, and look into the opening with a lamp. Where a piece of it is torn off, find that piece first.",
      because: "a rag in a gear is the one fault that the strip made itself",
    },
  ],
  source: "usual practice",
};
