import type { ChosenCauses } from "@/core/job/finding";
import { type LikelyCause, likelyCauses } from "@/core/judge/causes";
import { type Evidence, factsOf } from "@/core/judge/evidence";
import { type NextLook, nextLook } from "@/core/judge/next-look";
import { type NextToFail, nextToFail } from "@/core/judge/next-to-fail";
import { remembered } from "@/core/remembered";
import { type FrameView, frameOf } from "../../frame/frame-view";
import { pageJob } from "../../job-view/page-job";
import { evidenceHere } from "./evidence-here";

/** A page that is drawn again with nothing new found has its answers at once. */
const causesOf = remembered(({ evidence, chosen }: { evidence: Evidence; chosen: readonly string[] }) =>
  likelyCauses(evidence, chosen),
);
const lookAfter = remembered(nextLook);
const failsAfter = remembered(({ evidence, chosen }: { evidence: Evidence; chosen: readonly string[] }) =>
  nextToFail(evidence, chosen),
);
const failsNext = (evidence: Evidence, chosen: readonly string[]): readonly NextToFail[] =>
  failsAfter({ evidence, chosen });

export interface WhyView {
  readonly frame: FrameView;
  readonly causes: readonly LikelyCause[];
  /** cause → verdicts of this shop that named it, of how many on units of this kind */
  readonly here: Readonly<Record<string, { readonly n: number; readonly m: number }>>;
  /** of what was not looked at, what settles most for its minutes */
  readonly next: NextLook | null;
  /** what is likely bad as well, or sound so far and next */
  readonly toFail: readonly NextToFail[];
  readonly kept: ChosenCauses;
  /** what the causes are weighed by, in words */
  readonly facts: readonly string[];
  readonly greaseStates: readonly string[];
}

export async function whyView(number: string): Promise<WhyView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const { evidence, learned } = await evidenceHere(job);
  const facts = factsOf(evidence).filter((f) => f.found === true && f.says);
  return {
    frame: frameOf(job, "Why it failed"),
    causes: causesOf({ evidence, chosen: job.causes.chosen ?? [] }),
    here: Object.fromEntries(learned.map(({ cause, n, m }) => [cause, { n, m }])),
    next: lookAfter(evidence),
    toFail: failsNext(evidence, job.causes.chosen ?? []),
    kept: job.causes,
    facts: facts.map((f) => f.says),
    greaseStates: job.greaseStates,
  };
}
