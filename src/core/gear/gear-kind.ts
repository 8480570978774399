/**
 * What a toothed part can be. The first four are named from readings; the others are entered for the train.
 */
export const GEAR_KINDS = [
  "spur",
  "helical",
  "bevel",
  "worm",
  "worm-wheel",
  "internal",
  "rack",
  "pulley",
  "sprocket",
] as const;
/**
 * How the teeth of a bevel gear run from its large end to its small one: straight at the apex; curved at an
 * angle; curved, and yet without an angle in the middle of the face.
 */
export const BEVEL_TEETH = ["straight", "spiral", "zerol"] as const;
export type BevelTeeth = (typeof BEVEL_TEETH)[number];
export type GearKind = (typeof GEAR_KINDS)[number];
