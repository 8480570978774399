import { createReadStream } from "node:fs";
import { open } from "node:fs/promises";
import { Readable } from "node:stream";
import { TextDecoderStream } from "node:stream/web";
import Papa from "papaparse";
import { Fault } from "@/core/fault";

/** How a table file was written, as far as it shows. */
export interface CsvManner {
  readonly encoding: "utf-8" | "utf-16le" | "utf-16be" | "windows-1252";
  readonly delimiter: string;
}

/** A row with its number in the file, as a spreadsheet counts: the headings are row 1. */
export interface CsvRow {
  readonly row: number;
  readonly cells: readonly string[];
  /** why it cannot be read */
  readonly fault?: string;
}

/** Signs that a spreadsheet takes for the beginning of a formula. */
const FORMULA = /^[=+\-@\t\r]/;
const NUMBER = /^[-+]?\d+([.,]\d+)?$/;
/** More than this in one cell is a quotation mark that was not closed. */
const LONGEST_CELL = 20_000;
/** More than any table of a shop has. */
export const MOST_COLUMNS = 200;
/** How much of a file is read at a time, bytes. */
const AT_ONCE = 256 * 1024;
/**
 * So many pieces without the end of a row: the file has no lines, or a quotation mark opens and is never
 * closed.
 */
const MOST_WITHOUT_A_ROW = 8;

/**
 * A cell that no spreadsheet will execute: what begins like a formula gets an apostrophe, which spreadsheets
 * hide and {@link unguarded} takes away again.
 */
export const guarded = (cell: string): string =>
  /^'*[=+\-@\t\r]/.test(cell) && !NUMBER.test(cell) ? `'${cell}` : cell;
export const unguarded = (cell: string): string =>
  cell.startsWith("'") && FORMULA.test(cell.replace(/^'+/, "")) ? cell.slice(1) : cell;

/** Rows of words as a CSV file, none of which a spreadsheet executes. */
export const cellLines = (rows: readonly (readonly string[])[]): string =>
  rows.map((r) => csvLine(r.map(guarded))).join("");

/** One row as it is written: commas, CRLF (RFC 4180). */
const csvLine = (cells: readonly string[]): string => `${Papa.unparse([cells])}\r\n`;

/**
 * A table as a file, line by line: a byte order mark so that spreadsheets take it for UTF-8, the headings,
 * and no cell that could be executed.
 */
export async function* csvLines<T>(
  table: {
    readonly columns: readonly string[];
    readonly write: (row: T) => Readonly<Record<string, string>>;
  },
  rows: AsyncIterable<T> | Iterable<T>,
): AsyncGenerator<string> {
  yield `\ufeff${csvLine(table.columns)}`;
  for await (const row of rows) {
    const cells = table.write(row);
    yield csvLine(table.columns.map((c) => guarded(cells[c] ?? "")));
  }
}

/**
 * Reads how a file is written: its byte order mark, whether it is UTF-8 all through (else as older
 * spreadsheets write), and what stands between its cells.
 */
export async function csvManner(path: string, delimiter?: string): Promise<CsvManner> {
  const file = await open(path);
  try {
    const { buffer, bytesRead } = await file.read(Buffer.alloc(256 * 1024), 0, 256 * 1024, 0);
    const head = buffer.subarray(0, bytesRead);
    if (head.length === 0) throw new Fault("file", "is empty");
    const encoding =
      head[0] === 0xff && head[1] === 0xfe
        ? "utf-16le"
        : head[0] === 0xfe && head[1] === 0xff
          ? "utf-16be"
          : (await isUtf8(path))
            ? "utf-8"
            : "windows-1252";
    const text = new TextDecoder(encoding).decode(head);
    if (text.includes("\0")) throw new Fault("file", "is no table in text form: save it as CSV");
    const guess = Papa.parse(text.slice(0, 64 * 1024), {
      preview: 20,
      delimitersToGuess: [",", ";", "\t", "|", ":"],
    }).meta.delimiter;
    return { encoding, delimiter: delimiter ?? guess };
  } finally {
    await file.close();
  }
}

async function isUtf8(path: string): Promise<boolean> {
  const decoder = new TextDecoder("utf-8", { fatal: true });
  try {
    for await (const chunk of createReadStream(path, { highWaterMark: 1 << 20 }))
      decoder.decode(chunk as Buffer, { stream: true });
    decoder.decode();
    return true;
  } catch {
    return false;
  }
}

/**
 * The rows of a file, some at a time, the headings first. Empty rows are left out, but counted. A row that
 * ends early, or goes on after the last heading, or whose quotation mark is never closed, comes with a
 * sentence.
 * Reading stands still while the caller works on what it got.
 */
export async function* csvRows(path: string, manner: CsvManner): AsyncGenerator<readonly CsvRow[]> {
  const decoded = Readable.toWeb(createReadStream(path, { highWaterMark: AT_ONCE })).pipeThrough(
    new TextDecoderStream(manner.encoding),
  );
  const waiting: CsvRow[][] = [];
  let row = 0;
  let width = 0;
  let done = false;
  let wake = (): void => undefined;
  let parser: Papa.Parser | undefined;
  let refused: Fault | undefined;
  let without = 0;
  Papa.parse<string[]>(Readable.fromWeb(decoded), {
    delimiter: manner.delimiter,
    chunk(results, p) {
      without = results.data.length ? 0 : without + 1;
      if (without >= MOST_WITHOUT_A_ROW)
        refused = new Fault(
          "file",
          row
            ? `goes on after row ${row} without an end: is a quotation mark there opened and never closed?`
            : "has no lines: it is no table",
        );
      const wide = results.data.find((r) => r.length > MOST_COLUMNS);
      if (wide)
        refused = new Fault(
          "file",
          `has ${wide.length} cells in a row; a table may have ${MOST_COLUMNS} columns`,
        );
      if (refused) {
        p.abort();
        wake();
        return;
      }
      p.pause();
      parser = p;
      const bad = new Map(
        results.errors.flatMap((e) =>
          e.type === "Quotes" && e.row !== undefined
            ? [[e.row, "a quotation mark is opened and not closed, or stands in the middle of a cell"]]
            : [],
        ),
      );
      const out: CsvRow[] = [];
      for (const [i, raw] of results.data.entries()) {
        row++;
        const cells = raw.map((c) => unguarded(c.trim()));
        if (cells.every((c) => c === "")) continue;
        if (!width) width = cells.length;
        const fault =
          bad.get(i) ??
          (cells.some((c) => c.length > LONGEST_CELL)
            ? "one cell goes on for pages: is a quotation mark missing before it?"
            : shapeFault(cells.length, width));
        out.push({ row, cells, ...(fault ? { fault } : {}) });
      }
      waiting.push(out);
      wake();
    },
    complete() {
      done = true;
      wake();
    },
    error() {
      done = true;
      wake();
    },
  });
  for (;;) {
    if (refused) throw refused;
    const next = waiting.shift();
    if (next) {
      if (next.length) yield next;
      parser?.resume();
    } else if (done) return;
    else
      await new Promise<void>((resolve) => {
        wake = resolve;
      });
  }
}

const shapeFault = (cells: number, width: number): string | undefined =>
  cells < width
    ? `ends after ${cells} of ${width} cells: is the file cut off here?`
    : cells > width
      ? `has ${cells} cells for ${width} headings: is there a separator too many?`
      : undefined;
