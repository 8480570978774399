import type { Assembly } from "../../job/assembly";

/** A pawl, a ratchet or a one-way clutch. */
export const oneWayDrive: Assembly = {
  id: "one-way-drive",
  says: "a pawl, a ratchet or a one-way clutch",
  when: { joints: ["one-way"] },
  adds: [
    {
      act: "look",
      moment: "on",
      key: "right-way",
      asks: "Does it drive one way and run free the other, as it did?",
      ifNot: "Take it out and turn it over: which way the teeth lean, which end of the pawl points forwards.",
      because: "it fits as well the wrong way round, and then holds where it should run",
    },
  ],
  source: "usual practice",
};
