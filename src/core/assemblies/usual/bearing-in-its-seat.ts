import type { Assembly } from "../../job/assembly";

/** A bearing in its seat. */
export const bearingInItsSeat: Assembly = {
  id: "bearing-in-its-seat",
  says: "a bearing in its seat",
  when: { joints: ["press-fit", "bearing"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "By hand until it stands straight, then on the ring that is tight: never through what rolls.",
    },
    {
      act: "look",
      moment: "final",
      key: "bearing-home",
      asks: "Is the bearing against its shoulder all round, or just past the groove of its clip?",
      ifNot:
        "Press it on further on the ring that is tight. Where it stands askew, take it out and begin anew: never straighten it by pressing the other side.",
      because: "one that stands askew runs hot, and one that is not home eats up the end play",
    },
  ],
  source: "usual practice",
};
