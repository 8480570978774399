/** What a toothed part can be. The first four are named from readings; the others are entered for the train. */
export const GEAR_KINDS = ["spur", "helical", "bevel", "worm", "worm-wheel", "internal", "rack", "pulley", "sprocket"] as const;
export type GearKind = (typeof GEAR_KINDS)[number];
