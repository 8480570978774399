"use server";

import { z } from "zod";
import { readWith } from "@/core/fault";
import { words } from "@/core/job/written";
import { offersTable, partsTable, suppliersTable } from "@/core/match/catalogue/catalogue-row";
import type { Table } from "@/core/table/cells";
import { dropRow, putRow } from "@/store/typed-rows";
import { answered, type FormAnswer } from "./answered";
import { TYPED_TABLES, type TypedTable } from "./typed-table";

const cells = z.record(words, z.string().max(2000, "is longer than 2000 characters"));
const key = z.string().max(300);
const table = z.enum(TYPED_TABLES);

const TABLES: Readonly<Record<TypedTable, Table<unknown>>> = {
  parts: partsTable as unknown as Table<unknown>,
  suppliers: suppliersTable as unknown as Table<unknown>,
  offers: offersTable as unknown as Table<unknown>,
};

const typedRow = z.strictObject({ table, key: key.nullable(), cells });
/** Puts a row in as its form was filled in, or changes the one that is there. */
export async function saveRow(raw: z.infer<typeof typedRow>): Promise<FormAnswer> {
  return answered("bench", async () => {
    const { table, key, cells } = readWith(typedRow, raw);
    const { read, keyOf, must } = TABLES[table];
    const row = read(cells);
    await putRow(table, key, keyOf(row), row, must[0] ?? "");
    return keyOf(row);
  });
}

const outRow = z.strictObject({ table, key });
/** Takes a row out: a supplier with all it offers, or one offer. */
export async function takeRowOut(raw: z.infer<typeof outRow>): Promise<FormAnswer> {
  return answered("bench", async () => {
    const { table, key } = readWith(outRow, raw);
    await dropRow(table, key);
    return key;
  });
}
