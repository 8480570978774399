import type { Assembly } from "../../job/assembly";

/** A shaft seal. */
export const shaftSeal: Assembly = {
  id: "shaft-seal",
  says: "a shaft seal",
  when: { joints: ["seal"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "With a sleeve that bears on its outer edge; a film of grease on the lip, and a bit of tape over a key or a thread that the lip must pass.",
    },
    {
      act: "look",
      moment: "on",
      key: "seal-lip-whole",
      asks: "Does the lip lie round the shaft everywhere, not folded back, and is the garter spring still in it?",
      ifNot: "Take the shaft back out, turn the lip over with something blunt, and pass it again over tape.",
      because: "a lip that is folded leaks from the first turn",
    },
  ],
  source: "usual practice",
};
