import { createHash } from "node:crypto";
import { createReadStream } from "node:fs";
import {
  chmod,
  copyFile,
  link,
  mkdir,
  readdir,
  readFile,
  rename,
  rm,
  stat,
  writeFile,
} from "node:fs/promises";
import { basename, join, resolve } from "node:path";
import { pipeline } from "node:stream/promises";
import Sqlite from "better-sqlite3";
import { z } from "zod";
import { Fault } from "@/core/fault";
import type { Frozen } from "@/core/frozen";
import { isHeld } from "./alive";
import { dataFolder } from "./database";
import { ENDINGS } from "./picture-decoder";
import { databasePlace, markShop } from "./shop-folder";

/** What a back-up says of itself; written last. */
const manifestSchema = z.strictObject({
  format: z.literal("demontage-backup"),
  version: z.literal(1),
  at: z.iso.datetime(),
  /** of the database file */
  sha256: z.string(),
  jobs: z.int(),
  pictures: z.int(),
  /** pictures that the shop itself had no more, or damaged */
  missing: z.array(z.string()),
});
export type BackupManifest = Frozen<z.infer<typeof manifestSchema>>;
const MANIFEST = "backup.json";

/** `2026-11-29T1015`: names sort as their days do, and no file system minds them. */
const datedName = (now: Date): string => now.toISOString().slice(0, 19).replaceAll(":", "");
const NAMED = /^\d{4}-\d{2}-\d{2}T\d{6}$/;

/** Nobody else on this computer reads it; a disk that knows no users, as most sticks do, cannot keep that. */
const forOwnUser = (path: string): Promise<void> => chmod(path, 0o600).catch(() => undefined);

export interface KeptPicture {
  readonly sha256: string;
  readonly type: string;
}
const fileOf = ({ sha256, type }: KeptPicture): string =>
  join("pictures", `${sha256}.${ENDINGS[type.slice(6)] ?? "bin"}`);

async function sha256Of(path: string): Promise<string | null> {
  const hash = createHash("sha256");
  try {
    await pipeline(createReadStream(path), hash);
    return hash.digest("hex");
  } catch {
    return null;
  }
}

const picturesIn = (db: Sqlite.Database): KeptPicture[] =>
  db.prepare<[], KeptPicture>("select sha256, type from pictures order by sha256").all();

/** Told as a back-up goes on: how many pictures of how many. */
export type Tell = (done: number, of: number) => void;

/**
 * Backs the shop up while it is worked in: the database first, by SQLite's own back-up, which sees one moment
 * of it; then the pictures it names, which are never changed once they are written. It is written beside,
 * read
 * again and compared, and gets its name only then: a folder with a day for a name is a whole back-up.
 *
 * Pictures that lie in the back-up before it already are not copied but linked, where the disk can.
 *
 * @param to the folder that holds the back-ups
 * @returns its folder, and what it says of itself
 */
export async function backUp(
  to: string,
  { now = new Date(), tell }: { readonly now?: Date; readonly tell?: Tell } = {},
): Promise<{ folder: string; manifest: BackupManifest }> {
  if (resolve(to) === dataFolder())
    throw new Fault(
      "folder",
      "back-ups cannot lie in the shop’s folder itself; name one beside it or, better, on another disk",
    );
  await mkdir(to, { recursive: true, mode: 0o700 });
  const before = (await backupsIn(to))[0]?.folder;
  const folder = join(to, datedName(now));
  if (await stat(folder).catch(() => null))
    throw new Fault("folder", `there is a back-up of this very second in ${to} already`);
  const part = `${folder}.part`;
  await rm(part, { recursive: true, force: true });
  try {
    await mkdir(join(part, "pictures"), { recursive: true, mode: 0o700 });
    await copyDatabase(join(part, "shop.sqlite"));
    await forOwnUser(join(part, "shop.sqlite"));
    const manifest = await fillAndVerify(part, before, now, tell);
    await writeFile(join(part, MANIFEST), `${JSON.stringify(manifest, null, 2)}\n`, {
      mode: 0o600,
      flush: true,
    });
    await rename(part, folder);
    return { folder, manifest };
  } catch (e) {
    await rm(part, { recursive: true, force: true });
    throw e;
  }
}

/**
 * SQLite's own back-up, from a connection of its own: it sees one moment of the database, and nobody who
 * writes waits for it.
 */
async function copyDatabase(place: string): Promise<void> {
  const db = new Sqlite(databasePlace(dataFolder()), { readonly: true, fileMustExist: true });
  try {
    // all that is left in one go: a write between two pieces would begin it anew
    await db.backup(place, { progress: () => 2 ** 30 });
  } finally {
    db.close();
  }
  // one file, without a journal beside it
  const copy = new Sqlite(place);
  try {
    copy.pragma("journal_mode = DELETE");
  } finally {
    copy.close();
  }
}

async function fillAndVerify(
  part: string,
  before: string | undefined,
  now: Date,
  tell: Tell | undefined,
): Promise<BackupManifest> {
  const db = new Sqlite(join(part, "shop.sqlite"), { readonly: true });
  try {
    const says = soundness(db);
    if (says) throw new Fault("database", `the copy of the database is not sound: ${says}`);
    const missing: string[] = [];
    const pictures = picturesIn(db);
    for (const [i, p] of pictures.entries()) {
      if (!(await carry(p, part, before))) missing.push(p.sha256);
      tell?.(i + 1, pictures.length);
    }
    const { jobs } = db.prepare<[], { jobs: number }>("select count(*) as jobs from jobs").get() ?? {
      jobs: 0,
    };
    const sha256 = (await sha256Of(join(part, "shop.sqlite"))) ?? "";
    return {
      format: "demontage-backup",
      version: 1,
      at: now.toISOString(),
      sha256,
      jobs,
      pictures: pictures.length - missing.length,
      missing,
    };
  } finally {
    db.close();
  }
}

/**
 * Carries one picture into the back-up and reads it there again; false: the shop has it no more, or damaged.
 */
async function carry(p: KeptPicture, part: string, before: string | undefined): Promise<boolean> {
  const to = join(part, fileOf(p));
  if (before && (await link(join(before, fileOf(p)), to).then(() => true, () => false)) && (await sha256Of(to)) === p.sha256) return true; // biome-ignore format: one question
  await rm(to, { force: true });
  if ((await copyFile(join(dataFolder(), fileOf(p)), to).then(() => true, () => false)) && (await sha256Of(to)) === p.sha256) return true; // biome-ignore format: one question
  await rm(to, { force: true });
  return false;
}

/** What is wrong with a database as a whole; empty: nothing. */
export function soundness(db: Sqlite.Database): string {
  const [quick] = z.array(z.object({ integrity_check: z.string() })).parse(db.pragma("integrity_check(1)"));
  if (quick?.integrity_check !== "ok") return quick?.integrity_check ?? "it cannot be checked";
  const loose = z.array(z.object({ table: z.string() })).parse(db.pragma("foreign_key_check"));
  return loose.length ? `${loose.length} rows belong to nothing, the first in ${loose[0]?.table}` : "";
}

export interface Backup {
  readonly folder: string;
  readonly name: string;
  readonly manifest: BackupManifest;
}

/** The back-ups in a folder, the latest first. */
export async function backupsIn(to: string): Promise<Backup[]> {
  const names = (await readdir(to).catch(() => [])).filter((n) => NAMED.test(n)).sort().reverse(); // biome-ignore format: one chain
  const found: Backup[] = [];
  for (const name of names) {
    const manifest = await manifestOf(join(to, name)).catch(() => null);
    if (manifest) found.push({ folder: join(to, name), name, manifest });
  }
  return found;
}

async function manifestOf(folder: string): Promise<BackupManifest> {
  let text: string;
  try {
    text = await readFile(join(folder, MANIFEST), "utf8");
  } catch {
    throw new Fault("folder", `${folder} holds no back-up: there is no ${MANIFEST} in it`);
  }
  try {
    return manifestSchema.parse(JSON.parse(text));
  } catch {
    throw new Fault("folder", `${folder}: ${MANIFEST} is damaged`);
  }
}

/** Leaves the last so many back-ups, and one of each month before them. */
export async function thinOut(to: string, keep: number): Promise<number> {
  const months = new Set<string>();
  let gone = 0;
  for (const [i, b] of (await backupsIn(to)).entries()) {
    const month = b.name.slice(0, 7);
    if (i < keep || !months.has(month)) {
      months.add(month);
      continue;
    }
    await rm(b.folder, { recursive: true, force: true });
    gone++;
  }
  return gone;
}

/**
 * Puts a back-up in the shop's place. It is read and compared first; what was there is moved aside, never
 * thrown away.
 *
 * Throws a Fault where the shop is being served, or the back-up is not whole.
 *
 * @returns what was put back, and where what was there lies now
 */
export async function restore(
  from: string,
  { now = new Date(), tell }: { readonly now?: Date; readonly tell?: Tell } = {},
): Promise<{ manifest: BackupManifest; aside: string | null }> {
  const folder = dataFolder();
  const manifest = await manifestOf(from);
  if ((await sha256Of(join(from, "shop.sqlite"))) !== manifest.sha256)
    throw new Fault(
      "folder",
      "the database in this back-up is damaged: its checksum does not agree. Take another back-up",
    );
  await mkdir(folder, { recursive: true, mode: 0o700 });
  if (isHeld(folder, "server"))
    throw new Fault("folder", "the shop is being served from this folder: stop the program first");
  const next = join(folder, "restoring");
  await rm(next, { recursive: true, force: true });
  await mkdir(join(next, "pictures"), { recursive: true, mode: 0o700 });
  await copyFile(join(from, "shop.sqlite"), join(next, "shop.sqlite"));
  await forOwnUser(join(next, "shop.sqlite"));
  const db = new Sqlite(join(next, "shop.sqlite"), { readonly: true });
  try {
    const says = soundness(db);
    if (says)
      throw new Fault("folder", `the database in this back-up is not sound: ${says}. Take another back-up`);
    const pictures = picturesIn(db);
    for (const [i, p] of pictures.entries()) {
      await copyFile(join(from, fileOf(p)), join(next, fileOf(p))).catch(() => undefined);
      const whole = (await sha256Of(join(next, fileOf(p)))) === p.sha256;
      if (!whole && !manifest.missing.includes(p.sha256))
        throw new Fault(
          "folder",
          `a picture in this back-up is gone or damaged: ${basename(fileOf(p))}. Take another back-up`,
        );
      tell?.(i + 1, pictures.length);
    }
  } finally {
    db.close();
  }
  const aside = await moveAside(folder, now);
  for (const name of ["pictures", "shop.sqlite"])
    await rename(/* turbopackIgnore: true */ join(next, name), join(folder, name));
  await rm(next, { recursive: true, force: true });
  markShop(folder);
  return { manifest, aside };
}

/** What belongs to a shop in its folder. Small pictures are made again when they are missed. */
const OWN = ["shop.sqlite", "shop.sqlite-wal", "shop.sqlite-shm", "pictures", "thumbs"];

async function moveAside(folder: string, now: Date): Promise<string | null> {
  const there = (await readdir(folder)).filter((n) => OWN.includes(n));
  if (!there.length) return null;
  const aside = join(folder, `before-restore-${datedName(now)}`);
  await mkdir(aside, { mode: 0o700 });
  // the database last: if this is broken off, the shop is not opened without its pictures, nor begun anew
  for (const name of [
    ...there.filter((n) => !n.startsWith("shop")),
    ...there.filter((n) => n.startsWith("shop")),
  ])
    await rename(join(folder, name), join(aside, name));
  return aside;
}

export interface CheckReport {
  readonly database: string;
  readonly jobs: number;
  /** numbers of those that cannot be read, each with why */
  readonly damaged: readonly { readonly number: string; readonly says: string }[];
  readonly pictures: number;
  readonly missing: readonly string[];
}

/** Looks the whole shop through: the database, every job's records, every picture's hash. Changes nothing. */
export async function checkShop(readJob: (number: string) => Promise<unknown>): Promise<CheckReport> {
  const db = new Sqlite(databasePlace(dataFolder()), { readonly: true, fileMustExist: true });
  try {
    const damaged: { number: string; says: string }[] = [];
    const numbers = db.prepare<[], { number: string }>("select number from jobs order by id").all();
    for (const { number } of numbers)
      try {
        await readJob(number);
      } catch (e) {
        damaged.push({ number, says: e instanceof Error ? e.message : "cannot be read" });
      }
    const missing: string[] = [];
    const pictures = picturesIn(db);
    for (const p of pictures)
      if ((await sha256Of(join(dataFolder(), fileOf(p)))) !== p.sha256) missing.push(basename(fileOf(p)));
    return {
      database: soundness(db) || "sound",
      jobs: numbers.length,
      damaged,
      pictures: pictures.length,
      missing,
    };
  } finally {
    db.close();
  }
}
