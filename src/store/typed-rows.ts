import type { Knex } from "knex";
import { Fault } from "@/core/fault";
import { database } from "./database";
import { type ImportTable, ROWS } from "./import-rows";
import { inTurn } from "./in-turn";

/** What a table calls one of its rows. */
const CALLED: Readonly<Partial<Record<ImportTable, string>>> = {
  parts: "part",
  suppliers: "supplier",
  offers: "offer",
};

/**
 * Puts one row of a table in, as somebody typed it. A new one does not write over what is there; one that is
 * changed keeps what tells it.
 *
 * @param was what the row was told by; null: it is new
 * @param field where the fault belongs
 */
export async function putRow(
  table: ImportTable,
  was: string | null,
  key: string,
  row: unknown,
  field: string,
  at?: Knex,
): Promise<void> {
  await inTurn(at ?? (await database()), async (trx) => {
    const there = (await ROWS[table].there(trx, [key])).length > 0;
    const called = CALLED[table] ?? "row";
    if (was === null && there)
      throw new Fault(field, `there is such a ${called} already: look it up and change it`);
    if (was !== null && was !== key)
      throw new Fault(
        field,
        `this is what the ${called} is known by: put in a new one, and take this one out`,
      );
    if (was !== null && !there) throw new Fault("", `that ${called} is not there any more`);
    await ROWS[table].write(trx, [row]);
  });
}

/** Takes one row out. A supplier takes its offers along; what was ordered from it keeps its name. */
export async function dropRow(table: ImportTable, key: string, at?: Knex): Promise<void> {
  const db = at ?? (await database());
  await inTurn(db, async (trx) => {
    if (table === "suppliers") await trx("offers").where({ supplier: key }).delete();
    await ROWS[table].drop(trx, [key]);
  });
}
