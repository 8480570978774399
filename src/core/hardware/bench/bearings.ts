import { bearingClosure } from "./bearing-closure";

/** What rolls in it, and which way it carries. */
export type BearingType = "deep-groove ball" | "drawn-cup needle" | "thrust ball" | "thrust needle";

/** Rolling bearings by designation, mm: bore d, outside D, width B (of thrust bearings the height). */
export interface BearingSize {
  readonly designation: string;
  readonly type: BearingType;
  readonly boreMm: number;
  readonly outsideMm: number;
  readonly widthMm: number;
  /** the thin series are wider where they are closed */
  readonly closedWidthMm?: number;
}

/**
 * Deep-groove ball bearings: boundary dimensions of ISO 15, by dimension series. `B/C`: the width open and
 * closed, where they differ.
 */
const BALL = `
681 1 3 1;682 2 5 1.5/2.3;683 3 7 2/3;684 4 9 2.5/4;685 5 11 3/5;686 6 13 3.5/5;687 7 14 3.5/5;688 8 16 4/5;689 9 17 4/5;
6800 10 19 5;6801 12 21 5;6802 15 24 5;6803 17 26 5;6804 20 32 7;6805 25 37 7;
693 3 8 3/4;694 4 11 4;695 5 13 4;696 6 15 5;697 7 17 5;698 8 19 6;699 9 20 6;
6900 10 22 6;6901 12 24 6;6902 15 28 7;6903 17 30 7;6904 20 37 9;6905 25 42 9;
604 4 12 4;605 5 14 5;606 6 17 6;607 7 19 6;608 8 22 7;609 9 24 7;
6000 10 26 8;6001 12 28 8;6002 15 32 9;6003 17 35 10;6004 20 42 12;6005 25 47 12;6006 30 55 13;
623 3 10 4;624 4 13 5;625 5 16 5;626 6 19 6;627 7 22 7;628 8 24 8;629 9 26 8;
6200 10 30 9;6201 12 32 10;6202 15 35 11;6203 17 40 12;6204 20 47 14;6205 25 52 15;6206 30 62 16;
633 3 13 5;634 4 16 5;635 5 19 6;
6300 10 35 11;6301 12 37 12;6302 15 42 13;6303 17 47 14;6304 20 52 15;6305 25 62 17`;

/** Drawn cups with open ends (ISO 3245): bore under the needles, outside, width. */
const NEEDLE =
  "HK0408 4 8 8;HK0608 6 10 8;HK0609 6 10 9;HK0808 8 12 8;HK0810 8 12 10;HK1010 10 14 10;HK1012 10 14 12;HK1212 12 18 12;HK1412 14 20 12;HK1512 15 21 12;HK1516 15 21 16;HK1612 16 22 12;HK1616 16 22 16;HK2016 20 26 16";
/** Thrust ball bearings, single direction (ISO 104). */
const THRUST =
  "51100 10 24 9;51101 12 26 9;51102 15 28 9;51103 17 30 9;51104 20 35 10;51105 25 42 11;51200 10 26 11;51201 12 28 11;51202 15 32 12;51203 17 35 12;51204 20 40 14";
/** Needle cages between two flat faces (ISO 3031), 2 mm high without their washers. */
const AXIAL =
  "AXK1024 10 24 2;AXK1226 12 26 2;AXK1528 15 28 2;AXK1730 17 30 2;AXK2035 20 35 2;AXK2542 25 42 2";

const sizes = (type: BearingType, rows: string): BearingSize[] =>
  rows
    .trim()
    .split(/;\s*/)
    .map((row) => {
      const [designation = "", bore, outside, width = ""] = row.split(" ");
      const [open, closed] = width.split("/").map(Number);
      const size = {
        designation,
        type,
        boreMm: Number(bore),
        outsideMm: Number(outside),
        widthMm: open as number,
      };
      return closed === undefined ? size : { ...size, closedWidthMm: closed };
    });
export const BEARINGS: readonly BearingSize[] = [
  ...sizes("deep-groove ball", BALL),
  ...sizes("drawn-cup needle", NEEDLE),
  ...sizes("thrust ball", THRUST),
  ...sizes("thrust needle", AXIAL),
];
const BY_NUMBER = new Map(BEARINGS.map((b) => [b.designation, b]));

/**
 * A number and the letters and figures that hang on it: a clearance, a cage and a grease come after the
 * closure and change nothing here.
 */
const NAMED =
  /(?<![\p{L}\p{N}])((?:hk|axk)?\d{3,5})(?:[\s-]?(open|(?:2|d|l|v)?[a-z]{1,4}\d?))?(?![\p{L}\p{N}])/giu;

/**
 * The bearing named in a text, with its closure where one is given: `608-2RS`, `6001 ZZ`, `6201 LLU`, "608,
 * seal pulled". The closure is given as the class it is of: 2RS, RS, 2RZ, RZ, 2Z, Z or open.
 * Of the thin series the width is that of the closed form, unless it is said to be open: those are the ones
 * that machines have.
 *
 * @example bearingNamed("lay shaft bearing 608-2RS") // { designation: "608", boreMm: 8, outsideMm: 22,
 *   widthMm: 7, closure: "2RS" }
 */
export function bearingNamed(
  text: string,
): (BearingSize & { readonly openWidthMm: number; readonly closure?: string }) | null {
  for (const [, number = "", suffix] of text.matchAll(NAMED)) {
    const size = BY_NUMBER.get(number.toUpperCase());
    if (!size) continue;
    const closure = suffix ? bearingClosure(suffix)?.as : undefined;
    const widthMm = closure === "open" ? size.widthMm : (size.closedWidthMm ?? size.widthMm);
    return { ...size, widthMm, openWidthMm: size.widthMm, ...(closure ? { closure } : {}) };
  }
  return null;
}

/**
 * Whether somebody wrote down that a bearing had a seal pulled, or stood open towards the case: it shares the
 * case's grease.
 */
export const sharesTheGrease = (text: string): boolean =>
  /seal\S* (?:\S+ ){0,6}pulled|open towards|one seal/i.test(text);
