import type { Knex } from "knex";
import type { Row } from "./rows";

/**
 * Writes many rows by one statement that is handed all of them as one JSON text. A statement with a binding
 * for every cell costs several times the writing itself: it is as long as the rows, and made anew each time.
 *
 * @param rows of text, numbers, truths and null; all are written to the columns that any of them names
 * @param over columns by which a row that is there already is written over; without, such a row is an error
 * @param returning columns that are answered, one row for each that was written
 */
export async function writeMany(
  db: Knex,
  table: string,
  rows: readonly Row[],
  { over = [], returning = [] }: { over?: readonly string[]; returning?: readonly string[] } = {},
): Promise<Row[]> {
  if (!rows.length) return [];
  const columns = [...new Set(rows.flatMap(Object.keys))];
  const sql = [
    `insert into ?? (${columns.map(() => "??").join(", ")})`,
    `select ${columns.map((_, i) => `value ->> ${i}`).join(", ")} from json_each(?) where true`,
    over.length
      ? `on conflict (${over.map(() => "??").join(", ")}) do update set ${columns.map(() => "?? = ??").join(", ")}`
      : "",
    returning.length ? `returning ${returning.map(() => "??").join(", ")}` : "",
  ].join(" ");
  const cells = JSON.stringify(rows.map((r) => columns.map((c) => r[c] ?? null)));
  const written = over.length ? columns.flatMap((c) => [c, `excluded.${c}`]) : [];
  return db.raw(sql, [table, ...columns, cells, ...(over.length ? [...over, ...written] : []), ...returning]);
}

/** `whereIn` of any number of values as one binding. */
export const isOneOf = (column: string, values: readonly (string | number)[]) => (query: Knex.QueryBuilder) =>
  void query.whereRaw("?? in (select value from json_each(?))", [column, JSON.stringify(values)]);
