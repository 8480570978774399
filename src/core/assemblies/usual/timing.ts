import type { Assembly } from "../../job/assembly";

/** Parts that are timed to each other. */
export const timing: Assembly = {
  id: "timing",
  says: "parts that are timed to each other",
  when: { joints: ["marks"] },
  adds: [
    {
      act: "look",
      moment: "while",
      key: "timing-together",
      asks: "Do the marks stand together as they did?",
      ifNot:
        "Draw it back until it is out of mesh, turn it by the teeth that are missing, and push it home again.",
      because: "one tooth off is found now by looking, and after closing by a bang",
    },
  ],
  source: "usual practice",
};
