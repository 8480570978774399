import type { Assembly } from "../../job/assembly";

/** A part that is screwed on. */
export const threadedHead: Assembly = {
  id: "threaded-head",
  says: "a part that is screwed on",
  when: { joints: ["threaded"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "Started by hand, square, several turns before any tool takes hold; hold what it is screwed to as it was held.",
    },
  ],
  source: "usual practice",
};
