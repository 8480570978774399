import type { Job } from "@/core/job/job";
import { type EarlierJob, earlierJobs } from "@/store/comebacks";
import { loadDrafts } from "@/store/drafts";
import { shopSettings } from "@/store/settings";
import { type FrameView, frameOf } from "../frame/frame-view";
import { only } from "../job-view/only";
import { pageJob } from "../job-view/page-job";

export interface EndingView {
  readonly frame: FrameView;
  readonly job: Pick<Job, "ending" | "waiting" | "warrantyOf" | "disposeConsent" | "handedBackAt" | "stage">;
  /** it lies in pieces: something must be put together before it goes back as it was */
  readonly stripped: boolean;
  readonly earlier: readonly EarlierJob[];
  readonly currency: string;
  /** what is due if the customer declines, tax and all */
  readonly ifDeclined: number;
  readonly draft: unknown;
}

export async function endingView(number: string): Promise<EndingView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const { currency, rates } = await shopSettings();
  const quoted = job.quotes.filter((q) => q.answer === "declined").at(-1);
  return {
    frame: frameOf(job),
    job: only(job, ["ending", "waiting", "warrantyOf", "disposeConsent", "handedBackAt", "stage"]),
    stripped: job.steps.length > 0,
    earlier: await earlierJobs(job),
    currency,
    ifDeclined: quoted?.quote.ifDeclined ?? Math.round(rates.ifDeclined * (100 + rates.taxPercent)) / 100,
    draft: (await loadDrafts(job.id)).ending,
  };
}
