import type { Knex } from "knex";
import { z } from "zod";
import { database } from "./database";

/** So many names are sent along with a recorder, the last that were said. */
const MOST = 500;

const row = z.object({ name: z.string(), kind: z.string() });
const plain = (name: string): string => name.trim().toLowerCase();

/** Keeps what a part of this name was said to be, for the next one that is called so. */
export async function rememberKind(db: Knex, name: string, kind: string): Promise<void> {
  await db("known_kinds")
    .insert({ name: plain(name), kind, at: new Date().toISOString() })
    .onConflict("name")
    .merge();
}

/** What this shop said a part of this name is; undefined: nothing. */
export async function knownKind(db: Knex, name: string): Promise<string | undefined> {
  const found: unknown = await db("known_kinds")
    .where({ name: plain(name) })
    .first("name", "kind");
  return found === undefined ? undefined : row.parse(found).kind;
}

/** What this shop said parts are, by their names in small letters. */
export async function knownKinds(): Promise<Readonly<Record<string, string>>> {
  const db = await database();
  const rows = z
    .array(row)
    .parse(await db("known_kinds").orderBy("at", "desc").limit(MOST).select("name", "kind"));
  return Object.fromEntries(rows.map((r) => [r.name, r.kind]));
}
