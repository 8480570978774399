import type { Assembly } from "../../job/assembly";

/** A washer whose tab is bent against its nut. */
export const tabWasher: Assembly = {
  id: "tab-washer",
  says: "a washer whose tab is bent over",
  when: { joints: ["bent-tab"] },
  adds: [
    {
      act: "look",
      moment: "on",
      key: "tab-bent-over",
      asks: "Is the tab bent tight against a flat of its nut, or into its slot?",
      ifNot:
        "Bend it over with a drift, the nut held. A tab with a crack at its fold is renewed: so is one that was bent before.",
      because: "a tab that lies flat locks nothing, and one bent twice breaks",
    },
  ],
  source: "usual practice",
};
