import type { Assembly } from "../../job/assembly";

/** A cord grip. */
export const cordGrip: Assembly = {
  id: "cord-grip",
  says: "a cord grip",
  when: { joints: ["cord-grip"] },
  adds: [
    {
      act: "look",
      moment: "on",
      key: "cord-holds",
      asks: "Does the grip hold the sheath of the cord, not its wires, and is the cord still when it is pulled?",
      ifNot: "Open it and lay the sheath under the grip. A grip that is cracked is renewed.",
      because: "a pull on the cord ends at the terminals otherwise",
    },
  ],
  source: "usual practice",
};
