import type { Assembly } from "../../job/assembly";

/** A splined hub. */
export const splinedHub: Assembly = {
  id: "splined-hub",
  says: "a splined hub",
  when: { joints: ["spline"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "Turn it until the splines find each other, and on by hand. A wide or missing spline fits one way only.",
    },
  ],
  source: "usual practice",
};
