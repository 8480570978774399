import type { Assembly } from "../../job/assembly";

/** Something that was only told of as screwed out, and was recorded as nothing of its own. */
export const screwedOutBesides: Assembly = {
  id: "screwed-out-besides",
  says: "something else was screwed out",
  when: { joints: ["screws-out"] },
  adds: [
    {
      act: "look",
      moment: "on",
      key: "screwed-in-again",
      asks: "What was screwed out here besides: is it in again, as deep and as tight as it was?",
      ifNot: "Its own words stand at “It came off so”. Start it by hand, square, before a tool takes hold.",
      because: "the strip tells of something that was screwed out, and no piece was counted of it",
    },
  ],
  source: "usual practice",
};
