import type { Knex } from "knex";
import { STAGE_NAMES, type Stage } from "@/core/job/stages";
import { changeJob } from "./change";
import { database } from "./database";
import { inTurn } from "./in-turn";
import { headFromRow, type JobHead } from "./job";
import { toRow } from "./rows";

export interface BoardJob extends JobHead {
  readonly steps: number;
  readonly picture?: string;
  readonly lastChange: string;
}

/** A new job with the next free number, at Take in. Answers its number. */
export async function createJob(head: Partial<JobHead> = {}, now: Date = new Date(), db?: Knex): Promise<string> {
  return inTurn(db ?? (await database()), async (trx) => {
    const number = head.number ?? (await nextNumber(trx));
    const at = now.toISOString();
    const [row] = await trx("jobs")
      .insert(toRow({ takenIn: at.slice(0, 10), ...head, number }))
      .returning("id");
    await trx("history").insert({ job_id: row.id, version: 1, at, what: "taken in" });
    return number;
  });
}

export async function nextNumber(db: Knex): Promise<string> {
  const numbers: { number: string }[] = await db("jobs").select("number");
  const most = numbers.reduce((n, r) => Math.max(n, Number(r.number.slice(2)) || 0), 0);
  return `J-${String(most + 1).padStart(4, "0")}`;
}

/** Every open job, and those handed back in the last `days`, for the board: most urgent promise first. */
export async function boardJobs(db: Knex, today: string, days = 7): Promise<BoardJob[]> {
  const since = new Date(new Date(today).getTime() - days * 86_400_000).toISOString();
  const rows = await db("jobs")
    .select("jobs.*")
    .select(db.raw("(select count(*) from steps where steps.job_id = jobs.id) as steps"))
    .select(
      db.raw(
        "(select sha256 from job_pictures p where p.job_id = jobs.id order by (p.role = 'finding') desc, (p.role = 'intake') desc, p.id limit 1) as picture",
      ),
    )
    .select(db.raw("(select at from history h where h.job_id = jobs.id order by h.id desc limit 1) as last_change"))
    .where((q) => q.whereNull("handed_back_at").orWhere("handed_back_at", ">", since))
    .orderByRaw("handed_back_at is not null, promised is null, promised, number");
  return rows.map((r) => headFromRow(r) as BoardJob);
}

/** Fields of the head that a screen may set, and how the history says it. */
export async function setHead(number: string, version: number, fields: Partial<JobHead>, what: string): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    if (Object.keys(fields).length) await trx("jobs").where({ id: job.id }).update(toRow(fields));
    return what;
  });
}

export async function moveToStage(number: string, version: number, stage: Stage): Promise<number> {
  return setHead(number, version, { stage }, `moved to ${STAGE_NAMES[stage]}`);
}

/** The version a job stands at, or null where there is no such number. */
export async function jobVersion(db: Knex, number: string): Promise<number | null> {
  const row: { version: number } | undefined = await db("jobs").where({ number }).first("version");
  return row?.version ?? null;
}

/** Every number the shop has given, open or handed back. */
export async function jobNumbers(db: Knex): Promise<string[]> {
  return (await db("jobs").select("number").orderBy("number")).map((r) => r.number as string);
}
