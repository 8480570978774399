"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { planOf } from "@/core/gates/job-facts";
import { partNamed } from "@/core/job/part";
import { ref } from "@/core/job/written";
import { accessPlan } from "@/core/order/access-plan";
import { linesOpenedBy, offNow } from "@/core/order/off-again";
import { loadJob, thereIs } from "@/store/job";
import { openLines } from "@/store/rebuild";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";

const input = z.object({ ...onJob, part: ref });

/** A part comes off again while the unit goes together: the least that must come off with it lies on the Mat again, and its lines are open. */
export async function takeOffAgain(raw: z.infer<typeof input>): Promise<ActionResult> {
  return act(input, raw, async ({ number, version, part }) => {
    const job = thereIs(await loadJob(number), number);
    if (job.stage !== "rebuild") throw new Fault("part", "the unit is not being put together: nothing is on that could come off again");
    const { steps } = accessPlan(job, part, offNow(job.steps, job.linesDone));
    const done = new Set(job.linesDone);
    const lines = linesOpenedBy(planOf(job), job, steps).filter((k) => done.has(k));
    if (!lines.length) throw new Fault("part", `${partNamed(job, part)} lies on the Mat already`);
    return openLines(number, version, lines, `off again, to reach the ${partNamed(job, part)}: ${steps.length === 1 ? "one step" : `${steps.length} steps`}`);
  });
}
