import type { Assembly } from "../../job/assembly";

/** A ball that a spring holds on its seat: it lets through one way. */
export const ballValve: Assembly = {
  id: "ball-valve",
  says: "a valve of ball and spring",
  when: { joints: ["balls", "spring", "valve"] },
  adds: [
    {
      act: "mind",
      moment: "before",
      says: "Seat and ball clean and without a mark, seen in good light; the ball on its seat, its spring behind it.",
    },
    {
      act: "look",
      moment: "held",
      key: "valve-one-way",
      asks: "Does it let through one way and hold the other?",
      ifNot:
        "Out again: wipe seat and ball, and look which way round it was. A seat with a ring worn into it leaks.",
      because: "a valve that is the wrong way round or leaks makes no pressure",
    },
  ],
  orders: [
    ["ball", "before", "part"],
    ["spring", "before", "part"],
  ],
  source: "usual practice",
};
