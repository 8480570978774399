import type { Assembly } from "../../job/assembly";

/** A part that is bonded in. */
export const bonded: Assembly = {
  id: "bonded",
  says: "a part that is bonded in",
  when: { joints: ["glue"] },
  adds: [
    {
      act: "mind",
      moment: "before",
      says: "The old glue off, both faces degreased, bonded anew, and given its time.",
    },
  ],
  source: "usual practice",
};
