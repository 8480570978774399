import type { Job } from "@/core/job/job";
import { partNamed } from "@/core/job/part";
import { stepThing } from "@/core/job/step-named";
import { offNow } from "@/core/order/off-again";
import type { WorkPlace } from "./put-in-work";

/** Parts that are off, and places that are still open. */
export function placesToWork(job: Job): WorkPlace[] {
  const off = new Set(offNow(job.steps, job.linesDone));
  const open = job.steps.filter((s) => off.has(s.id));
  return [
    ...open.flatMap((s) =>
      (s.parts ?? []).map((p) => ({ key: p, at: { part: p }, says: partNamed(job, p) })),
    ),
    ...open.map((s) => ({
      key: s.id,
      at: { reachedBy: s.id },
      says: `what ${stepThing(job, s.id)}, laid open`,
    })),
  ];
}
