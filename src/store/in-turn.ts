import type { Knex } from "knex";

/**
 * A transaction that takes the write lock before it reads anything. Without that, a second process (the
 * command line beside the shop) that wrote between the first read and the first write would make it fail
 * at once; so it waits its turn.
 */
export function inTurn<T>(db: Knex, work: (trx: Knex.Transaction) => Promise<T>): Promise<T> {
  return db.transaction(async (trx) => {
    await trx.raw("update settings set value = value where 0");
    return work(trx);
  });
}
