import { Fault } from "@/core/fault";
import { type Ending, endingNamed, type Waiting } from "@/core/job/ending";
import { failedRunKey, failedRunOf, finalKey } from "@/core/job/keys";
import { STAGE_NAMES, STAGES, type Stage } from "@/core/job/stages";
import { changeJob } from "./change";
import { records } from "./tables";

/**
 * Ends a job without its repair, at the stage where what is left of it is done; null: it is taken up again,
 * where it stood before it was judged.
 */
export async function setEnding(
  number: string,
  version: number,
  ending: Ending | null,
  stage: Stage,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("jobs")
      .where({ id: job.id })
      .update(records.jobs.write({ ending, stage, waiting: null }));
    return ending
      ? `ends without its repair: ${endingNamed(ending.how).says.toLowerCase()}, ${ending.why}`
      : `taken up again at ${STAGE_NAMES[stage]}`;
  });
}

/** What the job waits for; null: it waits no more. */
export async function setWaiting(number: string, version: number, waiting: Waiting | null): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("jobs").where({ id: job.id }).update(records.jobs.write({ waiting }));
    return waiting
      ? `waits for ${waiting.what}${waiting.until ? `, looked at again on ${waiting.until}` : ""}`
      : "waits no more";
  });
}

/** Takes a job back to an earlier stage, and says there what was found. */
export async function backToStage(
  number: string,
  version: number,
  stage: Stage,
  trouble: string,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    const now = STAGES.indexOf(records.jobs.read(await trx("jobs").where({ id: job.id }).first()).stage);
    if (STAGES.indexOf(stage) >= now)
      throw new Fault("stage", `the job has not come past ${STAGE_NAMES[stage]} yet`);
    await trx("jobs").where({ id: job.id }).update(records.jobs.write({ stage, trouble }));
    const asked: string[] = await trx("answers").where({ job_id: job.id }).pluck("question");
    const failed = asked.filter((q) => failedRunOf(q) !== undefined).length;
    await trx("answers").insert({
      job_id: job.id,
      question: failedRunKey(failed + 1),
      answer: job.stage,
      note: trouble,
      at,
    });
    // what is opened again is tried again: of the last checks only what was counted stays said, their figures
    // stand in the history
    if (job.stage === "hand-back")
      await trx("answers")
        .where({ job_id: job.id })
        .whereRaw("substr(question, 1, ?) = ?", [finalKey("").length, finalKey("")])
        .whereNot({ question: finalKey("loose-items") })
        .delete();
    return `back to ${STAGE_NAMES[stage]}: ${trouble}`;
  });
}
