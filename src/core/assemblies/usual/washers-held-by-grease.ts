import type { Assembly } from "../../job/assembly";

/** Washers that fall out of their order while it is turned over. */
export const washersHeldByGrease: Assembly = {
  id: "washers-held-by-grease",
  says: "washers that must keep their order while it is turned over",
  when: { joints: ["stack", "washers"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "Where grease runs there, a dab of it holds them in their order while it is turned over.",
    },
  ],
  source: "usual practice",
};
