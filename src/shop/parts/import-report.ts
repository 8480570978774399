import { z } from "zod";
import type { Frozen } from "@/core/frozen";
import { TABLE_NAMES } from "@/core/table/cells";

/** What is wrong with one row of a file. */
const rowFault = z.strictObject({ row: z.int(), column: z.string(), says: z.string() });
export type RowFault = Frozen<z.infer<typeof rowFault>>;

/** What taking a file in would do, or did. */
export const importReport = z.strictObject({
  table: z.enum(TABLE_NAMES),
  /** how the file is written */
  manner: z.strictObject({
    encoding: z.enum(["utf-8", "utf-16le", "utf-16be", "windows-1252"]),
    delimiter: z.string(),
  }),
  rows: z.int(),
  added: z.int(),
  changed: z.int(),
  same: z.int(),
  /** the first of them */
  faults: z.array(rowFault),
  faulty: z.int(),
  /** headings that nothing is read from */
  unknown: z.array(z.string()),
  /** the first rows as they were read: their cells by heading */
  sample: z.array(z.record(z.string(), z.string())),
});
export type ImportReport = Frozen<z.infer<typeof importReport>>;

/** A line of an answer that is told as it comes: how far it is, what came of it, or what was wrong. */
export const toldLine = <T extends z.ZodType>(done: T) =>
  z.union([
    z.strictObject({ rows: z.int() }),
    z.strictObject({ done }),
    z.strictObject({ path: z.string(), says: z.string() }),
  ]);
export type Told<T> =
  | { readonly rows: number }
  | { readonly done: T }
  | { readonly path: string; readonly says: string };
