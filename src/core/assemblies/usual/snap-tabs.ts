import type { Assembly } from "../../job/assembly";

/** Snap tabs. */
export const snapTabs: Assembly = {
  id: "snap-tabs",
  says: "snap tabs",
  when: { joints: ["tabs"] },
  adds: [
    {
      act: "look",
      moment: "final",
      key: "tabs-clicked",
      asks: "Has every tab caught, and does no edge stand off?",
      ifNot:
        "Press at that tab, not in the middle. A tab that is broken is bonded, or the part is renewed: tape is no cover.",
      because: "one tab that did not catch lets the next knock open it",
    },
  ],
  source: "usual practice",
};
