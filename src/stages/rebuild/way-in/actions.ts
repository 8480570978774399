"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { planOf } from "@/core/gates/job-facts";
import { partNamed } from "@/core/job/part";
import { stepThing } from "@/core/job/step-named";
import { ref } from "@/core/job/written";
import { waysInto } from "@/core/order/access-plan";
import { isTogether, linesOpenedBy, offNow } from "@/core/order/off-again";
import { loadJob, thereIs } from "@/store/job";
import { openLines } from "@/store/rebuild";
import { type ActionResult, act } from "../../saving/act";
import { onJob } from "../../saving/action-input";

const input = z.union([
  z.object({ ...onJob, part: ref }).strict(),
  z.object({ ...onJob, step: ref }).strict(),
]);

/**
 * A part, or what a step took off, comes off again while the unit goes together: the least that must come off
 * with it lies on the Mat again, and its lines are open.
 */
export async function takeOffAgain(raw: z.infer<typeof input>): Promise<ActionResult> {
  return act(input, raw, async ({ number, version, ...asked }) => {
    const job = thereIs(await loadJob(number), number);
    const field = "part" in asked ? "part" : "step";
    if (isTogether(job.stage))
      throw new Fault(field, "the unit stands at Hand back: take it back to Rebuild first, and say why");
    const off = offNow(job.steps, job.linesDone);
    const ways = waysInto(job);
    const { steps } = "part" in asked ? ways.toPart(asked.part, off) : ways.toStep(asked.step, off);
    const done = new Set(job.linesDone);
    const lines = linesOpenedBy(planOf(job), job, steps).filter((k) => done.has(k));
    const thing = "part" in asked ? partNamed(job, asked.part) : stepThing(job, asked.step);
    if (!lines.length) throw new Fault(field, `${thing} lies on the Mat already`);
    return openLines(
      number,
      version,
      lines,
      `off again, to reach ${"part" in asked ? "the " : ""}${thing}: ${steps.length === 1 ? "one step" : `${steps.length} steps`}`,
    );
  });
}
