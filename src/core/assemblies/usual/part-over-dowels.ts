import type { Assembly } from "../../job/assembly";

/** A part that goes over dowels. */
export const partOverDowels: Assembly = {
  id: "part-over-dowels",
  says: "a part that goes over dowels",
  when: { joints: ["dowels"], without: ["closes"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "Over its dowels by hand until it lies down; only then what holds it.",
    },
  ],
  source: "usual practice",
};
