import type { Assembly } from "../../job/assembly";

/** A guard. */
export const guard: Assembly = {
  id: "guard",
  says: "a guard",
  when: { kinds: ["guard"] },
  adds: [
    {
      act: "look",
      moment: "on",
      key: "guard-works",
      asks: "Does the guard sit where it sat, and move as it did; and where it has a switch, does that stop the machine?",
      ifNot:
        "It does not go on to power like this: put the guard and its switch right first. A switch that was bridged is not bridged again.",
      because: "a guard that is left off, or a switch that is held down, is found by a hand",
    },
  ],
  source: "usual practice",
};
