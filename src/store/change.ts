import type { Knex } from "knex";
import type { JobHead } from "@/core/job/job";
import { database } from "./database";
import { inTurn } from "./in-turn";
import { loadHead, thereIs } from "./job";
import { DoneBefore, sentNow } from "./sending";
import { settleLube } from "./settle-lube";
import { signedBy } from "./who";

export interface HistoryLine {
  readonly version: number;
  readonly at: string;
  readonly what: string;
  /** who did it, and on which device; left out: at the shop's computer, or before anybody signed in */
  readonly who?: string | null;
  readonly device?: string | null;
  /** what the screen that sent it had named it; only where a screen is told that it is behind */
  readonly sending?: string | null;
}

/** A save made from a screen that is behind. `changes` says what happened since. */
export class StaleSave extends Error {
  readonly changes: readonly HistoryLine[];
  constructor(changes: readonly HistoryLine[]) {
    super("This screen is behind");
    this.changes = changes;
  }
}

/** What a change may use: the open transaction, the job as it was, and the moment. */
export interface Change {
  readonly trx: Knex.Transaction;
  readonly job: JobHead;
  readonly at: string;
}

/**
 * One change of one job, in one transaction: checks that the screen it comes from is not behind, does the
 * work, raises the version and writes
 * a line into the job's history. Nothing of it stays if any of it fails. What a screen sends a second time
 * under the same name is not done again.
 *
 * @param version the version the screen showed; "any" for what only adds, whatever the screen showed;
 *   "beside" for what comes in beside the work (a picture): it overwrites nothing, and makes no
 *   screen out of date, because the one that sent it may do its next thing before it hears that it arrived
 * @param work does the change and answers what it was, in words
 * @returns the job's new version
 * @throws StaleSave from a screen that is behind; DoneBefore for what had been sent and done, its answer lost
 */
export async function changeJob(
  number: string,
  version: number | "any" | "beside",
  work: (c: Change) => Promise<string>,
  now: Date = new Date(),
  db?: Knex,
): Promise<number> {
  const at = now.toISOString();
  return inTurn(db ?? (await database()), async (trx) => {
    const job = thereIs(await loadHead(number, trx), number);
    const sent = sentNow();
    if (sent && !sent.written) {
      const [before] = await trx("history")
        .where({ sending: sent.name, job_id: job.id })
        .select("version")
        .orderBy("id", "desc")
        .limit(1);
      if (before) throw new DoneBefore(before.version);
    }
    if (typeof version === "number" && version !== job.version) {
      const since = await historySince(trx, job.id, version);
      if (since.length || version > job.version) throw new StaleSave(since);
    }
    const done = await work({ trx, job, at });
    // a picture that comes in beside the work decides nothing
    const settled = version === "beside" ? null : await settleLube(trx, number);
    const what = settled ? `${done}; ${settled}` : done;
    await trx("jobs")
      .where({ id: job.id })
      .update({ version: job.version + 1 });
    await trx("history").insert({
      job_id: job.id,
      version: job.version + 1,
      at,
      what,
      beside: version === "beside",
      sending: sent?.name ?? null,
      ...signedBy(),
    });
    if (sent) sent.written = true;
    return job.version + 1;
  });
}

/** What happened since a version that a screen which shows it could overwrite. */
async function historySince(db: Knex, jobId: number, version: number): Promise<HistoryLine[]> {
  return db("history")
    .select("version", "at", "what", "sending")
    .where({ job_id: jobId })
    .andWhere("version", ">", version)
    .whereNot({ beside: true })
    .orderBy("id");
}

export async function jobHistory(number: string): Promise<HistoryLine[]> {
  const db = await database();
  return db("history")
    .join("jobs", "jobs.id", "history.job_id")
    .where("jobs.number", number)
    .select("history.version", "history.at", "history.what", "history.who", "history.device")
    .orderBy("history.id", "desc");
}
