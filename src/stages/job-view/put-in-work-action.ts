"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { partNamed } from "@/core/job/part";
import { serviceSays, serviceSchema } from "@/core/job/service";
import { stepThing } from "@/core/job/step-named";
import { ref } from "@/core/job/written";
import { offNow } from "@/core/order/off-again";
import { loadJob, thereIs } from "@/store/job";
import { addService } from "@/store/mending";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";

const workInput = z.object({
  ...onJob,
  part: ref.optional(),
  reachedBy: ref.optional(),
  ...serviceSchema.pick({ do: true, note: true, waitMinutes: true }).shape,
});
/** Something is done to a part that is off, or to what is open, before it goes on. */
export async function putInWork(raw: z.infer<typeof workInput>): Promise<ActionResult> {
  return act(workInput, raw, async ({ number, version, ...service }) => {
    const job = thereIs(await loadJob(number), number);
    const off = new Set(offNow(job.steps, job.linesDone));
    const step =
      service.part === undefined
        ? service.reachedBy
        : job.steps.find((s) => s.parts?.includes(service.part ?? ""))?.id;
    if (step === undefined) throw new Fault("part", "say what it is done to");
    const thing =
      service.part === undefined ? `what ${stepThing(job, step)}, laid open` : partNamed(job, service.part);
    if (!off.has(step))
      throw new Fault("part", `${thing} is closed over again: take it off first, at Way in`);
    return addService(number, version, service, `${serviceSays(service.do)} ${thing}`);
  });
}
