import {
  closeSync,
  existsSync,
  fsyncSync,
  openSync,
  readdirSync,
  readSync,
  rmSync,
  statSync,
  writeFileSync,
  writeSync,
} from "node:fs";
import { statfs } from "node:fs/promises";
import { join } from "node:path";
import { ShopTrouble, TROUBLES } from "./trouble";

/** The shop's database in its folder. */
export const databasePlace = (folder: string): string => join(folder, "shop.sqlite");
/** Says that a shop was begun here. */
const markPlace = (folder: string): string => join(folder, "shop.mark");

const size = (path: string): number => statSync(path, { throwIfNoEntry: false })?.size ?? 0;
const holdsFiles = (folder: string): boolean => existsSync(folder) && readdirSync(folder).length > 0;

/** What tells that there was a shop in this folder, other than its database; undefined: nothing. */
function traceOf(folder: string): string | undefined {
  if (holdsFiles(join(folder, "pictures"))) return "pictures are there";
  if (existsSync(markPlace(folder))) return "a shop was begun here";
  if (size(`${databasePlace(folder)}-wal`) > 0) return "its journal is there";
  return undefined;
}

const HEAD = "SQLite format 3\0";

/**
 * Looks at a folder before its database is opened, since opening makes a new one where there is none. Throws
 * a {@link ShopTrouble} where there was a shop and its database is gone, empty, or no database.
 */
export function lookAtFolder(folder: string): void {
  const place = databasePlace(folder);
  const bytes = size(place);
  if (bytes === 0) {
    const trace = traceOf(folder);
    if (trace)
      throw new ShopTrouble(
        TROUBLES.gone(
          `the database of this shop ${existsSync(place) ? "is empty, 0 bytes" : "is not there"}, though ${trace}`,
        ),
      );
    return;
  }
  const head = Buffer.alloc(HEAD.length);
  const file = openSync(place, "r");
  try {
    readSync(file, head, 0, head.length, 0);
  } finally {
    closeSync(file);
  }
  if (head.toString("latin1") !== HEAD)
    throw new ShopTrouble({ ...TROUBLES.damaged("its beginning is not that of a database"), reading: false });
}

/** Leaves the mark of a shop, once. */
export function markShop(folder: string): void {
  if (existsSync(markPlace(folder))) return;
  const file = openSync(markPlace(folder), "wx", 0o600);
  try {
    writeSync(
      file,
      "The data of a Demontage shop. Do not take this file away: without it, an empty database would be taken for a new shop.\n",
    );
    fsyncSync(file);
  } finally {
    closeSync(file);
  }
}

/** Bytes that are free on the disk of a folder. */
export async function freeBytes(folder: string): Promise<number> {
  const { bavail, bsize } = await statfs(folder);
  return bavail * bsize;
}

/** Below this the shop is warned, bytes. */
export const LITTLE_ROOM = 1e9;
/** Below this nothing large is taken in any more: pictures, tables. */
export const NO_ROOM = 200e6;

/** Whether a file can be written into the folder. */
export function canWrite(folder: string): boolean {
  const probe = join(folder, `.writing-${process.pid}`);
  try {
    writeFileSync(probe, "");
    rmSync(probe, { force: true });
    return true;
  } catch {
    return false;
  }
}
