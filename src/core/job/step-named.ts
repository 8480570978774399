import type { Job } from "./job";
import { partNamed } from "./part";

/** What a step takes off, as it is called when it goes back on. @example "step 3, the drive wheel" */
export function stepThing(job: Pick<Job, "steps" | "parts">, step: string): string {
  const n = job.steps.findIndex((x) => x.id === step);
  const s = job.steps[n];
  const parts = (s?.parts ?? []).map((p) => partNamed(job, p)).join(", ");
  return `step ${n + 1}${parts ? `, the ${parts}` : s?.title ? `, ${s.title}` : ""}`;
}
