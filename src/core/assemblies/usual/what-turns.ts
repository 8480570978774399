import type { Assembly } from "../../job/assembly";

/** Something that turns. */
export const whatTurns: Assembly = {
  id: "what-turns",
  says: "something that turns",
  when: { joints: ["turns"] },
  adds: [
    {
      act: "look",
      moment: "held",
      key: "turns-freely",
      asks: "Turn it by hand: does it turn freely and evenly all the way round?",
      ifNot:
        "Loosen what was drawn last and feel again: if it is gone, that was it. If not, take the last part out and look for a chip in a tooth, a washer too many, a bearing not home.",
      because: "a tight spot is found now in a minute, and after closing in an hour",
    },
  ],
  source: "usual practice",
};
