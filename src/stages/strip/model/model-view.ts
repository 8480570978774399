import type { Job } from "@/core/job/job";
import { partNamed } from "@/core/job/part";
import { isFailure, modeNamed } from "@/core/judge/failure-modes";
import { ghostOf } from "@/core/memory/ghost";
import { type Failed, type Guide, guideOf } from "@/core/memory/guide";
import { loadJob } from "@/store/job";
import { stripsOfModel } from "@/store/same-model";
import { type FrameView, frameOf } from "../../frame/frame-view";
import { pageJob } from "../../job-view/page-job";
import { titleOf } from "../../job-view/pocket-look";

export interface ModelView {
  readonly frame: FrameView;
  readonly guide: Guide;
}

const failedIn = (job: Job): Failed[] =>
  job.findings.flatMap((f) =>
    isFailure(f.mode) && job.parts.some((p) => p.id === f.part) ? [{ part: partNamed(job, f.part), how: modeNamed(f.mode)?.says ?? f.mode ?? "" }] : [],
  );

/** What the model's other units, taken apart here, tell of it. */
export async function modelView(number: string): Promise<ModelView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const others = (await Promise.all((await stripsOfModel(job)).map((n) => loadJob(n)))).filter((j) => j !== null);
  return {
    frame: frameOf(job, undefined, others.length === 1 ? "one other unit was here" : `${others.length} other units were here`),
    guide: guideOf(
      others.map((o) => ghostOf(o, (s) => titleOf(s, (id) => partNamed(o, id)))),
      others.map(failedIn),
    ),
  };
}
