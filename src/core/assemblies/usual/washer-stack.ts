import type { Assembly } from "../../job/assembly";

/** Washers that lie on each other. */
export const washerStack: Assembly = {
  id: "washer-stack",
  says: "washers that lie on each other",
  when: { joints: ["stack"] },
  adds: [
    {
      act: "look",
      moment: "laid",
      key: "stack-order",
      asks: "Do the pieces lie on each other as they came out: what was below is below, what was above is above?",
      ifNot:
        "Take them off again and lay them down side by side, the lowest first; then put them on in that order.",
      because:
        "two that are swapped between above and below fit as well, and change the end play and the mesh",
    },
  ],
  source: "usual practice",
};
