import type { Knex } from "knex";
import { z } from "zod";
import { changeJob } from "./change";
import { database } from "./database";
import { inTurn } from "./in-turn";
import { shopSettings } from "./settings";
import { records } from "./tables";

/** Shorter than this it may be any word, and stands in the texts as it is. */
const SHORTEST_NAME = 4;

/** A customer as the shop knows one. */
export interface KnownCustomer {
  readonly name: string;
  readonly contact: string;
  readonly jobs: number;
}

/** The book of customers, those that begin so first, with how many jobs each has. */
export async function customersLike(typed: string, most = 60): Promise<KnownCustomer[]> {
  const db = await database();
  const jobs = db("jobs").count("*").whereRaw("lower(jobs.customer_name) = lower(customers.name)");
  return db("customers")
    .select("name", "contact")
    .select({ jobs })
    .whereRaw("instr(lower(name || ' ' || contact), ?) > 0", [typed.trim().toLowerCase()])
    .orderBy("name")
    .limit(most);
}

/** As SQLite tells of a table. */
const columns = z.array(z.object({ name: z.string(), type: z.string() }));

/**
 * Puts "the customer" for a name or a contact wherever somebody wrote it into a text of the job: also in
 * lists and records, which are kept as JSON.
 */
async function strikeFromTexts(trx: Knex, jobId: number, words: readonly string[]): Promise<void> {
  const told = words.map((w) => w.trim()).filter((w) => w.length >= SHORTEST_NAME);
  for (const table of [...Object.keys(records), "history", "drafts", "undo"])
    for (const column of columns.parse(await trx.raw("pragma table_info(??)", [table]))) {
      if (!/text|json|char/i.test(column.type) || ["number", "sha256", "ref"].includes(column.name)) continue;
      for (const word of told)
        for (const written of new Set([word, JSON.stringify(word).slice(1, -1)]))
          await trx(table)
            .where(table === "jobs" ? { id: jobId } : { job_id: jobId })
            .whereRaw("instr(??, ?) > 0", [column.name, written])
            .update({ [column.name]: trx.raw("replace(??, ?, 'the customer')", [column.name, written]) });
    }
}

/** Takes the personal part of a job out, as {@link struckFromJob}, and from the database's file. */
export async function forgetInJob(number: string): Promise<number> {
  const version = await struckFromJob(number);
  await scrub(await database());
  return version;
}

/**
 * Takes the personal part of a job out: name, contact, who agreed, and the name where it was written into a
 * text. The job itself stays.
 */
async function struckFromJob(number: string): Promise<number> {
  return changeJob(number, "any", async ({ trx, job }) => {
    await strikeFromTexts(trx, job.id, [job.customerName, job.customerContact]);
    // a signature is a name too
    const home = job.home && { ...job.home, signature: undefined };
    await trx("jobs")
      .where({ id: job.id })
      .update({ customer_name: "", customer_contact: "", ...(home ? records.jobs.write({ home }) : {}) });
    await trx("quotes").where({ job_id: job.id }).update({ by_whom: null });
    await trx("messages").where({ job_id: job.id }).delete();
    await trx("history")
      .where({ job_id: job.id })
      .whereRaw("what like 'customer: %' or what like 'contact: %'")
      .update({ what: "customer: forgotten" });
    return "the customer is forgotten";
  });
}

/** Takes a customer out of the book and out of every job. Answers how many jobs it was in. */
export async function forgetCustomer({
  name,
  contact,
}: Pick<KnownCustomer, "name" | "contact">): Promise<number> {
  const db = await database();
  const others = await db("customers").whereRaw("lower(name) = lower(?)", [name]).whereNot({ contact });
  // of two of one name, only the jobs with this contact are this one's
  const rows: { number: string }[] = await db("jobs")
    .whereRaw("lower(customer_name) = lower(?)", [name])
    .andWhere((q) => (others.length ? void q.where({ customer_contact: contact }) : undefined))
    .select("number");
  for (const { number } of rows) await struckFromJob(number);
  await inTurn(db, (trx) => trx("customers").where({ name, contact }).delete());
  await scrub(db);
  return rows.length;
}

/**
 * Forgets customers whose last unit went home longer ago than the shop keeps them. Answers how many jobs it
 * was.
 */
export async function forgetOld(now = new Date()): Promise<number> {
  const { forgetAfterMonths } = await shopSettings();
  if (!forgetAfterMonths) return 0;
  const db = await database();
  const before = new Date(now);
  before.setMonth(before.getMonth() - forgetAfterMonths);
  const rows: { number: string }[] = await db("jobs")
    .whereNot({ customer_name: "" })
    .where("handed_back_at", "<", before.toISOString())
    .select("number");
  for (const { number } of rows) await struckFromJob(number);
  if (!rows.length) return 0;
  await inTurn(db, (trx) =>
    trx("customers")
      .whereNotExists(trx("jobs").select("id").whereRaw("lower(jobs.customer_name) = lower(customers.name)"))
      .delete(),
  );
  await scrub(db);
  return rows.length;
}

/** What was taken out is gone from the database's file as well, and from its journal. */
async function scrub(db: Knex): Promise<void> {
  // an index keeps the words of what was taken out until it is written together anew
  await inTurn(db, (trx) => trx.raw("insert into job_words (job_words) values ('optimize')"));
  await db.raw("pragma wal_checkpoint(truncate)");
}
