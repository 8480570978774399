import type { ChosenCauses } from "@/core/job/finding";
import { type LikelyCause, likelyCauses } from "@/core/judge/causes";
import { factsOf } from "@/core/judge/evidence";
import { type FrameView, frameOf } from "../../frame/frame-view";
import { pageJob } from "../../job-view/page-job";
import { evidenceOf } from "./why-facts";

export interface WhyView {
  readonly frame: FrameView;
  readonly causes: readonly LikelyCause[];
  readonly kept: ChosenCauses;
  /** what the causes are weighed by, in words */
  readonly facts: readonly string[];
  readonly greaseStates: readonly string[];
}

export async function whyView(number: string): Promise<WhyView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const evidence = evidenceOf(job);
  const facts = factsOf(evidence).filter((f) => f.fact !== "has:motor");
  return {
    frame: frameOf(job, "Why it failed"),
    causes: likelyCauses(evidence),
    kept: job.causes,
    facts: facts.map((f) => f.says),
    greaseStates: job.greaseStates,
  };
}
