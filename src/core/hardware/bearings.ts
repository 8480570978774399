/** Rolling bearings by designation, mm: bore d, outside D, width B. Boundary dimensions: ISO 15. */
export interface BearingSize {
  readonly designation: string;
  readonly boreMm: number;
  readonly outsideMm: number;
  readonly widthMm: number;
}

const ROWS = `623 3 10 4;624 4 13 5;625 5 16 5;626 6 19 6;607 7 19 6;608 8 22 7;609 9 24 7;6000 10 26 8;6001 12 28 8;6002 15 32 9;6003 17 35 10;6004 20 42 12;6005 25 47 12;
6200 10 30 9;6201 12 32 10;6202 15 35 11;6203 17 40 12;6204 20 47 14;6300 10 35 11;6301 12 37 12;6302 15 42 13;685 5 11 5;686 6 13 5;688 8 16 5;6800 10 19 5;6801 12 21 5;6900 10 22 6;6901 12 24 6;6902 15 28 7`;

export const BEARINGS: readonly BearingSize[] = ROWS.split(";").map((row) => {
  const [designation, boreMm, outsideMm, widthMm] = row.trim().split(" ");
  return { designation: designation as string, boreMm: Number(boreMm), outsideMm: Number(outsideMm), widthMm: Number(widthMm) };
});

/**
 * The bearing named in a text, with its closure where one is given: `608-2RS`, `6001 ZZ`, "608, seal pulled".
 *
 * @example bearingNamed("lay shaft bearing 608-2RS") // { designation: "608", boreMm: 8, outsideMm: 22, widthMm: 7, closure: "2RS" }
 */
export function bearingNamed(text: string): (BearingSize & { readonly closure?: string }) | null {
  for (const m of text.matchAll(/\b(\d{3,4})(?:[- ]?(2RS|RS|2Z|ZZ|Z|open))?\b/gi)) {
    const size = BEARINGS.find((b) => b.designation === m[1]);
    if (size) {
      const closure = m[2]?.toUpperCase().replace("ZZ", "2Z").replace("OPEN", "open");
      return closure ? { ...size, closure } : size;
    }
  }
  return null;
}

/** Whether somebody wrote down that a bearing had a seal pulled, or stood open towards the case: it shares the case's grease. */
export const sharesTheGrease = (text: string): boolean => /seal\S* (?:\S+ ){0,6}pulled|open towards|one seal/i.test(text);
