import type { Assembly } from "../../job/assembly";

/** A hub or coupling that is turned until it meshes. */
export const hubTurnedToMesh: Assembly = {
  id: "hub-turned-to-mesh",
  says: "a hub or coupling that is turned until it meshes",
  when: { joints: ["flats"] },
  adds: [
    {
      act: "mind",
      moment: "while",
      says: "Flats to flats: turn it until it drops over them by itself. Nothing is forced.",
      because: "a hub that is pressed on beside its flats is round afterwards",
    },
  ],
  source: "usual practice",
};
