import type { Knex } from "knex";
import { z } from "zod";
import { USUAL } from "@/core/assemblies/usual";
import { Fault } from "@/core/fault";
import { type Assembly, assemblySchema } from "@/core/job/assembly";
import { DOES_NOT_APPLY, finalOf, lookAskedIn } from "@/core/job/keys";
import { database } from "./database";

/** A look that was answered so in this many jobs of a kind is asked no more of that kind. */
const ENOUGH = 2;

const stored = z.object({ assembly: z.string() });
const answered = z.object({ job_id: z.number(), question: z.string(), kind: z.string() });

let changes = 0;
/** How often the shop's own were changed since the program began: what was read before is read anew. */
export const assembliesChanged = (): number => changes;

/** The shop's own assemblies, in the order in which they were written. */
export async function ownAssemblies(at?: Knex): Promise<readonly Assembly[]> {
  const rows: unknown[] = await (at ?? (await database()))("own_assemblies").orderBy("at").select("assembly");
  return rows.map((r) => assemblySchema.parse(JSON.parse(stored.parse(r).assembly)));
}

/**
 * Writes an assembly of the shop's own; one of that name is written over. Throws a Fault where a usual one
 * has the name, or a look of that key is another's.
 */
export async function saveOwnAssembly(own: Assembly): Promise<void> {
  if (USUAL.some((a) => a.id === own.id)) throw new Fault("id", `${own.id} is one of the usual ones`);
  const others = [...USUAL, ...(await ownAssemblies()).filter((a) => a.id !== own.id)];
  const keys = new Set(others.flatMap((a) => a.adds.flatMap((x) => (x.act === "look" ? [x.key] : []))));
  own.adds.forEach((x, i) => {
    if (x.act === "look" && keys.has(x.key)) throw new Fault(`adds[${i}].key`, `${x.key} is asked already`);
  });
  const db = await database();
  await db("own_assemblies")
    .insert({ id: own.id, assembly: JSON.stringify(own), at: new Date().toISOString() })
    .onConflict("id")
    .merge(["assembly"]);
  changes++;
}

/**
 * Another shop's assemblies, taken in with a guide. What this shop has under that name, or asks by that key,
 * stays as it is here.
 *
 * @returns what is new, as it is called
 */
export async function takeInAssemblies(
  trx: Knex,
  from: readonly Assembly[],
  at: string,
): Promise<readonly string[]> {
  const known = [...USUAL, ...(await ownAssemblies(trx))];
  const ids = new Set(known.map((a) => a.id));
  const keys = new Set(known.flatMap((a) => a.adds.flatMap((x) => (x.act === "look" ? [x.key] : []))));
  const fresh = from.filter(
    (a) => !ids.has(a.id) && !a.adds.some((x) => x.act === "look" && keys.has(x.key)),
  );
  for (const a of fresh) await trx("own_assemblies").insert({ id: a.id, assembly: JSON.stringify(a), at });
  if (fresh.length) changes++;
  return fresh.map((a) => a.says);
}

export async function strikeOwnAssembly(id: string): Promise<void> {
  await (await database())("own_assemblies").where({ id }).delete();
  changes++;
}

/** A kind of unit however it is written: "Ice crusher", "ice-crusher ", "ice crushers". */
const plainKind = (kind: string): string =>
  kind
    .toLowerCase()
    .replace(/[\s-]+/g, " ")
    .trim()
    .replace(/(?<=[^s])s$/, "");

/**
 * Looks, and last checks by their keys, that were answered "does not apply" in two other jobs of a kind of
 * unit: they are asked of it no more.
 */
export async function notAskedOf(db: Knex, kind: string, job: number): Promise<string[]> {
  if (!kind.trim()) return [];
  const rows: unknown[] = await db("answers")
    .join("jobs", "jobs.id", "answers.job_id")
    .where({ "answers.answer": DOES_NOT_APPLY })
    .select("answers.job_id", "answers.question", "jobs.kind");
  const jobs = new Map<string, Set<number>>();
  for (const { job_id, question, kind: its } of rows.map((r) => answered.parse(r))) {
    const look = finalOf(question) === undefined ? lookAskedIn(question) : question;
    if (look === undefined || job_id === job || plainKind(its) !== plainKind(kind)) continue;
    jobs.set(look, (jobs.get(look) ?? new Set()).add(job_id));
  }
  return [...jobs].flatMap(([look, at]) => (at.size >= ENOUGH ? [look] : []));
}
