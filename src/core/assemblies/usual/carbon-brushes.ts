import type { Assembly } from "../../job/assembly";

/** Carbon brushes and their springs. */
export const carbonBrushes: Assembly = {
  id: "carbon-brushes",
  says: "carbon brushes and their springs",
  when: { joints: ["brush"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "Lift its spring, let the brush slide in, and let the spring down on it gently: never let it snap.",
    },
    {
      act: "look",
      moment: "on",
      key: "brush-slides",
      asks: "Does each brush slide freely in its holder, the right way round, its curve on the commutator?",
      ifNot:
        "Take it out and clean the holder with a dry cloth. A new one that binds is dressed on fine paper, never forced.",
      because: "a brush that sticks sparks, and burns the commutator",
    },
  ],
  source: "usual practice",
};
