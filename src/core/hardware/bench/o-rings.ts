import { MM_PER_INCH } from "../../quantity/units";

/** An O-ring by inside diameter and section, mm. */
export interface ORing {
  readonly designation: string;
  readonly insideMm: number;
  readonly sectionMm: number;
  /** of the inch series of ISO 3601, of JIS B 2401; the metric ones go by whole and half millimetres */
  readonly series: "ISO 3601" | "JIS B 2401" | "metric";
}

const number = (n: number): string => String(n).padStart(3, "0");
const inch = (n: number, inside: number, section: number): ORing => ({
  designation: number(n),
  insideMm: inside * MM_PER_INCH,
  sectionMm: section * MM_PER_INCH,
  series: "ISO 3601",
});

/** Sizes that stand for themselves: number, inside diameter, section, inch. */
const SMALL =
  "1 0.029 0.04;2 0.042 0.05;3 0.056 0.06;4 0.07 0.07;5 0.101 0.07;6 0.114 0.07;7 0.145 0.07;8 0.176 0.07;9 0.208 0.07;10 0.239 0.07;42 3.239 0.07;102 0.049 0.103;103 0.081 0.103;104 0.112 0.103;105 0.143 0.103;106 0.174 0.103;107 0.206 0.103;108 0.237 0.103;109 0.299 0.103";
/** Runs of even steps: first number, last, inside diameter of the first, section, step, inch. */
const RUNS = [
  [11, 28, 0.301, 0.07, 1 / 16],
  [29, 41, 1.489, 0.07, 1 / 8],
  [110, 149, 0.362, 0.103, 1 / 16],
  [201, 222, 0.171, 0.139, 1 / 16],
  [223, 235, 1.609, 0.139, 1 / 8],
  [309, 324, 0.412, 0.21, 1 / 16],
  [325, 334, 1.475, 0.21, 1 / 8],
] as const;

/**
 * JIS B 2401, series P (moving) and G (still): inside diameters under their section, mm. The name is about
 * the rod or bore.
 */
const JIS: readonly (readonly [section: number, rings: string])[] = [
  [1.9, "P3 2.8 P4 3.8 P5 4.8 P6 5.8 P7 6.8 P8 7.8 P9 8.8 P10 9.8"],
  [
    2.4,
    "P10A 9.8 P11 10.8 P11.2 11 P12 11.8 P12.5 12.3 P14 13.8 P15 14.8 P16 15.8 P18 17.8 P20 19.8 P21 20.8 P22 21.8",
  ],
  [
    3.5,
    "P22A 21.7 P22.4 22.1 P24 23.7 P25 24.7 P25.5 25.2 P26 25.7 P28 27.7 P29 28.7 P29.5 29.2 P30 29.7 P31 30.7 P31.5 31.2 P32 31.7 P34 33.7 P35 34.7",
  ],
  [3.1, "G25 24.4 G30 29.4 G35 34.4 G40 39.4"],
];

const METRIC_SECTIONS = [1, 1.5, 2, 2.5, 3] as const;

const inchRings: readonly ORing[] = [
  ...SMALL.split(";").map((row) => inch(...(row.split(" ").map(Number) as [number, number, number]))),
  ...RUNS.flatMap(([first, last, inside, section, step]) =>
    Array.from({ length: last - first + 1 }, (_, i) => inch(first + i, inside + i * step, section)),
  ),
];
const jisRings: readonly ORing[] = JIS.flatMap(([sectionMm, rings]) =>
  [...rings.matchAll(/(\S+) (\S+)/g)].map(([, designation = "", inside]) => ({
    designation,
    insideMm: Number(inside),
    sectionMm,
    series: "JIS B 2401" as const,
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

export const O_RINGS: readonly ORing[] = [...inchRings, ...jisRings, ...metricRings];

/**
 * How far a groove squeezes a ring, as a share of its section, with the verdict for a static seal: 15 to 30
 * %.
 *
 * @example squeeze(1.78, 1.4) // { share: 0.213, says: "21 % squeeze: right for a static seal" }
 */
export function squeeze(
  sectionMm: number,
  grooveDepthMm: number,
): { readonly share: number; readonly says: string } {
  const share = (sectionMm - grooveDepthMm) / sectionMm;
  const percent = `${Math.round(share * 100)} % squeeze`;
  if (share <= 0) return { share, says: "the groove is as deep as the ring is thick: it does not seal" };
  if (share < 0.15)
    return { share, says: `${percent}: too little for a static seal, which wants 15 to 30 %` };
  if (share > 0.3)
    return {
      share,
      says: `${percent}: too much, it tears or keeps the cover from closing; 15 to 30 % is wanted`,
    };
  return { share, says: `${percent}: right for a static seal` };
}
