/**
 * A sheet as it is thought, before it is drawn: the screen, the printed page and the PDF say the same because
 * they are drawn from this.
 */
export type Block =
  | { readonly is: "words"; readonly says: string; readonly strong?: boolean; readonly small?: boolean }
  | { readonly is: "list"; readonly items: readonly ListItem[] }
  | { readonly is: "rows"; readonly rows: readonly Row[] }
  | { readonly is: "tests"; readonly tests: readonly TestRow[] }
  | { readonly is: "pictures"; readonly pictures: readonly SheetPicture[] }
  | { readonly is: "gear"; readonly gear: SheetGear }
  | { readonly is: "signature"; readonly signature: SheetSignature };

export interface ListItem {
  /** what stands out at its beginning */
  readonly lead?: string;
  readonly says: string;
}

/** What, which, number or lot, amount. */
export interface Row {
  readonly what: string;
  readonly says: string;
  /** under what it says, smaller */
  readonly under?: string;
  readonly number?: string;
  readonly amount?: string;
  readonly strong?: boolean;
}

export interface TestRow {
  readonly asks: string;
  readonly answer: string;
  /** when it was answered */
  readonly at?: string;
  /** its limit, its instrument, what was measured besides, why it was left out */
  readonly under?: string;
}

export interface SheetPicture {
  readonly sha256: string;
  readonly says: string;
}

/** A gear with its marks: what is drawn of it is drawn from its numbers. */
export interface SheetGear {
  readonly teeth: number;
  readonly moduleMm: number;
  readonly pressureAngleDeg: number;
  readonly helixAngleDeg: number;
  readonly profileShift: number;
  readonly marks: Readonly<Record<string, string>>;
  readonly says: string;
}

export interface SheetSignature {
  /** under the line: who signed and when; or what is written on it by pen */
  readonly says: string;
  /** lines, each of points in shares of the field's width and height; none: an empty line for the pen */
  readonly strokes: readonly (readonly (readonly [number, number])[])[];
}

export interface Section {
  readonly title: string;
  readonly blocks: readonly Block[];
}

export interface Report {
  readonly title: string;
  /** kind, maker, model, serial number */
  readonly unit: string;
  readonly shop: { readonly name: string; readonly town: string };
  readonly day: string;
  readonly sections: readonly Section[];
  /** what belongs to it and does not fit on its page; empty in the short form */
  readonly annex: readonly Section[];
}

/** Words as a block; none where there is nothing to say. */
export const words = (
  says: string | undefined,
  more: { readonly strong?: boolean; readonly small?: boolean } = {},
): Block[] => (says ? [{ is: "words", says, ...more }] : []);
