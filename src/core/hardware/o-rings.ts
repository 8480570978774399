import { MM_PER_INCH } from "../quantity/units";

/** An O-ring by inside diameter and section, mm. */
export interface ORing {
  readonly designation: string;
  readonly insideMm: number;
  readonly sectionMm: number;
  /** of the ISO 3601 (inch) series; the metric ones go by whole and half millimetres */
  readonly series: "ISO 3601" | "metric";
}

/** Sizes of ISO 3601 in runs of sixteenths of an inch: first number, last, inside diameter of the first (inch), section. */
const RUNS = [
  [11, 28, 0.301, 0.07],
  [110, 130, 0.362, 0.103],
  [210, 222, 0.734, 0.139],
] as const;

const METRIC_SECTIONS = [1, 1.5, 2, 2.5, 3] as const;

const inchRings: readonly ORing[] = RUNS.flatMap(([first, last, inside, section]) =>
  Array.from({ length: last - first + 1 }, (_, i) => ({
    designation: `${String(first + i).padStart(3, "0")}`,
    insideMm: (inside + i / 16) * MM_PER_INCH,
    sectionMm: section * MM_PER_INCH,
    series: "ISO 3601" as const,
  })),
);
const metricRings: readonly ORing[] = METRIC_SECTIONS.flatMap((sectionMm) =>
  Array.from({ length: 93 }, (_, i) => 4 + i * 0.5).map((insideMm) => ({
    designation: `${insideMm} × ${sectionMm}`,
    insideMm,
    sectionMm,
    series: "metric" as const,
  })),
);

export const O_RINGS: readonly ORing[] = [...inchRings, ...metricRings];

/**
 * How far a groove squeezes a ring, as a share of its section, with the verdict for a static seal: 15 to 30 %.
 *
 * @example squeeze(1.78, 1.4) // { share: 0.213, says: "21 % squeeze: right for a static seal" }
 */
export function squeeze(sectionMm: number, grooveDepthMm: number): { readonly share: number; readonly says: string } {
  const share = (sectionMm - grooveDepthMm) / sectionMm;
  const percent = `${Math.round(share * 100)} % squeeze`;
  if (share <= 0) return { share, says: "the groove is as deep as the ring is thick: it does not seal" };
  if (share < 0.15) return { share, says: `${percent}: too little for a static seal, which wants 15 to 30 %` };
  if (share > 0.3) return { share, says: `${percent}: too much, it tears or keeps the cover from closing; 15 to 30 % is wanted` };
  return { share, says: `${percent}: right for a static seal` };
}
