/**
 * Which thickeners go together: C compatible, B borderline, I incompatible. A widely published guide; makers
 * differ, and when the old
 * grease is unknown all of it comes out. Rows and columns in one order; the table is symmetric, which a test
 * checks.
 */
export const THICKENERS = [
  "AlX",
  "Ba",
  "Ca",
  "Ca12",
  "CaX",
  "CaS",
  "clay",
  "Li",
  "Li12",
  "LiX",
  "PU",
  "PUs",
] as const;
export type Thickener = (typeof THICKENERS)[number];

export const THICKENER_NAMES: Readonly<Record<Thickener, string>> = {
  AlX: "aluminium complex",
  Ba: "barium",
  Ca: "calcium",
  Ca12: "calcium 12-hydroxy",
  CaX: "calcium complex",
  CaS: "calcium sulfonate",
  clay: "clay",
  Li: "lithium",
  Li12: "lithium 12-hydroxy",
  LiX: "lithium complex",
  PU: "polyurea",
  PUs: "shear-stable polyurea",
};

const TABLE = [
  "- I I C I B I I I C I C",
  "I - I C I C I I I I I B",
  "I I - C I B C C B C I C",
  "C C C - B B C C C C I C",
  "I I I B - I I I I C C C",
  "B C B B I - I B B C I C",
  "I I C C I I - I I I I B",
  "I I C C I B I - C C I C",
  "I I B C I B I C - C I C",
  "C I C C C C I C C - I C",
  "I I I I C I I I I I - C",
  "C B C C C C B C C C C -",
].map((row) => row.split(" "));

export type Mixing = "same" | "compatible" | "borderline" | "incompatible";

/** Whether a new thickener may go on top of an old one. */
export function mixing(a: Thickener, b: Thickener): Mixing {
  const letter = TABLE[THICKENERS.indexOf(a)]?.[THICKENERS.indexOf(b)];
  return letter === "-"
    ? "same"
    : letter === "C"
      ? "compatible"
      : letter === "B"
        ? "borderline"
        : "incompatible";
}

/**
 * What an old lubricant can be besides: sodium soap, which mixes with no other and with no water; what mixes
 * with nothing; nobody knows.
 */
export const OLD_THICKENERS = [...THICKENERS, "Na", "PTFE", "silica", "unknown"] as const;
export type OldThickener = (typeof OLD_THICKENERS)[number];
const OLD_NAMES = { Na: "sodium", PTFE: "PTFE", silica: "silica", unknown: "unknown" } as const;

/** An old thickener in words. */
export const oldThickenerName = (t: OldThickener): string =>
  t in THICKENER_NAMES ? THICKENER_NAMES[t as Thickener] : OLD_NAMES[t as keyof typeof OLD_NAMES];

const isListed = (t: string): t is Thickener => (THICKENERS as readonly string[]).includes(t);

/**
 * The same for any thickener that a tube or an old case can hold. What the guide does not list goes together
 * with itself only.
 */
export function mixingOfAny(a: string, b: string): Mixing {
  if (a === b) return "same";
  return isListed(a) && isListed(b) ? mixing(a, b) : "incompatible";
}
