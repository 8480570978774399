import { greasesTable } from "@/core/grease/grease-row";
import { offersTable, partsTable, suppliersTable } from "@/core/match/catalogue/catalogue-row";
import type { Table } from "@/core/table/cells";

/** Every table that can be taken in, looked for in this order. What its rows are is known to itself. */
export const KNOWN_TABLES: readonly Table<unknown>[] = [
  partsTable,
  offersTable,
  suppliersTable,
  greasesTable,
] as unknown as readonly Table<unknown>[];

/** Which table these headings belong to; null: none of them. */
export const tableWith = (headings: readonly string[]): Table<unknown> | null =>
  KNOWN_TABLES.find((t) => t.must.every((c) => headings.includes(c))) ?? null;
