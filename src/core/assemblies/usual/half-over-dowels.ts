import type { Assembly } from "../../job/assembly";

/** A half that goes over dowels. */
export const halfOverDowels: Assembly = {
  id: "half-over-dowels",
  says: "a half that goes over dowels",
  when: { joints: ["dowels", "closes"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "Over its dowels by hand until it lies down; then its screws.",
      because: "a half that is drawn over its dowels askew cracks round them",
    },
  ],
  source: "usual practice",
};
