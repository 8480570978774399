/**
 * Kinds of unit that come over the counter of a small shop, besides those whose hazards are listed
 * (core/safety/hazards.ts). Only what a list begins with: a shop's own kinds come first.
 */
export const USUAL_KINDS = [
  "air fryer", "band saw", "blind motor", "bread cutter", "can opener", "citrus press", "clock",
  "corded drill", "cordless drill", "curling iron", "desk fan", "drain pump", "egg beater", "electric knife",
  "fan heater", "floor polisher", "food processor", "fruit press", "hair dryer", "hand blender", "heat gun",
  "hedge shears", "ice cream maker", "impact driver", "jigsaw", "juicer", "kettle", "kitchen scales",
  "laminator", "massage gun", "meat mincer", "milk frother", "model railway engine", "music box", "nail gun",
  "paint sprayer", "paper shredder", "pasta maker", "pepper mill", "planer", "pressure washer",
  "projector", "record player", "rice cooker", "robot mower", "rotary hammer", "rotary tool", "router",
  "sander", "screwdriver", "sewage pump", "shaver", "soap dispenser", "soldering station", "steam iron",
  "tile cutter", "toothbrush", "treadmill", "trouser press", "turntable", "typewriter", "waffle iron",
  "water flosser", "window opener",
] as const; // biome-ignore format: a list
