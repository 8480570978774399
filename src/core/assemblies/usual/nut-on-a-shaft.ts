import type { Assembly } from "../../job/assembly";

/** A nut that holds along a shaft. */
export const nutOnAShaft: Assembly = {
  id: "nut-on-a-shaft",
  says: "a nut that holds along a shaft",
  when: { joints: ["one-nut"], notKinds: ["cover", "housing", "guard", "handle"] },
  adds: [
    {
      act: "look",
      moment: "on",
      key: "end-play",
      asks: "With the nut drawn: is the play along the shaft what belongs there, a little where it runs between bearings, none where the nut clamps?",
      ifNot:
        "Where it should run: back an eighth at a time until it turns freely, then secured. Where it clamps: drawn home. Where neither can be reached, a washer is missing or in the wrong place.",
      because: "too little runs hot, too much lets it wander",
    },
  ],
  source: "usual practice",
};
