import type { Assembly } from "../../job/assembly";

/** A part that is turned on. */
export const turnedOn: Assembly = {
  id: "turned-on",
  says: "a part that is turned on",
  when: { joints: ["turned-on"] },
  adds: [
    { act: "mind", moment: "while", says: "Set in where it came out, then turned home until it stops." },
  ],
  source: "usual practice",
};
