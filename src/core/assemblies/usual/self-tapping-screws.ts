import type { Assembly } from "../../job/assembly";

/** Screws that go into plastic. */
export const selfTappingScrews: Assembly = {
  id: "self-tapping-screws",
  says: "screws that go into plastic",
  when: { joints: ["plastic-screws"] },
  adds: [
    {
      act: "mind",
      moment: "final",
      says: "Turn each backwards until it drops into its old thread, then in by hand: snug and no more.",
    },
  ],
  source: "usual practice",
};
