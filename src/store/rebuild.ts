import { curedKey, ruledOutAt } from "@/core/job/keys";
import { changeJob } from "./change";

/** A line of the rebuild plan is done, or opened again. */
export async function setLine(number: string, version: number, line: string, done: boolean, says: string): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    if (done) {
      await trx("lines_done").insert({ job_id: job.id, line, at }).onConflict(["job_id", "line"]).ignore();
      // it is right now: what was looked for and not found is asked anew another time
      const ruledOut = ruledOutAt(line);
      await trx("answers").where({ job_id: job.id }).whereRaw("substr(question, 1, ?) = ?", [ruledOut.length, ruledOut]).delete();
    } else {
      await trx("lines_done").where({ job_id: job.id, line }).delete();
      // what is done anew has to set anew
      await trx("answers")
        .where({ job_id: job.id, question: curedKey(line) })
        .delete();
    }
    return done ? `done: ${says}` : `opened again: ${says}`;
  });
}

/** Answers a question of the safety gate or of the last checks; null takes the answer back. */
export async function setAnswer(
  number: string,
  version: number,
  question: string,
  answer: { answer: string; value?: number; unit?: string; note?: string } | null,
  says: string,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    if (answer === null) await trx("answers").where({ job_id: job.id, question }).delete();
    else
      await trx("answers")
        .insert({ job_id: job.id, question, value: null, unit: null, note: null, ...answer, at })
        .onConflict(["job_id", "question"])
        .merge();
    return says;
  });
}

/** Lines of the plan are open again, all at once. */
export async function openLines(number: string, version: number, lines: readonly string[], says: string): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    for (const line of lines) await trx("lines_done").where({ job_id: job.id, line }).delete();
    return says;
  });
}
