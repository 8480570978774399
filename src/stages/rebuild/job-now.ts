import { planOf } from "@/core/gates/job-facts";
import type { Job } from "@/core/job/job";
import { undoKey } from "@/core/job/keys";
import { stepsBack } from "@/core/order/rebuild-line";

/** The order in which a job's steps go back as it is now, and which of them are back. */
export function orderNow(job: Job): { readonly now: readonly string[]; readonly done: ReadonlySet<string> } {
  const now = stepsBack(planOf(job).steps);
  const finished = new Set(job.linesDone);
  return { now, done: new Set(now.filter((s) => finished.has(undoKey(s)))) };
}
