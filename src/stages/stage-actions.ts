"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { openGates, STAGE_NAMES, STAGES, stageAfter } from "@/core/plan/stages";
import { database } from "@/store/database";
import { saveDraft } from "@/store/drafts";
import { loadJob } from "@/store/job";
import { moveToStage } from "@/store/jobs";
import { type ActionResult, act } from "./act";
import { onJob } from "./action-input";
import { factsOf } from "./job-facts";

const goOnInput = z.object({ ...onJob, from: z.enum(STAGES) });

/** Moves a job on to the stage after `from`, if its gates are all answered. */
export async function goOn(input: z.infer<typeof goOnInput>): Promise<ActionResult> {
  return act(goOnInput, input, async ({ number, version, from }) => {
    const job = await loadJob(await database(), number);
    if (!job) throw new Fault("number", `there is no job ${number}`);
    const open = openGates(from, factsOf(job));
    const next = stageAfter(from);
    if (open[0]) throw new Fault("stage", open[0].says);
    if (!next) throw new Fault("stage", "this is the last stage");
    if (job.stage !== from) throw new Fault("stage", `the job already stands at ${STAGE_NAMES[job.stage]}`);
    return moveToStage(number, version, next);
  });
}

const draftInput = z.object({ number: onJob.number, field: z.string().max(60), value: z.unknown() });

/** Keeps what is typed but not laid down. It has no version: it belongs to the screen. */
export async function keepDraft(input: z.infer<typeof draftInput>): Promise<void> {
  const { number, field, value } = draftInput.parse(input);
  if (JSON.stringify(value ?? null).length > 100_000) return;
  await saveDraft(number, field, value ?? null);
}
