import { MM_PER_INCH } from "../../quantity/units";

/** A screw thread by its designation. */
export interface Thread {
  readonly designation: string;
  readonly system: "metric" | "metric fine" | "unified" | "Whitworth" | "BA" | "tapping" | "for plastic";
  /** nominal outside diameter d, mm */
  readonly diameterMm: number;
  /** pitch P, mm */
  readonly pitchMm: number;
  /** threads per inch, where it is counted so */
  readonly perInch?: number;
}

const metric = (rows: string, system: "metric" | "metric fine"): Thread[] =>
  rows.split(" ").map((row) => {
    const [d, p] = row.split("x").map(Number) as [number, number];
    return { designation: system === "metric" ? `M${d}` : `M${d}×${p}`, system, diameterMm: d, pitchMm: p };
  });

/** Major diameter of a numbered unified screw, inch: 0.060 + 0.013 n (ASME B1.1). */
const numbered = (n: number): number => 0.06 + 0.013 * n;
const unified = (designation: string, inch: number, perInch: number): Thread => ({
  designation,
  system: "unified",
  diameterMm: inch * MM_PER_INCH,
  pitchMm: MM_PER_INCH / perInch,
  perInch,
});
const whitworth = (designation: string, inch: number, perInch: number): Thread => ({
  ...unified(designation, inch, perInch),
  system: "Whitworth",
});
/**
 * British Association (BS 93): the pitch of number n is 0.9ⁿ mm, the diameter 6 p^1.2, both rounded to two and
 * to one decimal.
 */
const association = (n: number): Thread => {
  const pitch = 0.9 ** n;
  return {
    designation: `${n}BA`,
    system: "BA",
    diameterMm: Math.round(6 * pitch ** 1.2 * 10) / 10,
    pitchMm: Math.round(pitch * 100) / 100,
  };
};
const tapping = (d: number, perInch: number): Thread => ({
  designation: `ST${d}`,
  system: "tapping",
  diameterMm: d,
  pitchMm: MM_PER_INCH / perInch,
  perInch,
});

/** Pan-head screws for plastic, flanks of 30°: their pitches follow d / 2.235, as sold. */
const forPlastic = (rows: string): Thread[] =>
  rows.split(" ").map((row) => {
    const [d, p] = row.split("x").map(Number) as [number, number];
    return { designation: `plastic ${d}`, system: "for plastic", diameterMm: d, pitchMm: p };
  });

/**
 * ISO 261 coarse and a few fine, unified (ASME B1.1), Whitworth coarse and fine (BS 84), British Association
 * of old instruments, clocks and switches, tapping screws (ISO 1478, whose pitches are those of
 * whole threads per inch, rounded), and screws for plastic.
 */
export const THREADS: readonly Thread[] = [
  ...metric(
    "1.4x0.3 1.6x0.35 2x0.4 2.5x0.45 2.6x0.45 3x0.5 3.5x0.6 4x0.7 5x0.8 6x1 8x1.25 10x1.5 12x1.75 14x2",
    "metric",
  ),
  ...metric("6x0.75 8x1 10x1 10x1.25 12x1.25 12x1.5 14x1.5", "metric fine"),
  unified("#2-56", numbered(2), 56),
  unified("#4-40", numbered(4), 40),
  unified("#5-40", numbered(5), 40),
  unified("#6-32", numbered(6), 32),
  unified("#8-32", numbered(8), 32),
  unified("#10-24", numbered(10), 24),
  unified("#10-32", numbered(10), 32),
  unified("#12-24", numbered(12), 24),
  unified("¼-20", 0.25, 20),
  unified("¼-28", 0.25, 28),
  unified("5/16-18", 0.3125, 18),
  unified("5/16-24", 0.3125, 24),
  unified("3/8-16", 0.375, 16),
  unified("3/8-24", 0.375, 24),
  unified("7/16-14", 0.4375, 14),
  unified("7/16-20", 0.4375, 20),
  unified("1/2-13", 0.5, 13),
  unified("1/2-20", 0.5, 20),
  unified("5/8-11", 0.625, 11),
  whitworth("1/8 BSW", 0.125, 40),
  whitworth("3/16 BSW", 0.1875, 24),
  whitworth("1/4 BSW", 0.25, 20),
  whitworth("5/16 BSW", 0.3125, 18),
  whitworth("3/8 BSW", 0.375, 16),
  whitworth("7/16 BSW", 0.4375, 14),
  whitworth("1/2 BSW", 0.5, 12),
  whitworth("3/16 BSF", 0.1875, 32),
  whitworth("1/4 BSF", 0.25, 26),
  whitworth("5/16 BSF", 0.3125, 22),
  whitworth("3/8 BSF", 0.375, 20),
  whitworth("7/16 BSF", 0.4375, 18),
  whitworth("1/2 BSF", 0.5, 16),
  ...Array.from({ length: 11 }, (_, n) => association(n)),
  tapping(2.2, 32),
  tapping(2.9, 24),
  tapping(3.5, 20),
  tapping(3.9, 19),
  tapping(4.2, 18),
  tapping(4.8, 16),
  tapping(5.5, 14),
  tapping(6.3, 14),
  ...forPlastic("2.2x0.98 2.5x1.12 3x1.34 3.5x1.57 4x1.79 5x2.24"),
];

/** A designation as it is compared. */
const bare = (said: string): string =>
  said
    .trim()
    .toUpperCase()
    .replace("×", "X")
    .replace("1/4", "¼")
    .replace(",", ".")
    .replace(/WHIT(?:WORTH)?$/, "BSW")
    .replace(/\s+/g, "");

/**
 * The thread named in a text: `M4`, `m4x0.7`, `M8×1`, `ST3.5`, `#8-32`, `1/4-20`, `2BA`, `1/4 BSW`.
 *
 * @example threadNamed("M8x1").pitchMm // 1
 */
export function threadNamed(text: string): Thread | undefined {
  const t = bare(text);
  return THREADS.find(
    (x) =>
      bare(x.designation) === t || (x.system === "metric" && `${bare(x.designation)}X${x.pitchMm}` === t),
  );
}

/** What of its pitches a thread's stress diameter lies under its outside: half the sum of pitch and core. */
const DEEP: Readonly<Partial<Record<Thread["system"], number>>> = {
  unified: 0.9743,
  Whitworth: 0.9605,
  BA: 0.9,
};

/**
 * Stress area A_s, mm²: π/4 (d − 0.9382 P)² (ISO 898-1); of unified threads π/4 (d − 0.9743 P)² (ASME B1.1);
 * of Whitworth and BA by the mean of pitch and core diameter of their own forms (0.6403 P deep at 55°, 0.6 P
 * at 47.5°).
 *
 * @example stressArea(threadNamed("M6")) // 20.1
 */
export const stressArea = (t: Thread): number =>
  (Math.PI / 4) * (t.diameterMm - (DEEP[t.system] ?? 0.9382) * t.pitchMm) ** 2;
