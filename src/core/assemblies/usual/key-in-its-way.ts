import type { Assembly } from "../../job/assembly";

/** A key in its way. */
export const keyInItsWay: Assembly = {
  id: "key-in-its-way",
  says: "a key in its way",
  when: { joints: ["key"] },
  adds: [
    {
      act: "look",
      moment: "while",
      key: "key-lies",
      asks: "Does the key lie flat in its way, and the slot stand over it?",
      ifNot:
        "Lift it out, clean the slot, lay the key in level, and bring the hub's slot over it before anything is pushed.",
      because: "a key that stands up splits the hub",
    },
  ],
  orders: [["key", "before", "part"]],
  source: "usual practice",
};
