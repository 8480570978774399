import { planOf } from "@/core/gates/job-facts";
import type { Job } from "@/core/job/job";
import { type RunningWait, runningWaits } from "@/core/order/running-waits";

/** What is waited for at this moment. */
export const waitsNow = (job: Job): RunningWait[] => runningWaits(planOf(job), job, new Date().toISOString());

/** What must be over before the unit runs. */
export const beforeItRuns = (job: Job): RunningWait[] => waitsNow(job).filter((w) => w.holds === undefined);
