import type { Job } from "@/core/job/job";
import type { Evidence } from "@/core/judge/evidence";
import { counted, type Learned, learnedPriors } from "@/core/judge/learned";
import { shopSettings } from "@/store/settings";
import { verdictsOf } from "@/store/verdicts";
import { evidenceOf } from "./why-facts";

/** What this shop has seen of such units, the job itself left out; empty: nothing that counts. */
export async function learnedHere(job: Pick<Job, "kind" | "model" | "number">): Promise<readonly Learned[]> {
  const { learnedSince } = await shopSettings();
  const verdicts = counted(await verdictsOf(job.kind, job.number), job.kind, learnedSince);
  const learned = learnedPriors(verdicts, job.model);
  return learned.some((l) => l.m > 0) ? learned : [];
}

/** What the causes are reasoned from, with what this shop has seen of such units; and that by itself. */
export async function evidenceHere(
  job: Job,
): Promise<{ readonly evidence: Evidence; readonly learned: readonly Learned[] }> {
  const learned = await learnedHere(job);
  const seen = learned.length > 0;
  return {
    evidence: {
      ...evidenceOf(job),
      ...(seen ? { priors: Object.fromEntries(learned.map((l) => [l.cause, l.prior])) } : {}),
    },
    learned,
  };
}
