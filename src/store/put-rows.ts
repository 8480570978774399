import { isDeepStrictEqual } from "node:util";
import type { Knex } from "knex";
import { inTurn } from "./in-turn";

/**
 * A table of the shop that rows are put into over those of the same key: how they are looked up, written and
 * taken out.
 */
export interface Keyed<T> {
  readonly keyOf: (row: T) => string;
  readonly there: (db: Knex, keys: readonly string[]) => Promise<readonly T[]>;
  readonly write: (db: Knex, rows: readonly T[]) => Promise<void>;
  readonly drop: (db: Knex, keys: readonly string[]) => Promise<void>;
}

/** A row that was put in, and what stood there before; null: nothing. */
export interface Put<T> {
  readonly key: string;
  readonly before: T | null;
  readonly after: T;
}

export interface PutCount {
  readonly added: number;
  readonly changed: number;
  readonly same: number;
}

/** Rows written at once: few enough that a screen gets its turn between two. */
export const AT_ONCE = 1000;

/**
 * Puts rows in, over those of the same key; what is there already just so is left alone.
 *
 * @param dry counts only
 * @param keep is told what stood there, in the same transaction, before it is written over
 */
export async function putRows<T>(
  db: Knex,
  table: Keyed<T>,
  rows: readonly T[],
  { dry = false, keep }: { dry?: boolean; keep?: (trx: Knex, put: readonly Put<T>[]) => Promise<void> } = {},
): Promise<PutCount> {
  let [added, changed, same] = [0, 0, 0];
  for (let i = 0; i < rows.length; i += AT_ONCE) {
    const some = rows.slice(i, i + AT_ONCE);
    const there = new Map((await table.there(db, some.map(table.keyOf))).map((r) => [table.keyOf(r), r]));
    const touched = some.filter((r) => !isDeepStrictEqual(there.get(table.keyOf(r)), r));
    const fresh = touched.filter((r) => !there.has(table.keyOf(r))).length;
    added += fresh;
    changed += touched.length - fresh;
    same += some.length - touched.length;
    if (dry || !touched.length) continue;
    await inTurn(db, async (trx) => {
      await keep?.(
        trx,
        touched.map((r) => ({ key: table.keyOf(r), before: there.get(table.keyOf(r)) ?? null, after: r })),
      );
      await table.write(trx, touched);
    });
  }
  return { added, changed, same };
}
