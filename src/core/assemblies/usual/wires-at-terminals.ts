import type { Assembly } from "../../job/assembly";

/** Wires at their terminals. */
export const wiresAtTerminals: Assembly = {
  id: "wires-at-terminals",
  says: "wires at their terminals",
  when: { joints: ["wires"] },
  adds: [
    {
      act: "look",
      moment: "on",
      key: "wires-seated",
      asks: "Does each wire sit at the terminal that was noted, and hold when it is pulled lightly?",
      ifNot:
        "Take it off and look at its picture and its mark. A terminal that no longer grips is renewed, not squeezed.",
      because:
        "two that are swapped run it backwards, or do worse; one that only looks seated comes off in use",
    },
  ],
  source: "usual practice",
};
