import { randomUUID } from "node:crypto";
import type { Knex } from "knex";
import { Fault } from "@/core/fault";
import type { GreaseOnShelf, Lubricant } from "@/core/grease/lubricant";
import { database } from "./database";
import { NOTHING_SAID, shelf } from "./grease-rows";
import { inTurn } from "./in-turn";

/** Everything that was ever on the shelf, by name; what was retired too: jobs still name it. */
export async function wholeShelf(at?: Knex): Promise<Lubricant[]> {
  const db = at ?? (await database());
  return (await db("lubricants").orderBy("name")).map(shelf.read);
}

/** The greases that are offered. */
export const greasesOnShelf = async (at?: Knex): Promise<Lubricant[]> =>
  (await wholeShelf(at)).filter((l) => !l.retired);

const known = async (trx: Knex, name: string, but?: string): Promise<boolean> =>
  Boolean(
    await trx("lubricants")
      .where({ name })
      .modify((q) => but && q.whereNot({ id: but }))
      .first("id"),
  );

/** Puts a grease on the shelf. A name is there once. */
export async function putOnShelf(grease: GreaseOnShelf, at?: Knex): Promise<string> {
  return inTurn(at ?? (await database()), async (trx) => {
    if (await known(trx, grease.name)) throw new Fault("name", `${grease.name} is on the shelf already`);
    const id = randomUUID();
    await trx("lubricants").insert(shelf.write({ ...NOTHING_SAID, ...grease, id }));
    return id;
  });
}

/** Changes a grease of the shelf. What jobs have weighed in of it stays theirs. */
export async function changeGrease(id: string, grease: GreaseOnShelf, at?: Knex): Promise<void> {
  await inTurn(at ?? (await database()), async (trx) => {
    if (await known(trx, grease.name, id)) throw new Fault("name", `${grease.name} is on the shelf already`);
    const changed = await trx("lubricants")
      .where({ id })
      .update(shelf.write({ ...NOTHING_SAID, ...grease }));
    if (!changed) throw new Fault("", "that grease is not on the shelf any more");
  });
}
