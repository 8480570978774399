import type { Assembly } from "../../job/assembly";

/** Disc springs. */
export const discSprings: Assembly = {
  id: "disc-springs",
  says: "disc springs",
  when: { joints: ["disc-springs"] },
  adds: [
    {
      act: "look",
      moment: "laid",
      key: "disc-springs-way",
      asks: "Do the disc springs lie the way they came out, cup to cup or cup in cup?",
      ifNot:
        "Take them off and lay them as they were recorded. Where nobody recorded it: cup to cup gives way twice as far, cup in cup holds twice as hard. Ask before guessing.",
      because: "turned over they give another force on the same travel",
    },
  ],
  source: "usual practice",
};
