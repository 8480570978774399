import type { Job } from "@/core/job/job";
import type { Evidence } from "@/core/judge/evidence";
import { type Learned, learnedPriors } from "@/core/judge/learned";
import { verdictsOf } from "@/store/verdicts";
import { evidenceOf } from "./why-facts";

/** What the causes are reasoned from, with what this shop has seen of such units; and that by itself. */
export async function evidenceHere(
  job: Job,
): Promise<{ readonly evidence: Evidence; readonly learned: readonly Learned[] }> {
  const verdicts = await verdictsOf(job.kind, job.number);
  const learned = learnedPriors(verdicts, job.model);
  const seen = learned.some((l) => l.m > 0);
  return {
    evidence: {
      ...evidenceOf(job),
      ...(seen ? { priors: Object.fromEntries(learned.map((l) => [l.cause, l.prior])) } : {}),
    },
    learned: seen ? learned : [],
  };
}
