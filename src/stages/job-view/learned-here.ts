import type { Job } from "@/core/job/job";
import { counted, type Learned, learnedPriors } from "@/core/judge/learned";
import { shopSettings } from "@/store/settings";
import { verdictsOf } from "@/store/verdicts";

/** What this shop has seen of such units, the job itself left out; empty: nothing that counts. */
export async function learnedHere(job: Pick<Job, "kind" | "model" | "number">): Promise<readonly Learned[]> {
  const { learnedSince } = await shopSettings();
  const verdicts = counted(await verdictsOf(job.kind, job.number), job.kind, learnedSince);
  const learned = learnedPriors(verdicts, job.model);
  return learned.some((l) => l.m > 0) ? learned : [];
}
