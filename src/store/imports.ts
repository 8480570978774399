import { randomUUID } from "node:crypto";
import type { Knex } from "knex";
import { z } from "zod";
import { Fault } from "@/core/fault";
import { dropSign, holdSign } from "./alive";
import { database, dataFolder } from "./database";
import { type ImportTable, importTable, putBack, ROWS } from "./import-rows";
import { writeMany } from "./many-rows";
import { AT_ONCE, type PutCount, putRows } from "./put-rows";
import { rowsOf } from "./rows";

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

/**
 * An import that is going on. Rows are put in a few hundred at a time, so that other work gets its turn; if
 * it does not come to its end, everything it did is taken back.
 */
export interface RunningImport {
  readonly id: number;
  readonly put: (rows: readonly unknown[]) => Promise<PutCount>;
  readonly finish: () => Promise<void>;
  readonly takeBack: () => Promise<void>;
}

export async function startImport(
  file: string,
  table: ImportTable,
  moment = new Date().toISOString(),
  at?: Knex,
): Promise<RunningImport> {
  const db = at ?? (await database());
  const sign = signOfThisProgram();
  const [id = 0]: number[] = await db("imports").insert({ at: moment, file, table, owner: sign.name });
  let [added, changed] = [0, 0];
  return {
    id,
    async put(rows) {
      const count = await putRows(db, ROWS[table], rows, {
        keep: async (trx, put) => {
          const rows = put.map((p) => ({
            import: id,
            key: p.key,
            before: p.before && JSON.stringify(p.before),
            after: JSON.stringify(p.after),
          }));
          await writeMany(trx, "import_rows", rows);
        },
      });
      added += count.added;
      changed += count.changed;
      return count;
    },
    async finish() {
      await db("imports").where({ id }).update({ added, changed, finished_at: new Date().toISOString() });
      sign.release();
      const old = (await db("imports").select("id").orderBy("id", "desc").offset(KEPT)).map((r) =>
        Number(r.id),
      );
      await db("import_rows").whereIn("import", old).delete();
    },
    async takeBack() {
      await putBack(db, id, table);
      await db("imports").where({ id }).delete();
      sign.release();
    },
  };
}

/** A sign of life of its own for one import, held until that is over or the program ends. */
function signOfThisProgram(): { readonly name: string; readonly release: () => void } {
  const name = `import-${randomUUID()}`;
  const release = holdSign(dataFolder(), name);
  return {
    name,
    release: () => {
      release?.();
      dropSign(dataFolder(), name);
    },
  };
}

/** The imports that can be seen, the last first. */
export async function lastImports(at?: Knex): Promise<Import[]> {
  const db = at ?? (await database());
  return (await db("imports").whereNotNull("finished_at").orderBy("id", "desc").limit(KEPT)).map(
    importRecords.read,
  );
}

/**
 * Takes the last import back: what it changed is as before, what it added is gone. What was changed again
 * since then stays.
 *
 * @returns how many rows were put back, and how many stayed
 */
export async function undoImport(id: number, at?: Knex): Promise<{ back: number; stayed: number }> {
  const db = at ?? (await database());
  const last = await db("imports")
    .whereNotNull("finished_at")
    .whereNull("undone_at")
    .orderBy("id", "desc")
    .first();
  if (!last || last.id !== id)
    throw new Fault("import", "only the last import can be taken back, one after the other");
  if (!(await db("import_rows").where("import", id).first()) && last.added + last.changed > 0)
    throw new Fault("import", `is too old: the last ${KEPT} imports can be taken back`);
  const done = await putBack(db, id, last.table);
  await db("imports").where({ id }).update({ undone_at: new Date().toISOString() });
  return done;
}

/** What stands in a table of the catalogue under these keys, by key. */
export async function catalogueRows(
  table: ImportTable,
  keys: readonly string[],
): Promise<ReadonlyMap<string, unknown>> {
  const db = await database();
  const there = new Map<string, unknown>();
  for (let i = 0; i < keys.length; i += AT_ONCE)
    for (const row of await ROWS[table].there(db, keys.slice(i, i + AT_ONCE)))
      there.set(ROWS[table].keyOf(row), row);
  return there;
}

/** What putting these rows in would do; nothing is changed. */
export async function tryRows(table: ImportTable, rows: readonly unknown[]): Promise<PutCount> {
  return putRows(await database(), ROWS[table], rows, { dry: true });
}
