import { mkdirSync } from "node:fs";
import { join, resolve } from "node:path";
import knex, { type Knex } from "knex";
import { completeIndex } from "./catalogue-index";
import { undoUnfinished } from "./import-rows";
import { theBench } from "./migrations/0001-the-bench";
import { theRecorder } from "./migrations/0002-the-recorder";
import { theJudgement } from "./migrations/0003-the-judgement";
import { theCatalogue } from "./migrations/0004-the-catalogue";
import { theOrders } from "./migrations/0005-the-orders";
import { oneRoom } from "./migrations/0006-one-room";
import { plainNames } from "./migrations/0007-plain-names";
import { theShelf } from "./migrations/0008-the-shelf";
import { anyJob } from "./migrations/0009-any-job";

/** In the order in which they are run. */
export const MIGRATIONS = [theBench, theRecorder, theJudgement, theCatalogue, theOrders, oneRoom, plainNames, theShelf, anyJob];

/** The folder that holds the database and the pictures: `DEMONTAGE_DATA`, or `data/` beside the program. */
export const dataFolder = (): string => resolve(/* turbopackIgnore: true */ process.env.DEMONTAGE_DATA ?? "data");

/**
 * Opens the shop's database, brings it to the newest form, and answers it. WAL, foreign keys, every commit flushed to the disk
 * (`synchronous=FULL`): a power cut loses nothing that a screen has said is saved.
 */
export async function openDatabase(folder = dataFolder()): Promise<Knex> {
  mkdirSync(folder, { recursive: true });
  const db = knex({
    client: "better-sqlite3",
    connection: { filename: join(folder, "shop.sqlite") },
    useNullAsDefault: true,
    pool: {
      min: 1,
      max: 1,
      afterCreate(connection: { pragma(text: string): unknown }, done: (e: Error | null, c: unknown) => void) {
        for (const pragma of ["journal_mode = WAL", "foreign_keys = ON", "synchronous = FULL", "busy_timeout = 5000"]) connection.pragma(pragma);
        done(null, connection);
      },
    },
  });
  await db.migrate.latest({
    migrationSource: {
      getMigrations: async () => MIGRATIONS,
      getMigrationName: (m: { name: string }) => m.name,
      getMigration: async (m: (typeof MIGRATIONS)[number]) => m,
    },
  });
  await completeIndex(db);
  await undoUnfinished(db);
  return db;
}

const held = globalThis as { demontageDatabase?: Promise<Knex> };

/** The one connection of this process. */
export function database(): Promise<Knex> {
  held.demontageDatabase ??= openDatabase().catch((e) => {
    delete held.demontageDatabase;
    throw e;
  });
  return held.demontageDatabase;
}
