import { Fault } from "../fault";

/** The tables that a shop takes in and gives out. */
export const TABLE_NAMES = ["parts", "offers", "suppliers", "greases"] as const;
export type TableName = (typeof TABLE_NAMES)[number];

/** A row of a table: what stands under each heading. */
export type Cells = Readonly<Record<string, string>>;

/**
 * A table that can be read and written: its headings, which of them it cannot do without, and rows both ways.
 */
export interface Table<T> {
  readonly name: TableName;
  readonly columns: readonly string[];
  readonly must: readonly string[];
  /** what tells one row from another */
  readonly keyOf: (row: T) => string;
  /** the same, of a row that is not read yet */
  readonly keyIn: (cells: Cells) => string;
  /** @throws Fault whose path is the heading */
  readonly read: (cells: Cells) => T;
  readonly write: (row: T) => Cells;
}

/** `insideMm` → `inside_mm`; a heading may be written with spaces and capitals too. */
export const heading = (key: string): string => key.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`);
/** headings that had another name */
const ONCE: Readonly<Record<string, string>> = { spoils: "incompatible_with", least: "min_packs" };
export const asHeading = (text: string): string => {
  const now = plainHeading(text);
  return Object.hasOwn(ONCE, now) ? (ONCE[now] ?? now) : now;
};
const plainHeading = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\s-]+/g, "_");

/** A number as it is typed: a point or a comma before the decimals. */
export function numberFrom(text: string, column: string): number {
  const t = text.replace(/[\s\u00a0]/g, "");
  if (!/^[-+]?\d+([.,]\d+)?$/.test(t)) throw new Fault(column, `"${text}" is not a number`);
  return Number(t.replace(",", "."));
}

export function flagFrom(text: string, column: string): boolean {
  if (/^(yes|y|true|1|x)$/i.test(text)) return true;
  if (/^(no|n|false|0|)$/i.test(text)) return false;
  throw new Fault(column, `"${text}" is neither yes nor no`);
}

/** A fault of the schema, told at the heading it came in under. */
export function under<T>(work: () => T, columnOf: (path: string) => string): T {
  try {
    return work();
  } catch (e) {
    if (e instanceof Fault) throw new Fault(columnOf(e.path), e.says);
    throw e;
  }
}

/** What stands in a column as a field, where anything stands there. */
export const optional = (cells: Cells, column: string, key: string): Record<string, number> =>
  cells[column] ? { [key]: numberFrom(cells[column], column) } : {};
/** The number that must stand in a column. */
export const required = (cells: Cells, column: string): number => {
  if (!cells[column]) throw new Fault(column, "is missing");
  return numberFrom(cells[column], column);
};
