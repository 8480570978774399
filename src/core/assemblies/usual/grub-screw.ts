import type { Assembly } from "../../job/assembly";

/** A grub screw. */
export const grubScrew: Assembly = {
  id: "grub-screw",
  says: "a grub screw",
  when: { joints: ["grub-screw"] },
  adds: [
    {
      act: "look",
      moment: "final",
      key: "grub-on-its-flat",
      asks: "Does the grub screw stand over its flat or its dimple, and is the part where it sat along the shaft?",
      ifNot: "Turn and slide the part until the screw finds it; a burr on the shaft is stoned off.",
      because: "beside its flat it holds by its burr, and slips",
    },
  ],
  source: "usual practice",
};
