import type { Assembly } from "../../job/assembly";

/** A switch that a cam works. */
export const limitSwitch: Assembly = {
  id: "limit-switch",
  says: "a switch that a cam works",
  when: { joints: ["switch-cam"] },
  adds: [
    {
      act: "look",
      moment: "final",
      key: "switch-in-step",
      asks: "Does the cam stand to the switch as it did, and does it click where it should by hand?",
      ifNot: "Turn the cam back to its mark before the switch is drawn down.",
      because: "a switch that is out of step stops it too late",
      waitsFor: ["cam"],
    },
  ],
  source: "usual practice",
};
