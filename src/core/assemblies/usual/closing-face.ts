import type { Assembly } from "../../job/assembly";

/** A face that closes. */
export const closingFace: Assembly = {
  id: "closing-face",
  says: "a face that closes",
  when: { joints: ["closes"], without: ["turned-on", "threaded", "caught"] },
  adds: [
    {
      act: "look",
      moment: "final",
      key: "lies-flat",
      asks: "Does it lie down all round by hand, before anything draws it?",
      ifNot:
        "Look for a wire, a washer or a part that stands proud under it, then lay it down again by hand. Never with the screws.",
      because: "what stands proud is drawn askew by its screws, and bends or cracks",
    },
  ],
  source: "usual practice",
};
