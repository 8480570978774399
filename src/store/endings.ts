import { Fault } from "@/core/fault";
import { type Ending, endingNamed, type Waiting } from "@/core/job/ending";
import type { LubePoint } from "@/core/job/service";
import { STAGE_NAMES, STAGES, type Stage } from "@/core/job/stages";
import { changeJob } from "./change";
import { newRef } from "./ids";
import { cameOff } from "./mending";
import { records } from "./tables";

/** Ends a job without its repair, at the stage where what is left of it is done; null: it is taken up again, where it stood before it was judged. */
export async function setEnding(number: string, version: number, ending: Ending | null, stage: Stage): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("jobs")
      .where({ id: job.id })
      .update(records.jobs.write({ ending, stage, waiting: null }));
    return ending ? `ends without its repair: ${endingNamed(ending.how).says.toLowerCase()}, ${ending.why}` : `taken up again at ${STAGE_NAMES[stage]}`;
  });
}

/** What the job waits for; null: it waits no more. */
export async function setWaiting(number: string, version: number, waiting: Waiting | null): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("jobs").where({ id: job.id }).update(records.jobs.write({ waiting }));
    return waiting ? `waits for ${waiting.what}${waiting.until ? `, looked at again on ${waiting.until}` : ""}` : "waits no more";
  });
}

/** Takes a job back to an earlier stage, and says there what was found. */
export async function backToStage(number: string, version: number, stage: Stage, trouble: string): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const now = STAGES.indexOf(records.jobs.read(await trx("jobs").where({ id: job.id }).first()).stage);
    if (STAGES.indexOf(stage) >= now) throw new Fault("stage", `the job has not come past ${STAGE_NAMES[stage]} yet`);
    await trx("jobs").where({ id: job.id }).update(records.jobs.write({ stage, trouble }));
    return `back to ${STAGE_NAMES[stage]}: ${trouble}`;
  });
}

/** Why no grease is weighed in; null: that is open again. What was planned to be greased goes. */
export async function setNoGrease(number: string, version: number, why: string | null): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const weighed = why === null ? undefined : await trx("lube_points").where({ job_id: job.id }).whereNotNull("weighed_grams").first();
    if (weighed) throw new Fault("why", "grease is weighed in already: strike the weights first");
    await trx("jobs")
      .where({ id: job.id })
      .update(records.jobs.write({ noGrease: why, ...(why === null ? {} : { lubricant: null }) }));
    if (why !== null) await trx("lube_points").where({ job_id: job.id }).whereNotNull("grams").delete();
    return why === null ? "grease: open again" : `no grease: ${why}`;
  });
}

/** A point that gets oil, by the drop: it is a line of the rebuild, and nothing is weighed. */
export async function addOilPoint(number: string, version: number, point: Pick<LubePoint, "part" | "lubricant" | "where">): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    if (!(await trx("parts").where({ job_id: job.id, ref: point.part }).first())) throw new Fault("part", "is not among the job’s parts any more");
    await cameOff(trx, job.id, point.part ?? "");
    const { ref, position } = await newRef(trx, "lube_points", job.id);
    await trx("lube_points").insert({ job_id: job.id, position, ...records.lube_points.write({ id: ref, when: "after-fit", ...point }) });
    return `oil: ${point.lubricant}, ${point.where}`;
  });
}

export async function dropLubePoint(number: string, version: number, point: string): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("lube_points").where({ job_id: job.id, ref: point }).delete();
    return "a point to lubricate is taken off";
  });
}
