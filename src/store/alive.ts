import { mkdirSync, rmSync } from "node:fs";
import { join } from "node:path";
import Sqlite from "better-sqlite3";

/**
 * Signs of life: a program that works on a folder holds a lock there, which the system takes away when the
 * program ends, however it ends. A file with a process's number in it would outlive a power cut, and numbers
 * are given again.
 * The lock is SQLite's own, on an empty database of its own, so that it holds wherever the shop's database
 * does.
 */
const place = (folder: string, name: string): string => {
  mkdirSync(join(folder, "locks"), { recursive: true, mode: 0o700 });
  return join(folder, "locks", `${name}.lock`);
};

const isBusy = (e: unknown): boolean => e instanceof Sqlite.SqliteError && e.code.startsWith("SQLITE_BUSY");

/** Locks that are held: what nothing refers to any more would be closed, and its lock with it. */
const held = new Set<Sqlite.Database>();

/** Holds a sign until it is let go or the program ends. Null: another program holds it. */
export function holdSign(folder: string, name: string): (() => void) | null {
  const lock = new Sqlite(place(folder, name), { timeout: 0 });
  try {
    lock.exec("begin exclusive");
    held.add(lock);
    return () => {
      held.delete(lock);
      lock.close();
    };
  } catch (e) {
    lock.close();
    if (isBusy(e)) return null;
    throw e;
  }
}

/** Takes a sign away that is not needed again. */
export const dropSign = (folder: string, name: string): void => rmSync(place(folder, name), { force: true });

/** Whether a program that holds this sign is running. */
export function isHeld(folder: string, name: string): boolean {
  const release = holdSign(folder, name);
  release?.();
  return release === null;
}
