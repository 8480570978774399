import type { Assembly } from "../../job/assembly";

/** A circlip. */
export const circlip: Assembly = {
  id: "circlip",
  says: "a circlip",
  when: { joints: ["circlip"] },
  adds: [
    {
      act: "mind",
      moment: "final",
      says: "The sharp side of a stamped clip away from what it holds; opened no further than it must be.",
    },
    {
      act: "look",
      moment: "on",
      key: "clip-seated",
      asks: "Does the clip sit in its groove all round, and turn in it?",
      ifNot:
        "Push what lies under it further home until the whole groove is in sight. A clip that was spread too far is bent: take a new one.",
      because: "a clip that only looks seated jumps off at the first load",
    },
  ],
  orders: [
    ["part", "before", "circlip"],
    ["part", "before", "e-clip"],
    ["washer", "before", "circlip"],
    ["spacer", "before", "circlip"],
  ],
  source: "usual practice",
};
