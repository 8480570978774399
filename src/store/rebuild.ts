import type { Knex } from "knex";
import type { Answer } from "@/core/job/answer";
import { backOf, curedKey, missingAt, missingKey, ruledOutAt } from "@/core/job/keys";
import { changeJob } from "./change";

/** Answers whose question begins so are taken back. */
const forgetFrom = (trx: Knex.Transaction, job: number, begins: string): Promise<number> =>
  trx("answers")
    .where({ job_id: job })
    .whereRaw("substr(question, 1, ?) = ?", [begins.length, begins])
    .delete();

/**
 * What was said of a line that is open again: what is done anew has to set anew, and what was missing may be
 * there now.
 */
async function forgetAt(trx: Knex.Transaction, job: number, line: string): Promise<void> {
  await trx("answers")
    .where({ job_id: job })
    .whereIn("question", [line, curedKey(line)])
    .delete();
  const step = backOf(line);
  if (step !== undefined) await forgetFrom(trx, job, missingAt(step));
}

/** A line of the rebuild plan is done, or opened again. */
export async function setLine(
  number: string,
  version: number,
  line: string,
  done: boolean,
  says: string,
  /** how it was answered, where that is no plain yes */
  answer?: string,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    if (done) {
      await trx("lines_done").insert({ job_id: job.id, line, at }).onConflict(["job_id", "line"]).ignore();
      if (answer)
        await trx("answers")
          .insert({ job_id: job.id, question: line, answer, at })
          .onConflict(["job_id", "question"])
          .merge();
      // it is right now: what was looked for and not found is asked anew another time
      await forgetFrom(trx, job.id, ruledOutAt(line));
    } else {
      await trx("lines_done").where({ job_id: job.id, line }).delete();
      await forgetAt(trx, job.id, line);
    }
    return done ? `done: ${says}` : `opened again: ${says}`;
  });
}

/** Lines that are done, or open again, several in one go. */
export async function setLines(
  number: string,
  version: number,
  lines: readonly string[],
  done: boolean,
  says: string,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    for (const line of lines)
      if (done)
        await trx("lines_done").insert({ job_id: job.id, line, at }).onConflict(["job_id", "line"]).ignore();
      else await trx("lines_done").where({ job_id: job.id, line }).delete();
    return done ? `done: ${says}` : `opened again: ${says}`;
  });
}

/** Answers a question of the safety gate or of the last checks; null takes the answer back. */
export async function setAnswer(
  number: string,
  version: number,
  question: string,
  answer: (Partial<Pick<Answer, "value" | "unit" | "note" | "instrument">> & Pick<Answer, "answer">) | null,
  says: string,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    if (answer === null) await trx("answers").where({ job_id: job.id, question }).delete();
    else
      await trx("answers")
        .insert({
          job_id: job.id,
          question,
          value: null,
          unit: null,
          note: null,
          instrument: null,
          ...answer,
          at,
        })
        .onConflict(["job_id", "question"])
        .merge();
    return says;
  });
}

/** Lines of the plan are open again, all at once. */
export async function openLines(
  number: string,
  version: number,
  lines: readonly string[],
  says: string,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    for (const line of lines) {
      await trx("lines_done").where({ job_id: job.id, line }).delete();
      await forgetAt(trx, job.id, line);
    }
    return says;
  });
}

/** A step goes back without some of its pieces, which are missing. */
export async function setMissing(
  number: string,
  version: number,
  line: string,
  step: string,
  missing: readonly { readonly piece: string; readonly qty: number }[],
  says: string,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    await trx("lines_done").insert({ job_id: job.id, line, at }).onConflict(["job_id", "line"]).ignore();
    for (const { piece, qty } of missing)
      await trx("answers")
        .insert({ job_id: job.id, question: missingKey(step, piece), answer: "missing", value: qty, at })
        .onConflict(["job_id", "question"])
        .merge();
    return says;
  });
}
