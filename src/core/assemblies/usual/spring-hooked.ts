import type { Assembly } from "../../job/assembly";

/** A spring that is hooked in. */
export const springHooked: Assembly = {
  id: "spring-hooked",
  says: "a spring that is hooked in",
  when: { joints: ["spring"], without: ["balls"] },
  adds: [
    {
      act: "look",
      moment: "on",
      key: "spring-hooked",
      asks: "Does the spring sit at both ends as it did, and does what it moves come back by itself?",
      ifNot:
        "With eye protection: take it out with pliers, look which hole it sat in, and hook the fixed end first.",
      because: "a spring that is hooked one hole further pulls harder",
    },
  ],
  source: "usual practice",
};
