import type { Job } from "@/core/job/job";
import type { Evidence } from "@/core/judge/evidence";
import type { Learned } from "@/core/judge/learned";
import { learnedHere } from "../../job-view/learned-here";
import { evidenceOf } from "./why-facts";

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
