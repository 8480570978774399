import type { Assembly } from "../../job/assembly";

/** A bush. */
export const bush: Assembly = {
  id: "bush",
  says: "a bush",
  when: { joints: ["bush"] },
  adds: [
    {
      act: "look",
      moment: "on",
      key: "bush-fits",
      asks: "Does what runs in the bush move in it by hand, without play that is felt?",
      ifNot:
        "A pressed bush closes up: ream it, or take one that is right. One that slides in by hand is not pressed.",
      because: "a bush that binds is burnt in a minute",
    },
  ],
  source: "usual practice",
};
