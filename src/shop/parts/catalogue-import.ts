import { Fault } from "@/core/fault";
import { asHeading, type Cells, type Table } from "@/core/table/cells";
import { type CsvManner, type CsvRow, csvManner, csvRows } from "@/exchange/csv";
import { KNOWN_TABLES, tableWith } from "@/exchange/known-tables";
import { catalogueRows, type RunningImport, startImport, tryRows } from "@/store/imports";
import type { PutCount } from "@/store/put-rows";
import type { ImportReport, RowFault } from "./import-report";

const SHOWN_FAULTS = 200;
const SAMPLE = 6;
/** So much of a cell is shown before a table is taken in. */
const SHOWN_SIGNS = 200;
const MOST_ROWS = 1e6;
const SEPARATORS: Readonly<Record<string, string>> = {
  ",": "commas",
  ";": "semicolons",
  "\t": "tabs",
  "|": "bars",
  ":": "colons",
};
export const separatorInWords = (d: string): string => SEPARATORS[d] ?? `"${d}"`;

/** Which table a file holds, by its headings; a sentence where it is none. */
function tableOf(headings: readonly string[], manner: CsvManner): Table<unknown> {
  const table = tableWith(headings);
  if (table) return table;
  const seen = headings.filter(Boolean).slice(0, 6).join(", ");
  throw new Fault(
    "file",
    headings.length < 2
      ? `has only one column, "${seen.slice(0, 60)}", if its cells are separated by ${separatorInWords(manner.delimiter)}. Choose what separates them`
      : `is no table of parts, offers, suppliers or greases: ${KNOWN_TABLES.map((t) => `${t.name} need the headings ${t.must.join(", ")}`).join("; ")}. Found: ${seen}`,
  );
}

export interface HowToRead {
  /** what stands between the cells, where it was chosen */
  readonly delimiter?: string;
  /** is told how many rows were gone through */
  readonly tell?: (rows: number) => void;
}

/**
 * Goes through a file and hands on what can be read, a few hundred rows at a time. A column that is not in
 * the file leaves what stands there: a list of new prices takes nothing else away.
 */
async function through(
  path: string,
  { delimiter, tell }: HowToRead,
  take: (table: Table<unknown>, rows: readonly unknown[]) => Promise<PutCount>,
): Promise<ImportReport> {
  const manner = await csvManner(path, delimiter);
  let table: Table<unknown> | undefined;
  let headings: string[] = [];
  const faults: RowFault[] = [];
  const sample: Cells[] = [];
  const seen = new Map<string, number>();
  const count = { rows: 0, faulty: 0, added: 0, changed: 0, same: 0 };
  const asNamed = (cells: readonly string[]): Record<string, string> =>
    Object.fromEntries(headings.map((h, i) => [h, cells[i] ?? ""]));
  const fault = (row: number, column: string, says: string): void => {
    count.faulty++;
    if (faults.length < SHOWN_FAULTS) faults.push({ row, column, says });
  };
  const read = (
    t: Table<unknown>,
    { row, cells, fault: says }: CsvRow,
    there: ReadonlyMap<string, unknown>,
  ): unknown => {
    count.rows++;
    const named = asNamed(cells);
    if (sample.length < SAMPLE)
      sample.push(
        Object.fromEntries(Object.entries(named).map(([h, cell]) => [h, cell.slice(0, SHOWN_SIGNS)])),
      );
    if (says) return fault(row, "", says);
    try {
      const old = there.get(t.keyIn(named));
      const value = t.read(old === undefined ? named : { ...t.write(old), ...named });
      const before = seen.get(t.keyOf(value));
      if (before)
        return fault(row, t.must[0] as string, `stands in row ${before} already; this row is left out`);
      seen.set(t.keyOf(value), row);
      return value;
    } catch (e) {
      if (e instanceof Fault) return fault(row, e.path, e.says);
      throw e;
    }
  };
  for await (const some of csvRows(path, manner)) {
    if (count.rows > MOST_ROWS) throw new Fault("file", `has more than ${MOST_ROWS / 1e6} million rows`);
    let rows = some;
    if (!table) {
      const [first, ...rest] = some;
      headings = (first as CsvRow).cells.map(asHeading);
      table = tableOf(headings, manner);
      const twice = headings.find((h, i) => h && headings.indexOf(h) !== i);
      if (twice) throw new Fault("file", `has two columns "${twice}"`);
      rows = rest;
    }
    const t = table;
    const there = await catalogueRows(t.name, rows.map((r) => t.keyIn(asNamed(r.cells)))); // biome-ignore format: one call
    const values = rows.map((r) => read(t, r, there)).filter((v) => v !== undefined);
    const done = await take(t, values);
    count.added += done.added;
    count.changed += done.changed;
    count.same += done.same;
    tell?.(count.rows);
  }
  if (!table) throw new Fault("file", "is empty");
  const known = table.columns;
  return {
    table: table.name,
    manner,
    faults,
    sample,
    unknown: headings.filter((h) => h && !known.includes(h)),
    ...count,
  };
}

/** What taking this file in would do; nothing is changed. */
export function importPreview(path: string, how: HowToRead = {}): Promise<ImportReport> {
  return through(path, how, (table, rows) => tryRows(table.name, rows));
}

/** Takes a file in: every row that can be read. Stopped in the middle, it leaves nothing behind. */
export async function importFile(path: string, name: string, how: HowToRead = {}): Promise<ImportReport> {
  let running: RunningImport | undefined;
  try {
    const report = await through(path, how, async (table, rows) => {
      running ??= await startImport(name, table.name);
      return running.put(rows);
    });
    await running?.finish();
    return report;
  } catch (e) {
    await running?.takeBack();
    throw e;
  }
}
