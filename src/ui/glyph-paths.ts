import type { HardwareKind } from "@/core/hardware/kinds";

/** The recess of a screw. */
export const RECESS_PATHS = {
  star: "M12 6.2l1.7 2.6 3-.3-1.3 2.9 1.3 2.8-3-.2-1.7 2.6-1.7-2.6-3 .2 1.3-2.8-1.3-2.9 3 .3z",
  cross: "M10.6 6.5h2.8v4.100h4.100v2.800h-4.100v4.100h-2.800v-4.100H6.500v-2.800h4.100z",
  slot: "M6 10.700h12v2.600H6z",
  socket: "M12 7.200l4.200 2.400v4.800L12 16.800l-4.200-2.400V9.600z",
} as const;
export type Recess = keyof typeof RECESS_PATHS;
const hex = "M12 3l7.8 4.5v9L12 21l-7.8-4.5v-9z";

/**
 * Hardware drawn true to kind: a pan head is round, a circlip has its gap, a wavy washer is wavy. 24 × 24,
 * stroked.
 */
export const HARDWARE_PATHS: Readonly<Record<HardwareKind, string>> = {
  screw: "M12 3a9 9 0 100 18 9 9 0 000-18z",
  nut: `${hex} M12 8a4 4 0 100 8 4 4 0 000-8z`,
  washer: "M12 3a9 9 0 100 18 9 9 0 000-18z M12 8a4 4 0 100 8 4 4 0 000-8z",
  "wavy-washer": "M2 10c3-5 5-5 7 0s4 5 6 0 4-5 7 0 M2 16c3-5 5-5 7 0s4 5 6 0 4-5 7 0",
  "lock-washer": "M14 3.3A9 9 0 1112 3l1 3.5 M12 8a4 4 0 100 8 4 4 0 000-8z",
  "disc-spring": "M2 16l7-8h6l7 8 M2 16h4l5-5.500h2l5 5.500h4",
  "thrust-washer":
    "M12 3a9 9 0 100 18 9 9 0 000-18z M12 9a3 3 0 100 6 3 3 0 000-6z M12 3v6M19.800 16.500l-5.200-3M4.200 16.500l5.200-3",
  pin: "M5 9.5h14a2.5 2.5 0 010 5H5a2.5 2.5 0 010-5z M5 12h14",
  "split-pin": "M8 12a3 3 0 11-3-3h16 M8 12l13 3 M8 12h11",
  key: "M3 15a9 8 0 0118 0z M3 15v2h18v-2",
  rivet: "M4 9a8 6 0 0116 0z M9.500 9v9h5V9 M8 18h8",
  circlip: "M8 4.6a8.5 8.5 0 108 0 M8 4.6a2 2 0 10-1.5 2.6 M16 4.6a2 2 0 111.5 2.6",
  "e-clip": "M17.5 5A8.5 8.5 0 1018 18.5 M17.5 5v4M18 18.5V15M20 12h-7",
  clip: "M5 20V8a4 4 0 018 0v8a3 3 0 006 0V5",
  spring: "M2 15l3-7 3 8 3-8 3 8 3-8 3 8 2-5",
  ball: "M12 5a7 7 0 100 14 7 7 0 000-14z M9.5 9.5a3 3 0 012.5-1.5",
  bearing:
    "M12 3a9 9 0 100 18 9 9 0 000-18z M12 8.5a3.5 3.5 0 100 7 3.5 3.5 0 000-7z M12 5.8v.1M18 12h.1M6 12h.1M12 18.2v.1M16.3 7.7h.1M7.7 7.7h.1M16.3 16.3h.1M7.7 16.3h.1",
  "o-ring": "M12 3.5a8.5 8.5 0 100 17 8.5 8.5 0 000-17z M12 6a6 6 0 100 12 6 6 0 000-12z",
  seal: "M12 3a9 9 0 100 18 9 9 0 000-18z M12 7a5 5 0 100 10 5 5 0 000-10z M12 9.3a2.7 2.7 0 100 5.4 2.7 2.7 0 000-5.4z",
  gasket: "M4 4h16v16H4z M8 8h8v8H8z",
  plug: "M6 9h12v8H6z M9 9V4M15 9V4M12 17v4",
  clamp: "M3 17h4c0-10 10-10 10 0h4",
  "cable-tie": "M9 9a7 7 0 116 0 M8 8h8v5H8z M12 13v8",
  spacer: "M7 4h10v16H7z M10.500 4v16M13.500 4v16",
  insert: "M8 4h8v16H8z M6.500 8h11M6.500 12h11M6.500 16h11",
  brush: "M4 13h9v7H4z M13 15h2c3 0 1-8 4-8h2 M6.500 13v7",
  belt: "M8 6h8a6 6 0 010 12H8A6 6 0 018 6z M8 9h8a3 3 0 010 6H8a3 3 0 010-6z",
  debris: "M4 17l3-5 4 2-1 5z M13 8l4-3 2 4-3 3z M15 17l5-1-1 4z M6 5l2 3-4 1z",
  pawl: "M5 6a3 3 0 100 6 3 3 0 000-6z M6.500 6.500L21 13l-2 4-4-1L6 11.500",
  other: "M5 5h14v14H5z",
};

/** A drawn outline for a part that has no picture. 48 × 48, stroked. */
const teeth = Array.from({ length: 12 }, (_, i) => {
  const p = (r: number, a: number): string =>
    `${(24 + r * Math.sin((a * Math.PI) / 180)).toFixed(1)} ${(24 - r * Math.cos((a * Math.PI) / 180)).toFixed(1)}`;
  const a = i * 30;
  return `${i ? "L" : "M"}${p(15, a - 11)}L${p(20, a - 6)}L${p(20, a + 6)}L${p(15, a + 11)}`;
}).join("");

/** Saw teeth: one flank steep, the other long. */
const ratchet = `${Array.from({ length: 10 }, (_, i) => {
  const p = (r: number, a: number): string =>
    `${(24 + r * Math.sin((a * Math.PI) / 180)).toFixed(1)} ${(24 - r * Math.cos((a * Math.PI) / 180)).toFixed(1)}`;
  return `${i ? "L" : "M"}${p(14, i * 36)}L${p(20, i * 36 + 2)}`;
}).join("")}Z M24 18a6 6 0 100 12 6 6 0 000-12z`;

export const PART_PATHS: Readonly<Record<string, string>> = {
  gear: `${teeth}Z M24 18a6 6 0 100 12 6 6 0 000-12z`,
  bearing:
    "M24 6a18 18 0 100 36 18 18 0 000-36z M24 17a7 7 0 100 14 7 7 0 000-14z M24 11.5v.1M36.5 24h.1M11.5 24h.1M24 36.5v.1M32.8 15.2h.1M15.2 15.2h.1M32.8 32.8h.1M15.2 32.8h.1",
  seal: "M24 6a18 18 0 100 36 18 18 0 000-36z M24 12a12 12 0 100 24 12 12 0 000-24z M24 15a9 9 0 100 18 9 9 0 000-18z",
  "o-ring": "M24 7a17 17 0 100 34 17 17 0 000-34z M24 11a13 13 0 100 26 13 13 0 000-26z",
  spline: "M4 17h40v14H4z M4 20.500h40M4 24h40M4 27.500h40",
  ratchet,
  "dog-clutch": "M6 12h14v5h5v6h-5v4h5v6h-5v3H6z M42 12H30v5h-3 M27 23h3v4h-3 M27 33h3v3h12z",
  "one-way-clutch":
    "M24 6a18 18 0 100 36 18 18 0 000-36z M24 14a10 10 0 100 20 10 10 0 000-20z M20 24h8l-3-3M28 24l-3 3",
  gasket: "M8 8h32v32H8z M14 14h20v20H14z",
  cover: "M6 14h36v20H6z M13 18h22v12H13z M9.5 17.500v.1M38.500 17.500v.1M9.500 30.500v.1M38.500 30.500v.1",
  motor: "M10 14h24v20H10z M34 20h4v8h-4z M38 22.500h6v3h-6z M14 14v20M18 14v20M22 14v20M26 14v20",
  blade: "M4 28L44 16 44 24 10 34z",
  housing: "M6 12h36v24H6z M6 18h36",
  bush: "M24 8a16 16 0 100 32 16 16 0 000-32z M24 15a9 9 0 100 18 9 9 0 000-18z M24 8v7M24 33v7",
  shaft: "M4 20h8v8H4z M12 17h22v14H12z M34 20h10v8H34z M16 17v14",
  kit: "M6 16h36v22H6z M6 16l6-8h24l6 8 M20 16v6h8v-6",
  pin: "M6 20h34l3 4-3 4H6z",
  circlip: "M17 10a16 16 0 1014 0 M17 10v6M31 10v6",
  belt: "M16 14h16a10 10 0 010 20H16a10 10 0 010-20z M16 18h16a6 6 0 010 12H16a6 6 0 010-12z",
  switch: "M8 20h32v14H8z M17 20l4-9h7l3 9 M14 34v5M24 34v5M34 34v5",
  hardware: "M7 15h10v18H7z M17 20h24v8H17z M23 20v8M28 20v8M33 20v8M38 20v8",
  consumable: "M13 18h22v22H13z M20 9h8v9h-8z M13 25h22",
  brush: "M16 10h16v18H16z M24 28c0 8 6 4 6 12",
  pulley: "M10 10h6l4 9h8l4-9h6v28h-6l-4-9h-8l-4 9h-6z M20 24h8",
  board:
    "M6 10h36v28H6z M12 16h10v8H12z M28 16h8v4h-8z M14 24v4M18 24v4M28 27h8v5h-8z M11 33.500v.1M22 33.500v.1",
  clutch:
    "M8 14h8v20H8z M32 14h8v20h-8z M16 18h5v4h-5M16 26h5v4h-5M32 18h-5v4h5M32 26h-5v4h5 M4 24h4M40 24h4",
  lever: "M10 32a5 5 0 1010 0 5 5 0 00-10 0z M19 29L38 10l4 4-20 21",
  knob: "M24 8a16 16 0 100 32 16 16 0 000-32z M24 8v12 M17 40l-3 4M31 40l3 4",
  fan: "M24 20a4 4 0 100 8 4 4 0 000-8z M24 20c-8-2-9-14 0-14 4 5 3 10 0 14z M27.500 26c5 6-1 16-9 11 1-7 5-9 9-11z M20.500 22c-8 2-15-7-7-13 5 5 7 9 7 13z",
  key: "M8 18h32a6 6 0 010 12H8z M8 18v12",
  spring: "M8 12l8 24 8-24 8 24 8-24",
  chain: "M6 20h14a4 4 0 010 8H6a4 4 0 010-8z M28 20h14a4 4 0 010 8H28a4 4 0 010-8z M17 24h14",
  wire: "M4 34c10 0 6-18 16-18s6 14 14 14 6-8 10-8 M4 30v8",
  bracket: "M10 6h10v26h20v10H10z M15 13v.1M33 37v.1",
  coil: "M6 36V14 M42 36V14 M6 24c4-14 8-14 9 0 1-14 8-14 9 0 1-14 8-14 9 0 1-14 8-14 9 0",
  hose: "M6 14h20a8 8 0 018 8v18 M6 24h16a2 2 0 012 2v14 M24 40h10 M6 14v10",
  handle: "M8 34V20a8 8 0 018-8h16a8 8 0 018 8v14h-8V22a2 2 0 00-2-2H18a2 2 0 00-2 2v12z",
  tank: "M10 12h28l-3 28H13z M10 12l-3-4h34l-3 4 M12 22h24",
  plate: "M4 28l14-12h26L30 28z M4 28v4h26l14-12v-4",
  other: "M9 30l7-16 12-4 12 8-3 16-14 5z M16 14l8 10 4-14M24 24l16-6M24 24l-1 15M24 24l-15 6",
};

/** The ticks of the stage rule: ten to a stage, the fifth longer, the notches longest; 700 wide, 14 high. */
const RULE_PATHS = {
  all: Array.from({ length: 71 }, (_, i) => `M${i * 10} 14V${i % 5 === 0 ? 4 : 8}`).join(""),
  stages: Array.from({ length: 8 }, (_, i) => `M${i * 100} 14V0`).join(""),
} as const;

/** Where a glyph is drawn once for all that show it. */
const SPRITE = "/glyphs.svg";
export const hardwareGlyph = (kind: HardwareKind): string => `${SPRITE}#h-${kind}`;
export const recessGlyph = (recess: Recess): string => `${SPRITE}#r-${recess}`;
export const partGlyph = (kind: string | undefined): string =>
  `${SPRITE}#p-${kind !== undefined && Object.hasOwn(PART_PATHS, kind) ? kind : "other"}`;

export const ruleGlyph = (ticks: keyof typeof RULE_PATHS): string => `${SPRITE}#t-${ticks}`;

/**
 * Every glyph in one drawing, each by its name: a screen with a hundred parts names them instead of drawing
 * each anew.
 */
export function glyphSprite(): string {
  const paths = (prefix: string, table: Readonly<Record<string, string>>): string =>
    Object.entries(table)
      .map(([name, d]) => `<path id="${prefix}-${name}" d="${d}"/>`)
      .join("");
  return `<svg xmlns="http://www.w3.org/2000/svg"><defs>${paths("h", HARDWARE_PATHS)}${paths("r", RECESS_PATHS)}${paths("p", PART_PATHS)}${paths("t", RULE_PATHS).replaceAll("/>", ' vector-effect="non-scaling-stroke"/>')}</defs></svg>`;
}
