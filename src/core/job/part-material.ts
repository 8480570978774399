import { MATERIALS } from "../train/materials";

/**
 * What a part can be made of, as it is chosen: plastics that a lubricant may attack, metals, rubbers. Gears
 * have their strength beside it, in the train.
 */
export const PART_MATERIALS: readonly { readonly material: string; readonly says: string }[] = [
  ...MATERIALS.map(({ material, says }) => ({ material, says })),
  { material: "ABS", says: "ABS" },
  { material: "PC", says: "polycarbonate (PC)" },
  { material: "PS", says: "polystyrene (PS)" },
  { material: "PBT", says: "PBT" },
  { material: "PP", says: "polypropylene (PP)" },
  { material: "PE", says: "polyethylene (PE)" },
  { material: "aluminium", says: "aluminium" },
  { material: "NBR", says: "nitrile rubber (NBR)" },
  { material: "EPDM", says: "EPDM rubber" },
  { material: "FKM", says: "FKM rubber" },
  { material: "silicone", says: "silicone rubber" },
  { material: "felt", says: "felt" },
  { material: "paper", says: "paper" },
];
