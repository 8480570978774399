import { z } from "zod";

/** Everything that is counted: screws, nuts, washers, pins, clips, springs and what else is small and loose. */
export const HARDWARE_KINDS = [
  "screw",
  "nut",
  "washer",
  "wavy-washer",
  "lock-washer",
  "pin",
  "circlip",
  "e-clip",
  "spring",
  "ball",
  "bearing",
  "o-ring",
  "seal",
  "gasket",
  "plug",
  "clamp",
  "other",
] as const;

export type HardwareKind = (typeof HARDWARE_KINDS)[number];
export const hardwareKind = z.enum(HARDWARE_KINDS, { error: `is none of: ${HARDWARE_KINDS.join(", ")}` });

/** One and many, as said at the bench. */
export const HARDWARE_NAMES: Readonly<Record<HardwareKind, readonly [one: string, many: string]>> = {
  screw: ["screw", "screws"],
  nut: ["nut", "nuts"],
  washer: ["flat washer", "flat washers"],
  "wavy-washer": ["wavy washer", "wavy washers"],
  "lock-washer": ["lock washer", "lock washers"],
  pin: ["pin", "pins"],
  circlip: ["circlip", "circlips"],
  "e-clip": ["E-clip", "E-clips"],
  spring: ["spring", "springs"],
  ball: ["ball", "balls"],
  bearing: ["bearing", "bearings"],
  "o-ring": ["O-ring", "O-rings"],
  seal: ["shaft seal", "shaft seals"],
  gasket: ["gasket", "gaskets"],
  plug: ["plug", "plugs"],
  clamp: ["clamp", "clamps"],
  other: ["piece", "pieces"],
};

/** The rows of the ledger: what is counted together. */
export const LEDGER_ROWS: readonly { readonly row: string; readonly kinds: readonly HardwareKind[] }[] = [
  { row: "screws", kinds: ["screw"] },
  { row: "nuts", kinds: ["nut"] },
  { row: "washers", kinds: ["washer", "wavy-washer", "lock-washer"] },
  { row: "pins, clips", kinds: ["pin", "circlip", "e-clip"] },
  { row: "springs, balls", kinds: ["spring", "ball"] },
  { row: "seals", kinds: ["o-ring", "seal", "gasket"] },
  { row: "other pieces", kinds: ["bearing", "plug", "clamp", "other"] },
];
