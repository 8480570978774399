import { copyFileSync, existsSync, mkdirSync, mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join, resolve } from "node:path";
import knex, { type Knex } from "knex";
import { dropSign, isHeld } from "./alive";
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
import { theDoor } from "./migrations/0010-the-door";
import { sendings } from "./migrations/0011-sendings";
import { chambers } from "./migrations/0012-chambers";
import { ownOrder } from "./migrations/0013-own-order";
import { jobsOfModel } from "./migrations/0014-jobs-of-model";
import { guides } from "./migrations/0015-guides";
import { ownTestsOfJobs } from "./migrations/0016-own-tests";
import { soundsOfJobs } from "./migrations/0017-sounds";
import { goingHome } from "./migrations/0018-going-home";
import { findAJob } from "./migrations/0019-find-a-job";
import { messagesOfJobs } from "./migrations/0020-messages";
import { instrumentsOfAnswers } from "./migrations/0021-instruments";
import { knownKindsOfNames } from "./migrations/0022-known-kinds";
import { judgedPieces } from "./migrations/0023-judged-pieces";
import { doesNotApply } from "./migrations/0024-does-not-apply";
import { activeSulphur } from "./migrations/0025-active-sulphur";
import { foundBesides } from "./migrations/0026-found-besides";
import { canWrite, databasePlace, lookAtFolder, markShop } from "./shop-folder";
import { ShopTrouble, type Trouble, troubleIn } from "./trouble";

/** In the order in which they are run. */
export const MIGRATIONS = [
  theBench,
  theRecorder,
  theJudgement,
  theCatalogue,
  theOrders,
  oneRoom,
  plainNames,
  theShelf,
  anyJob,
  theDoor,
  sendings,
  chambers,
  ownOrder,
  jobsOfModel,
  guides,
  ownTestsOfJobs,
  soundsOfJobs,
  goingHome,
  findAJob,
  messagesOfJobs,
  instrumentsOfAnswers,
  knownKindsOfNames,
  judgedPieces,
  doesNotApply,
  activeSulphur,
  foundBesides,
].map((m) => ({ ...m, down: notUndone }));

/** A shop's rows that only the newer form can hold would be lost. */
async function notUndone(): Promise<void> {
  throw new Error("a migration is not undone: restore a back-up instead");
}

/** The folder that holds the database and the pictures: `DEMONTAGE_DATA`, or `data/` beside the program. */
export const dataFolder = (): string =>
  resolve(/* turbopackIgnore: true */ process.env.DEMONTAGE_DATA ?? "data");

type Connection = import("better-sqlite3").Database;

/**
 * One connection on a file. WAL, foreign keys, every commit flushed to the disk (`synchronous=FULL`): a power
 * cut loses nothing that a screen has said is saved.
 */
function connect(filename: string, looking = false): Knex {
  const pragmas = [
    "foreign_keys = ON",
    "busy_timeout = 5000",
    "secure_delete = ON",
    ...(looking ? ["query_only = ON"] : ["journal_mode = WAL", "synchronous = FULL"]),
  ];
  return knex({
    client: "better-sqlite3",
    connection: { filename },
    useNullAsDefault: true,
    pool: {
      min: 1,
      max: 1,
      afterCreate(connection: Connection, done: (e: Error | null, c: unknown) => void) {
        try {
          for (const pragma of pragmas) connection.pragma(pragma);
          done(null, connection);
        } catch (e) {
          done(e as Error, connection);
        }
      },
    },
  });
}

/**
 * Opens the shop's database, brings it to the newest form, and answers it. Where there was a shop and its
 * database is gone, none is made anew: a ShopTrouble says so.
 */
export async function openDatabase(folder = dataFolder()): Promise<Knex> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  lookAtFolder(folder);
  const db = connect(databasePlace(folder));
  try {
    await db.migrate.latest({
      migrationSource: {
        getMigrations: async () => MIGRATIONS,
        getMigrationName: (m: { name: string }) => m.name,
        getMigration: async (m: (typeof MIGRATIONS)[number]) => m,
      },
    });
    markShop(folder);
    await completeIndex(db);
    await takeBackAbandoned(db, folder);
    return db;
  } catch (e) {
    await db.destroy();
    throw e;
  }
}

/**
 * Takes back imports whose program went down in the middle of them. One that is running is its own program's.
 */
export async function takeBackAbandoned(db: Knex, folder = dataFolder()): Promise<void> {
  await undoUnfinished(db, (owner) => {
    const isRunning = isHeld(folder, owner);
    if (!isRunning) dropSign(folder, owner);
    return isRunning;
  });
}

/**
 * Opens a shop that cannot be written to, for looking at only: where its folder is read-only, a copy of it in
 * the computer's own folder for such things, since SQLite writes beside a database even to read it.
 */
export async function openForReading(folder = dataFolder()): Promise<Knex> {
  const place = databasePlace(folder);
  if (canWrite(folder)) return connect(place, true);
  const copy = mkdtempSync(join(tmpdir(), "demontage-reading-"));
  for (const end of ["", "-wal"])
    if (existsSync(place + end)) copyFileSync(place + end, databasePlace(copy) + end);
  return connect(databasePlace(copy), true);
}

const held = globalThis as { demontageDatabase?: Promise<Knex>; demontageTrouble?: Trouble | undefined };

/** What keeps this shop from being written to, if it was opened for reading only. */
export const troubleAtOpening = (): Trouble | undefined => held.demontageTrouble;

/**
 * The one connection of this process. Where it cannot be written to, one for reading; `troubleAtOpening` says
 * why.
 */
export function database(): Promise<Knex> {
  held.demontageDatabase ??= openShop().catch((e) => {
    delete held.demontageDatabase;
    throw e;
  });
  return held.demontageDatabase;
}

async function openShop(): Promise<Knex> {
  try {
    const db = await openDatabase();
    delete held.demontageTrouble;
    return db;
  } catch (e) {
    const trouble = troubleIn(e);
    if (!trouble?.reading || trouble.kind === "busy") throw trouble ? new ShopTrouble(trouble) : e;
    held.demontageTrouble = trouble;
    return openForReading();
  }
}

/** From here on the shop is only looked at: its database cannot be trusted with more. */
export async function lookOnly(trouble: Trouble): Promise<void> {
  await closeDatabase();
  held.demontageTrouble = trouble;
  held.demontageDatabase = openForReading();
}

/** Ends this process's connection; the next question opens the shop anew. */
export async function closeDatabase(): Promise<void> {
  const open = held.demontageDatabase;
  delete held.demontageDatabase;
  delete held.demontageTrouble;
  await (await open?.catch(() => undefined))?.destroy();
}
