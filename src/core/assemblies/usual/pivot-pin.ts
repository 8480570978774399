import type { Assembly } from "../../job/assembly";

/** A pin that something swings on. */
export const pivotPin: Assembly = {
  id: "pivot-pin",
  says: "a pin that something swings on",
  when: { joints: ["hinge-pin"] },
  adds: [
    {
      act: "look",
      moment: "on",
      key: "pivot-swings",
      asks: "Does it swing freely on its pin from end to end?",
      ifNot: "Take the pin out, clean and look at both holes; a bent pin is renewed.",
      because: "a pivot that binds does not come back",
    },
  ],
  source: "usual practice",
};
