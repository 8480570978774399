import type { Assembly } from "../../job/assembly";

/** A spring and ball. */
export const springAndBall: Assembly = {
  id: "spring-and-ball",
  says: "a spring and ball",
  when: { joints: ["spring", "balls"], without: ["valve"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "Spring first, then the ball, a dab of grease under both; hold the ball down with a thin blade while what covers it goes on.",
    },
    {
      act: "look",
      moment: "held",
      key: "ball-clicks",
      asks: "Does it click from place to place, and spring back by itself?",
      ifNot:
        "Take it off again over a tray: the ball is beside its spring, or the spring stands on its side.",
      because: "a ball that is not in its seat locks it or does nothing",
    },
  ],
  orders: [
    ["spring", "before", "ball"],
    ["ball", "before", "part"],
  ],
  source: "usual practice",
};
