import { gatesOf } from "@/core/gates/job-facts";
import type { Gate } from "@/core/gates/open-gates";
import type { Hazard } from "@/core/job/hazard";
import type { Job } from "@/core/job/job";
import { proposedHazards } from "@/core/safety/hazards";
import { type EarlierJob, earlierJobs } from "@/store/comebacks";
import { type Counter, counterFor, looseItemsKnown } from "@/store/counter";
import { shopSettings } from "@/store/settings";
import { type FrameView, frameOf } from "../frame/frame-view";
import { only } from "../job-view/only";
import { pageJob } from "../job-view/page-job";

const SHOWN = [
  "stage", "kind", "maker", "model", "variant", "serial", "supplies", "protectionClass", "hazards",
  "foodContact", "complaint", "symptoms", "customerName", "customerContact", "condition", "looseItems",
  "loosePictures", "warrantyOf", "past", "disposeConsent", "priceLimit", "consent", "promised",
] as const; // biome-ignore format: a short list reads better in rows

/** What Take in shows of a job. */
export interface TakeInJob extends Pick<Job, (typeof SHOWN)[number]> {
  readonly pictures: readonly Pick<
    Job["pictures"][number],
    "sha256" | "name" | "role" | "width" | "height" | "marks"
  >[];
}

export interface TakeInView {
  readonly frame: FrameView;
  readonly job: TakeInJob;
  readonly gates: readonly Gate[];
  readonly currency: string;
  readonly counter: Counter;
  readonly thisYear: number;
  /** jobs that were handed back, of the same unit as far as it can be told */
  readonly earlier: readonly Pick<EarlierJob, "number" | "handedBackAt">[];
  /** what is usual for its kind; undefined: nothing is known */
  readonly proposed: readonly Hazard[] | undefined;
  /** what came along with units of its kind before, the commonest first */
  readonly looseKnown: readonly string[];
}

export async function takeInView(number: string): Promise<TakeInView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const { currency, kindHazards } = await shopSettings();
  return {
    frame: frameOf(job),
    job: {
      ...only(job, SHOWN),
      pictures: job.pictures
        .filter((p) => p.role !== "step")
        .map((p) => only(p, ["sha256", "name", "role", "width", "height", "marks"])),
    },
    gates: gatesOf(job, "take-in"),
    currency,
    proposed: proposedHazards(job.kind, kindHazards),
    looseKnown: await looseItemsKnown(job.kind),
    earlier: (await earlierJobs(job)).slice(0, 2).map((e) => only(e, ["number", "handedBackAt"])),
    counter: await counterFor(job.maker, job.model),
    thisYear: new Date().getFullYear(),
  };
}
