import type { ChosenCauses } from "@/core/job/finding";
import { type LikelyCause, likelyCauses } from "@/core/judge/causes";
import { factsOf } from "@/core/judge/evidence";
import { type NextLook, nextLook } from "@/core/judge/next-look";
import { type FrameView, frameOf } from "../../frame/frame-view";
import { pageJob } from "../../job-view/page-job";
import { evidenceOf } from "./why-facts";

export interface WhyView {
  readonly frame: FrameView;
  readonly causes: readonly LikelyCause[];
  /** of what was not looked at, what settles most for its minutes */
  readonly next: NextLook | null;
  readonly kept: ChosenCauses;
  /** what the causes are weighed by, in words */
  readonly facts: readonly string[];
  readonly greaseStates: readonly string[];
}

export async function whyView(number: string): Promise<WhyView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const evidence = evidenceOf(job);
  const facts = factsOf(evidence).filter((f) => f.found === true && f.says);
  return {
    frame: frameOf(job, "Why it failed"),
    causes: likelyCauses(evidence),
    next: nextLook(evidence),
    kept: job.causes,
    facts: facts.map((f) => f.says),
    greaseStates: job.greaseStates,
  };
}
