import type { Assembly } from "../../job/assembly";

/** A flange with an O-ring. */
export const flangeWithORing: Assembly = {
  id: "flange-with-o-ring",
  says: "a flange with an O-ring",
  when: { joints: ["o-ring"] },
  adds: [
    {
      act: "look",
      moment: "while",
      key: "ring-even",
      asks: "Does the O-ring lie evenly in its groove all round, not twisted and nowhere out of it?",
      ifNot:
        "Lift it out with something blunt, a film of the right grease, and lay it in anew from one point round both ways.",
      because: "a ring that is pinched is cut through when the screws are drawn",
    },
  ],
  orders: [["o-ring", "before", "part"]],
  source: "usual practice",
};
