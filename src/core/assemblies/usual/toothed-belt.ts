import type { Assembly } from "../../job/assembly";

/** A toothed belt. */
export const toothedBelt: Assembly = {
  id: "toothed-belt",
  says: "a toothed belt",
  when: { joints: ["toothed-belt"] },
  adds: [
    {
      act: "look",
      moment: "on",
      key: "belt-teeth",
      asks: "Do its teeth sit in both pulleys all round, and did neither pulley turn meanwhile?",
      ifNot: "Off again, both pulleys back to their marks, and on without turning either.",
      because: "one tooth aside is another timing",
    },
  ],
  source: "usual practice",
};
