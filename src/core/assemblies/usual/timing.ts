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
        "Take it back until it turns free of the other, set the marks together, and bring it home again.",
      because: "what is out is found now by looking, and after closing only by how it runs",
    },
  ],
  source: "usual practice",
};
