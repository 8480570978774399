import type { Assembly } from "../../job/assembly";

/** Something adjustable that is set back to where it stood. */
export const setAsItStood: Assembly = {
  id: "set-as-it-stood",
  says: "something adjustable whose setting was written down",
  when: { joints: ["stood"] },
  adds: [
    {
      act: "look",
      moment: "on",
      key: "stands-as-before",
      asks: "Does it stand where it stood, measured the same way?",
      ifNot: "Set it back by the figure or the mark that was written down; then lock it and look again.",
      because: "what is locked beside its setting is found at the test",
    },
  ],
  source: "usual practice",
};
