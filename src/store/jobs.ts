import type { Knex } from "knex";
import type { JobHead } from "@/core/job/job";
import { testsOfKind } from "@/core/job/own-tests";
import { STAGE_NAMES, type Stage } from "@/core/job/stages";
import { changeJob } from "./change";
import { database } from "./database";
import { inTurn } from "./in-turn";
import { shopSettings } from "./settings";
import { records } from "./tables";
import { signedBy } from "./who";

/** A new job with the next free number, at Take in. Answers its number. */
export async function createJob(
  head: Partial<JobHead> = {},
  now: Date = new Date(),
  db?: Knex,
): Promise<string> {
  return inTurn(db ?? (await database()), async (trx) => (await insertJob(trx, head, now)).number);
}

/** The same inside a transaction that does more. */
export async function insertJob(
  trx: Knex,
  head: Partial<JobHead>,
  now: Date,
): Promise<{ id: number; number: string }> {
  const number = head.number ?? (await nextNumber(trx));
  const at = now.toISOString();
  const [row]: { id: number }[] = await trx("jobs")
    .insert({ ...records.jobs.write({ takenIn: at.slice(0, 10), ...head }), number })
    .returning("id");
  if (!row) throw new Error("the job was not written");
  await trx("history").insert({ job_id: row.id, version: 1, at, what: "taken in", ...signedBy() });
  return { id: row.id, number };
}

/**
 * The next number of the shop's own count. A number that came with a job from elsewhere is stepped over and
 * does not move the count.
 */
async function nextNumber(trx: Knex): Promise<string> {
  const counter: { value: number } | undefined = await trx("counters").where({ name: "job" }).first("value");
  for (let n = (counter?.value ?? 0) + 1; ; n++) {
    const number = `J-${String(n).padStart(4, "0")}`;
    if (await trx("jobs").where({ number }).first("id")) continue;
    await trx("counters").insert({ name: "job", value: n }).onConflict("name").merge();
    return number;
  }
}

/** Fields of the head that a screen may set, and how the history says it. */
export async function setHead(
  number: string,
  version: number,
  fields: Partial<JobHead>,
  what: string,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    if (Object.keys(fields).length)
      await trx("jobs").where({ id: job.id }).update(records.jobs.write(fields));
    return what;
  });
}

export async function moveToStage(number: string, version: number, stage: Stage): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    // what the shop asks of its kind is kept with the unit, as it was on the day it came to be tried
    const proposed =
      stage === "hand-back" && job.ownTests === undefined
        ? testsOfKind(job.kind, (await shopSettings(trx)).kindTests)
        : [];
    await trx("jobs")
      .where({ id: job.id })
      .update(
        records.jobs.write({ stage, trouble: undefined, ...(proposed.length ? { ownTests: proposed } : {}) }),
      );
    return `moved to ${STAGE_NAMES[stage]}`;
  });
}

/** The version a job stands at, or null where there is no such number. */
export async function jobVersion(number: string, at?: Knex): Promise<number | null> {
  const db = at ?? (await database());
  const row: { version: number } | undefined = await db("jobs").where({ number }).first("version");
  return row?.version ?? null;
}
