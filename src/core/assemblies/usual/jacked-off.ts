import type { Assembly } from "../../job/assembly";

/** A part that was jacked off. */
export const jackedOff: Assembly = {
  id: "jacked-off",
  says: "a part that was jacked off",
  when: { joints: ["jacked"] },
  adds: [
    {
      act: "look",
      moment: "before",
      key: "jacking-out",
      asks: "Are the jacking screws out again?",
      ifNot: "Take them out before it is set on.",
      because: "a jacking screw that is left in holds it off its seat",
    },
  ],
  source: "usual practice",
};
