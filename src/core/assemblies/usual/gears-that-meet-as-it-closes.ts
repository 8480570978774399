import type { Assembly } from "../../job/assembly";

/** Gears that meet as a half closes. */
export const gearsThatMeetAsItCloses: Assembly = {
  id: "gears-that-meet-as-it-closes",
  says: "gears that meet as a half closes",
  when: { joints: ["meets"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "Where teeth in it meet those inside: turn the output by hand as it comes down until they fall in and it drops by itself. Never draw it down with its screws.",
      because: "teeth that stand on teeth are broken by the screws",
    },
  ],
  source: "usual practice",
};
