"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { factsOf } from "@/core/gates/job-facts";
import { openGates } from "@/core/gates/open-gates";
import { STAGE_NAMES, STAGES, stageAfter } from "@/core/job/stages";
import { loadJob, thereIs } from "@/store/job";
import { moveToStage } from "@/store/jobs";
import { type ActionResult, actAtDesk } from "../saving/act";
import { onJob } from "../saving/action-input";

const goOnInput = z.object({ ...onJob, from: z.enum(STAGES) });

/** Moves a job on to the stage after `from`, if its gates are all answered. */
export async function goOn(input: z.infer<typeof goOnInput>): Promise<ActionResult> {
  return actAtDesk(goOnInput, input, async ({ number, version, from }) => {
    const job = thereIs(await loadJob(number), number);
    const open = openGates(from, factsOf(job));
    const next = stageAfter(from);
    if (open[0]) throw new Fault("stage", open[0].says);
    if (!next) throw new Fault("stage", "this is the last stage");
    if (job.stage !== from) throw new Fault("stage", `the job already stands at ${STAGE_NAMES[job.stage]}`);
    return moveToStage(number, version, next);
  });
}
