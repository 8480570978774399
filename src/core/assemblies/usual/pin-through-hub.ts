import type { Assembly } from "../../job/assembly";

/** A pin through hub and shaft. */
export const pinThroughHub: Assembly = {
  id: "pin-through-hub",
  says: "a pin through hub and shaft",
  when: { joints: ["cross-pin"] },
  adds: [
    {
      act: "look",
      moment: "final",
      key: "pin-holes",
      asks: "Do the holes line up: does a taper punch of the right size go through all of them by hand?",
      ifNot:
        "Turn the one on the other until the punch goes through. Half a turn round the hole may sit a little off: then it went on the other way.",
      because: "a pin that is driven askew shears, or spreads the hub",
    },
    {
      act: "mind",
      moment: "final",
      says: "The pin the way round it came out, what it goes through supported right beside the hole.",
    },
    {
      act: "look",
      moment: "on",
      key: "pin-equal",
      asks: "Does the pin stand out equally on both sides, or lie flush on both?",
      ifNot:
        "Drive it on with the punch, the part supported. One that goes in without a blow is worn: take a new one.",
      because: "a pin that sticks out on one side saws at the case, and holds with half its length",
    },
  ],
  orders: [["part", "before", "pin"]],
  source: "usual practice",
};
