import type { Assembly } from "../../job/assembly";

/** An earth connection. */
export const earthConnection: Assembly = {
  id: "earth-connection",
  says: "an earth connection",
  when: { joints: ["earth"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "The earth goes on first: bare metal, its washer under it, and drawn tight.",
    },
  ],
  source: "usual practice",
};
