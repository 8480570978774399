import type { Assembly } from "../../job/assembly";

/** A hose on its spigot. */
export const hoseOnItsSpigot: Assembly = {
  id: "hose-on-its-spigot",
  says: "a hose on its spigot",
  when: { joints: ["hose"] },
  adds: [
    {
      act: "look",
      moment: "on",
      key: "hose-home",
      asks: "Is the hose pushed home, without a kink, and where a clamp holds it, that behind the bead?",
      ifNot: "Off again, the end cut back if it is hard, wetted, and pushed home.",
      because: "a hose that is half on comes off under pressure",
    },
  ],
  source: "usual practice",
};
