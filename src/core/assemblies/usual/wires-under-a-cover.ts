import type { Assembly } from "../../job/assembly";

/** Wires under what closes. */
export const wiresUnderACover: Assembly = {
  id: "wires-under-a-cover",
  says: "wires under what closes",
  when: { joints: ["wired", "closes"] },
  adds: [
    {
      act: "look",
      moment: "final",
      key: "wires-clear",
      asks: "Are all wires clear of the closing faces, in their guides, and none under a boss or at a wheel?",
      ifNot:
        "Open it again and lay the wire as it lay. A wire whose insulation is marked is renewed, not taped.",
      because: "a pinched wire is found by the insulation test at best, and by a hand at worst",
    },
  ],
  source: "usual practice",
};
