import { z } from "zod";

/**
 * Everything that is counted: screws, nuts, washers, pins, clips, springs and what else is small and loose.
 */
export const HARDWARE_KINDS = [
  "screw",
  "nut",
  "washer",
  "wavy-washer",
  "lock-washer",
  "disc-spring",
  "thrust-washer",
  "pin",
  "split-pin",
  "key",
  "rivet",
  "circlip",
  "e-clip",
  "clip",
  "spring",
  "ball",
  "bearing",
  "o-ring",
  "seal",
  "gasket",
  "plug",
  "clamp",
  "cable-tie",
  "spacer",
  "insert",
  "brush",
  "belt",
  "pawl",
  "debris",
  "other",
] as const;

export type HardwareKind = (typeof HARDWARE_KINDS)[number];
export const hardwareKind = z.enum(HARDWARE_KINDS, { error: `is none of: ${HARDWARE_KINDS.join(", ")}` });

/** One and many, as said at the bench. */
export const HARDWARE_NAMES: Readonly<Record<HardwareKind, readonly [one: string, many: string]>> = {
  screw: ["screw", "screws"],
  nut: ["nut", "nuts"],
  washer: ["washer", "washers"],
  "wavy-washer": ["wavy washer", "wavy washers"],
  "lock-washer": ["lock washer", "lock washers"],
  "disc-spring": ["disc spring", "disc springs"],
  "thrust-washer": ["thrust washer", "thrust washers"],
  pin: ["pin", "pins"],
  "split-pin": ["split pin", "split pins"],
  key: ["key", "keys"],
  rivet: ["rivet", "rivets"],
  circlip: ["circlip", "circlips"],
  "e-clip": ["E-clip", "E-clips"],
  clip: ["clip", "clips"],
  spring: ["spring", "springs"],
  ball: ["ball", "balls"],
  bearing: ["bearing", "bearings"],
  "o-ring": ["O-ring", "O-rings"],
  seal: ["seal", "seals"],
  gasket: ["gasket", "gaskets"],
  plug: ["plug", "plugs"],
  clamp: ["clamp", "clamps"],
  "cable-tie": ["cable tie", "cable ties"],
  spacer: ["spacer", "spacers"],
  insert: ["threaded insert", "threaded inserts"],
  brush: ["carbon brush", "carbon brushes"],
  belt: ["belt", "belts"],
  pawl: ["pawl", "pawls"],
  debris: ["bit of debris", "bits of debris"],
  other: ["piece", "pieces"],
};

/** What is found in a machine and is no piece of it: it is told, and never goes back. */
export const NO_PIECE: readonly HardwareKind[] = ["debris"];

/** The rows of the ledger: what is counted together. */
export const LEDGER_ROWS: readonly { readonly row: string; readonly kinds: readonly HardwareKind[] }[] = [
  { row: "screws", kinds: ["screw"] },
  { row: "nuts", kinds: ["nut"] },
  { row: "washers", kinds: ["washer", "wavy-washer", "lock-washer", "disc-spring", "thrust-washer"] },
  { row: "pins, keys, clips", kinds: ["pin", "split-pin", "key", "rivet", "circlip", "e-clip", "clip"] },
  { row: "springs, balls", kinds: ["spring", "ball", "pawl"] },
  { row: "seals", kinds: ["o-ring", "seal", "gasket"] },
  { row: "brushes, belts", kinds: ["brush", "belt"] },
  { row: "other pieces", kinds: ["bearing", "plug", "clamp", "cable-tie", "spacer", "insert", "other"] },
  { row: "found in it", kinds: ["debris"] },
];
