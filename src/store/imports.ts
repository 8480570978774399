import { isDeepStrictEqual } from "node:util";
import type { Knex } from "knex";
import { z } from "zod";
import { Fault } from "@/core/fault";
import { partRows } from "./catalogue-index";
import { inTurn } from "./in-turn";
import { offerRows, supplierRows } from "./offers";
import { AT_ONCE, type Keyed, type PutCount, putRows } from "./put-rows";
import { rowsOf } from "./rows";

const importTable = z.enum(["parts", "offers", "suppliers"]);
export type ImportTable = z.infer<typeof importTable>;

/** A file that was taken into the catalogue. */
const importSchema = z.strictObject({
  id: z.int(),
  at: z.string(),
  file: z.string(),
  table: importTable,
  added: z.int(),
  changed: z.int(),
  undoneAt: z.string().optional(),
});
export type Import = Readonly<z.infer<typeof importSchema>>;
const importRecords = rowsOf("imports", importSchema);

/** How many imports can be taken back, the last one first. */
const KEPT = 3;

export const ROWS: Readonly<Record<ImportTable, Keyed<unknown>>> = {
  parts: partRows as Keyed<unknown>,
  offers: offerRows as Keyed<unknown>,
  suppliers: supplierRows as Keyed<unknown>,
};

/** An import that is going on. Rows are put in a few hundred at a time, so that other work gets its turn; if it does not come to its end, everything it did is taken back. */
export interface RunningImport {
  readonly id: number;
  readonly put: (rows: readonly unknown[]) => Promise<PutCount>;
  readonly finish: () => Promise<void>;
  readonly takeBack: () => Promise<void>;
}

export async function startImport(db: Knex, file: string, table: ImportTable, at = new Date().toISOString()): Promise<RunningImport> {
  const [id] = (await db("imports").insert({ at, file, table })) as [number];
  let [added, changed] = [0, 0];
  return {
    id,
    async put(rows) {
      const count = await putRows(db, ROWS[table], rows, {
        keep: async (trx, put) => {
          await trx("import_rows").insert(
            put.map((p) => ({ import: id, key: p.key, before: p.before && JSON.stringify(p.before), after: JSON.stringify(p.after) })),
          );
        },
      });
      added += count.added;
      changed += count.changed;
      return count;
    },
    async finish() {
      await db("imports").where({ id }).update({ added, changed, finished_at: new Date().toISOString() });
      const old = (await db("imports").select("id").orderBy("id", "desc").offset(KEPT)).map((r) => r.id as number);
      await db("import_rows").whereIn("import", old).delete();
    },
    async takeBack() {
      await putBack(db, id, table);
      await db("imports").where({ id }).delete();
    },
  };
}

/** The imports that can be seen, the last first. */
export async function lastImports(db: Knex): Promise<Import[]> {
  return (await db("imports").whereNotNull("finished_at").orderBy("id", "desc").limit(KEPT)).map(importRecords.read);
}

/**
 * Takes the last import back: what it changed is as before, what it added is gone. What was changed again since then stays.
 *
 * @returns how many rows were put back, and how many stayed
 */
export async function undoImport(db: Knex, id: number): Promise<{ back: number; stayed: number }> {
  const last = await db("imports").whereNotNull("finished_at").whereNull("undone_at").orderBy("id", "desc").first();
  if (!last || last.id !== id) throw new Fault("import", "only the last import can be taken back, one after the other");
  if (!(await db("import_rows").where("import", id).first()) && last.added + last.changed > 0)
    throw new Fault("import", `is too old: the last ${KEPT} imports can be taken back`);
  const done = await putBack(db, id, last.table);
  await db("imports").where({ id }).update({ undone_at: new Date().toISOString() });
  return done;
}

async function putBack(db: Knex, id: number, table: ImportTable): Promise<{ back: number; stayed: number }> {
  const rows = ROWS[table];
  let [back, stayed] = [0, 0];
  for (;;) {
    const some = await db("import_rows").select("*", "rowid").where("import", id).limit(AT_ONCE);
    if (!some.length) return { back, stayed };
    const puts = some.map((r) => ({ key: r.key as string, before: r.before && JSON.parse(r.before), after: JSON.parse(r.after) }));
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
      await trx("import_rows")
        .whereIn(
          "rowid",
          some.map((r) => r.rowid),
        )
        .delete();
    });
  }
}

/** Imports that the shop went down in the middle of are taken back when it opens again. */
export async function undoUnfinished(db: Knex): Promise<void> {
  for (const r of await db("imports").whereNull("finished_at")) {
    await putBack(db, r.id, r.table);
    await db("imports").where({ id: r.id }).delete();
  }
}
