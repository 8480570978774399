import type { Assembly } from "../../job/assembly";

/** A belt. */
export const beltOnPulleys: Assembly = {
  id: "belt-on-pulleys",
  says: "a belt",
  when: { joints: ["belt"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "Over one pulley first, then rolled over the other by turning it by hand: never levered over the rim.",
    },
    {
      act: "look",
      moment: "on",
      key: "belt-true",
      asks: "Does the belt run untwisted, on the pulleys that it came from, in one line, and as tight as it was?",
      ifNot:
        "Take it off again, lay it on anew, turn by hand and watch it through one round; then see to its tension.",
      because: "a belt that is turned over or lies aside climbs off at the first start",
    },
  ],
  source: "usual practice",
};
