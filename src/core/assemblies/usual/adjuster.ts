import type { Assembly } from "../../job/assembly";

/** Something that is set, then locked. */
export const adjuster: Assembly = {
  id: "adjuster",
  says: "something that is set, then locked",
  when: { joints: ["setting", "locked"] },
  adds: [
    {
      act: "mind",
      moment: "final",
      says: "Set first, then locked, then looked at again: a lock takes the setting with it.",
    },
  ],
  source: "usual practice",
};
