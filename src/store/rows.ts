import { z } from "zod";
import { pathInWords } from "@/core/fault";
import type { Frozen } from "@/core/frozen";

/**
 * Between rows (snake_case, JSON as text, 0 and 1, null) and records (camelCase, values, left out). Only the
 * store knows both; the record's schema says which is which.
 */
export type Row = Record<string, unknown>;

/** A row that is not what its schema says: the file was written to by something else. */
export class DamagedRow extends Error {
  constructor(table: string, where: string, says: string) {
    super(`${table}: ${where} ${says}`);
    this.name = "DamagedRow";
  }
}

/** How a table keeps the records of a schema. */
export interface RowsOf<T> {
  /**
   * A row as a record. Throws a {@link DamagedRow} where it is none. Columns that the schema does not know
   * are left.
   */
  readonly read: (row: Row) => T;
  /**
   * A record, or some fields of one, as a row; `undefined` and null both clear the column. What is folded is
   * written whole.
   */
  readonly write: (fields: { readonly [K in keyof T]?: T[K] | null }) => Row;
  /** The column that keeps a field. */
  readonly column: (field: keyof T) => string;
}

/**
 * Reads a row of many: one that is damaged is passed over, with a word to whoever looks after the program,
 * and stops none of the others.
 */
export const readable =
  <T>(records: RowsOf<T>) =>
  (row: Row): T[] => {
    try {
      return [records.read(row)];
    } catch (e) {
      if (!(e instanceof DamagedRow)) throw e;
      console.error(e.message);
      return [];
    }
  };

const snake = (s: string): string => s.replace(/[A-Z]/g, (c) => `_${c.toLowerCase()}`);

type Kept = "json" | "flag" | "plain";

/** What a field's column holds: objects, lists and unions of them are kept as JSON, truth as 0 and 1. */
function keptAs(schema: z.core.$ZodType): Kept {
  if (schema instanceof z.ZodOptional || schema instanceof z.ZodNullable || schema instanceof z.ZodDefault)
    return keptAs(schema.unwrap());
  if (schema instanceof z.ZodBoolean) return "flag";
  if (
    schema instanceof z.ZodObject ||
    schema instanceof z.ZodArray ||
    schema instanceof z.ZodRecord ||
    schema instanceof z.ZodTuple
  )
    return "json";
  if (schema instanceof z.ZodUnion || schema instanceof z.ZodDiscriminatedUnion) return "json";
  return "plain";
}

/**
 * @param table for the sentence where a row is damaged
 * @param names columns that are not called as their field is: SQL has words of its own (`do`, `when`), and
 *   ids of a job are kept as `ref`
 * @param folded fields that are kept together as JSON in one column of that name: a new one needs no new
 *   column
 */
export function rowsOf<S extends z.ZodObject>(
  table: string,
  schema: S,
  names: Partial<Record<keyof z.infer<S> & string, string>> = {},
  folded?: { readonly column: string; readonly fields: readonly (keyof z.infer<S> & string)[] },
): RowsOf<Frozen<z.infer<S>>> {
  type T = Frozen<z.infer<S>>;
  const inFold = new Set<string>(folded?.fields);
  const fields = Object.keys(schema.shape).map((field) => {
    const given = new Map<string, string | undefined>(Object.entries(names)).get(field);
    return {
      field,
      column: inFold.has(field) && folded ? folded.column : (given ?? snake(field)),
      kept: keptAs(schema.shape[field]),
    };
  });
  const own = fields.filter((f) => !inFold.has(f.field));
  const columns = new Map(fields.map((f) => [f.field, f.column]));
  const isRow = (v: unknown): v is Row => typeof v === "object" && v !== null && !Array.isArray(v);
  const parsed = (column: string, value: unknown): unknown => {
    try {
      return typeof value === "string" ? JSON.parse(value) : value;
    } catch {
      throw new DamagedRow(table, column, "holds no JSON");
    }
  };
  return {
    read(row) {
      const record: Row = {};
      for (const { field, column, kept } of own) {
        const value = row[column];
        if (value === null || value === undefined) continue;
        record[field] = kept === "json" ? parsed(column, value) : kept === "flag" ? Boolean(value) : value;
      }
      const fold = folded && parsed(folded.column, row[folded.column] ?? "{}");
      if (isRow(fold)) Object.assign(record, fold);
      const read = schema.safeParse(record);
      if (read.success) return read.data as T;
      const issue = read.error.issues[0];
      throw new DamagedRow(table, issue ? pathInWords(issue.path) : "", issue?.message ?? "is no record");
    },
    write(record) {
      const said = new Map<string, unknown>(Object.entries(record));
      const row: Row = {};
      for (const { field, column, kept } of own) {
        if (!said.has(field)) continue;
        const value = said.get(field);
        row[column] =
          value === undefined || value === null ? null : kept === "json" ? JSON.stringify(value) : value;
      }
      if (folded) {
        const fold = folded.fields.filter((f) => said.get(f) !== undefined).map((f) => [f, said.get(f)]);
        if (folded.fields.some((f) => said.has(f)))
          row[folded.column] = JSON.stringify(Object.fromEntries(fold));
      }
      return row;
    },
    column: (field) => columns.get(String(field)) ?? snake(String(field)),
  };
}
