import type { Assembly } from "../../job/assembly";

/** Brass inserts. */
export const brassInserts: Assembly = {
  id: "brass-inserts",
  says: "brass inserts",
  when: { joints: ["inserts"] },
  adds: [
    {
      act: "look",
      moment: "before",
      key: "inserts-hold",
      asks: "Do the inserts sit still in the plastic when a screw is turned in by hand?",
      ifNot: "An insert that turns is set anew with heat or bonded before it is drawn.",
      because: "an insert that turns lets the screw run on for ever",
    },
  ],
  source: "usual practice",
};
