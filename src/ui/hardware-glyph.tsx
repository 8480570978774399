import type { HardwareKind } from "@/core/hardware/kinds";

const star = "M12 6.2l1.7 2.6 3-.3-1.3 2.9 1.3 2.8-3-.2-1.7 2.6-1.7-2.6-3 .2 1.3-2.8-1.3-2.9 3 .3z";
const cross = "M10.6 6.5h2.8v4.100h4.100v2.800h-4.100v4.100h-2.800v-4.100H6.500v-2.800h4.100z";
const slot = "M6 10.700h12v2.600H6z";
const socket = "M12 7.200l4.200 2.400v4.800L12 16.800l-4.200-2.400V9.600z";
const hex = "M12 3l7.8 4.5v9L12 21l-7.8-4.5v-9z";

/** Hardware drawn true to kind: a pan head is round, a circlip has its gap, a wavy washer is wavy. 24 × 24, stroked. */
const PATHS: Readonly<Record<HardwareKind, { d: string }>> = {
  screw: { d: "M12 3a9 9 0 100 18 9 9 0 000-18z" },
  nut: { d: `${hex} M12 8a4 4 0 100 8 4 4 0 000-8z` },
  washer: { d: "M12 3a9 9 0 100 18 9 9 0 000-18z M12 8a4 4 0 100 8 4 4 0 000-8z" },
  "wavy-washer": { d: "M2 10c3-5 5-5 7 0s4 5 6 0 4-5 7 0 M2 16c3-5 5-5 7 0s4 5 6 0 4-5 7 0" },
  "lock-washer": { d: "M14 3.3A9 9 0 1112 3l1 3.5 M12 8a4 4 0 100 8 4 4 0 000-8z" },
  pin: { d: "M5 9.5h14a2.5 2.5 0 010 5H5a2.5 2.5 0 010-5z M5 12h14" },
  circlip: { d: "M8 4.6a8.5 8.5 0 108 0 M8 4.6a2 2 0 10-1.5 2.6 M16 4.6a2 2 0 111.5 2.6" },
  "e-clip": { d: "M17.5 5A8.5 8.5 0 1018 18.5 M17.5 5v4M18 18.5V15M20 12h-7" },
  spring: { d: "M2 15l3-7 3 8 3-8 3 8 3-8 3 8 2-5" },
  ball: { d: "M12 5a7 7 0 100 14 7 7 0 000-14z M9.5 9.5a3 3 0 012.5-1.5" },
  bearing: {
    d: "M12 3a9 9 0 100 18 9 9 0 000-18z M12 8.5a3.5 3.5 0 100 7 3.5 3.5 0 000-7z M12 5.8v.1M18 12h.1M6 12h.1M12 18.2v.1M16.3 7.7h.1M7.7 7.7h.1M16.3 16.3h.1M7.7 16.3h.1",
  },
  "o-ring": { d: "M12 3.5a8.5 8.5 0 100 17 8.5 8.5 0 000-17z M12 6a6 6 0 100 12 6 6 0 000-12z" },
  seal: { d: "M12 3a9 9 0 100 18 9 9 0 000-18z M12 7a5 5 0 100 10 5 5 0 000-10z M12 9.3a2.7 2.7 0 100 5.4 2.7 2.7 0 000-5.4z" },
  gasket: { d: "M4 4h16v16H4z M8 8h8v8H8z" },
  plug: { d: "M6 9h12v8H6z M9 9V4M15 9V4M12 17v4" },
  clamp: { d: "M3 17h4c0-10 10-10 10 0h4" },
  other: { d: "M5 5h14v14H5z" },
};

/** The recess of a screw's head by its drive: star, cross, slot, hexagon. Unknown: a star, the commonest. */
function recessOf(drive: string | undefined): string {
  if (/^P[HZ]/i.test(drive ?? "")) return cross;
  if (/^SL/i.test(drive ?? "")) return slot;
  if (/^H/i.test(drive ?? "")) return socket;
  return star;
}

export function HardwareGlyph({ kind, drive, size = 24 }: { kind: HardwareKind; drive?: string | undefined; size?: number }) {
  const { d } = PATHS[kind];
  const fill = kind === "screw" ? recessOf(drive) : undefined;
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth={size > 40 ? 1.4 : 1.8}
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
      className="shrink-0"
    >
      <path d={d} />
      {fill && <path d={fill} fill="currentColor" stroke="none" />}
    </svg>
  );
}
