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

/** Shapes of a screw's or nut's head that tell look-alikes apart. */
export const FORMS = ["pan", "countersunk", "socket", "hex-head", "button", "grub", "dome", "self-locking", "wing", "flange"] as const;
export type HardwareForm = (typeof FORMS)[number];

/** What became of a piece that did not come off whole. */
export const PIECE_STATES = ["lost", "broken", "missing"] as const;
export type PieceState = (typeof PIECE_STATES)[number];

export interface HardwareFacts {
  readonly kind: HardwareKind;
  readonly qty: number;
  readonly thread?: string | undefined;
  readonly lengthMm?: number | undefined;
  readonly drive?: string | undefined;
  readonly at?: string | undefined;
  readonly form?: HardwareForm | undefined;
  /** what it looks like: black, brass, blued */
  readonly finish?: string | undefined;
  /** a left-hand thread */
  readonly leftHand?: boolean | undefined;
  /** goes back new */
  readonly once?: boolean | undefined;
  /** residue of thread locker: its colour, or "seen" */
  readonly locker?: string | undefined;
  /** what is printed beside a plug */
  readonly label?: string | undefined;
  readonly poles?: number | undefined;
  readonly state?: PieceState | undefined;
}

const STATE_SAYS: Readonly<Record<PieceState, string>> = { lost: "LOST", broken: "broken", missing: "was missing already" };

/**
 * A piece of hardware in words.
 *
 * @example hardwareInWords({ kind: "screw", qty: 4, thread: "ST3.5", lengthMm: 16, drive: "TX15", at: "corners" }) // "4 screws ST3.5 × 16, TX15, corners"
 */
export function hardwareInWords(h: HardwareFacts): string {
  const [one, many] = HARDWARE_NAMES[h.kind];
  const size = [h.thread, h.lengthMm === undefined ? undefined : `${h.thread ? "× " : ""}${h.lengthMm}${h.thread ? "" : " mm"}`].filter(Boolean).join(" ");
  const looks = [h.finish, h.form === "hex-head" ? "hex" : h.form].filter(Boolean).join(" ");
  const name = [h.qty, looks, h.qty === 1 ? one : many, h.label, h.poles && `${h.poles}-pole`, size].filter(Boolean).join(" ");
  const said = [name, h.leftHand && "LEFT-HAND", h.drive, h.at, h.locker && `locker ${h.locker}`, h.state && STATE_SAYS[h.state]].filter(Boolean);
  return said.join(", ");
}
