import { isDeepStrictEqual } from "node:util";
import type { Knex } from "knex";
import { z } from "zod";
import { greaseOnShelf } from "@/core/grease/lubricant";
import { cataloguePart, supplier, supplierOffer } from "@/core/match/catalogue/catalogue-part";
import { TABLE_NAMES, type TableName } from "@/core/table/cells";
import { partRows } from "./catalogue-index";
import { greaseRows } from "./grease-rows";
import { inTurn } from "./in-turn";
import { isOneOf } from "./many-rows";
import { offerRows, supplierRows } from "./offer-rows";
import { AT_ONCE, type Keyed } from "./put-rows";

export const importTable = z.enum(TABLE_NAMES);
export type ImportTable = TableName;

/** The tables of catalogue and shelf. What kind of row each takes is known to whoever read the file. */
export const ROWS: Readonly<Record<ImportTable, Keyed<unknown>>> = {
  parts: partRows as Keyed<unknown>,
  offers: offerRows as Keyed<unknown>,
  suppliers: supplierRows as Keyed<unknown>,
  greases: greaseRows as Keyed<unknown>,
};

const READ = {
  parts: cataloguePart,
  offers: supplierOffer,
  suppliers: supplier,
  greases: greaseOnShelf,
} as const;

/**
 * Puts back what stood there before an import, some hundred rows at a time; what was changed again since
 * stays.
 */
export async function putBack(
  db: Knex,
  id: number,
  table: ImportTable,
): Promise<{ back: number; stayed: number }> {
  const rows = ROWS[table];
  let [back, stayed] = [0, 0];
  for (;;) {
    const some = await db("import_rows").select("*", "rowid").where("import", id).limit(AT_ONCE);
    if (!some.length) return { back, stayed };
    const read = (text: unknown): unknown => READ[table].parse(JSON.parse(String(text)));
    const puts = some.map((r) => ({
      key: String(r.key),
      before: r.before === null ? null : read(r.before),
      after: read(r.after),
    }));
    await inTurn(db, async (trx) => {
      const now = new Map(
        (
          await rows.there(
            trx,
            puts.map((p) => p.key),
          )
        ).map((r) => [rows.keyOf(r), r]),
      );
      const ours = puts.filter((p) => isDeepStrictEqual(now.get(p.key), p.after));
      stayed += puts.length - ours.length;
      back += ours.length;
      const were = ours.filter((p) => p.before).map((p) => p.before);
      if (were.length) await rows.write(trx, were);
      await rows.drop(
        trx,
        ours.filter((p) => !p.before).map((p) => p.key),
      );
      const done = some.map((r) => r.rowid as number);
      await trx("import_rows").where(isOneOf("rowid", done)).delete();
    });
  }
}

/**
 * Imports that their program went down in the middle of are taken back when the shop is opened again.
 *
 * @param isRunning whether the program of that sign is running: what it is in the middle of is its own
 */
export async function undoUnfinished(db: Knex, isRunning: (owner: string) => boolean): Promise<void> {
  for (const r of await db("imports").whereNull("finished_at")) {
    if (r.owner && isRunning(r.owner)) continue;
    await putBack(db, r.id, r.table);
    await db("imports").where({ id: r.id }).delete();
  }
}
