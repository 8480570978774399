import type { Assembly } from "../../job/assembly";

/** A joint with a gasket. */
export const gasketJoint: Assembly = {
  id: "gasket-joint",
  says: "a joint with a gasket",
  when: { joints: ["gasket"] },
  adds: [
    {
      act: "look",
      moment: "before",
      key: "gasket-faces",
      asks: "Are both faces clean and dry, and is the gasket whole, its holes over the holes?",
      ifNot:
        "Old gasket and sealant off with a plastic scraper. A gasket that is torn or has set hard is renewed.",
      because: "what is left on a face holds it off beside it",
    },
  ],
  orders: [["gasket", "before", "part"]],
  source: "usual practice",
};
