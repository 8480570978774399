import { gatesOf } from "@/core/gates/job-facts";
import type { Gate } from "@/core/gates/open-gates";
import type { Job } from "@/core/job/job";
import { partName } from "@/core/job/part";
import { loadDrafts } from "@/store/drafts";
import { greasesOnShelf } from "@/store/shelf";
import { type FrameView, frameOf } from "../frame/frame-view";
import { only } from "../job-view/only";
import { pageJob } from "../job-view/page-job";
import { type GreasePlan, greasePlan } from "./grease-plan";

const SHOWN = ["stage", "lubricant", "lubePoints", "caseInside", "greaseStates", "washed", "fillSchool", "makersGrams", "noGrease", "caseMaterials"] as const;

export interface LubeView {
  readonly frame: FrameView;
  readonly job: Pick<Job, (typeof SHOWN)[number]>;
  readonly plan: GreasePlan;
  readonly gates: readonly Gate[];
  readonly draft: unknown;
  /** parts that oil can go on */
  readonly parts: readonly { readonly id: string; readonly name: string }[];
  readonly oilDraft: unknown;
}

export async function lubeView(number: string): Promise<LubeView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const plan = greasePlan(job, await greasesOnShelf());
  const drafts = await loadDrafts(job.id);
  return {
    frame: frameOf(job),
    job: only(job, SHOWN),
    plan,
    gates: gatesOf(job, "lube"),
    draft: drafts["lube.case"],
    parts: job.parts.map((p) => ({ id: p.id, name: partName(p) })),
    oilDraft: drafts["lube.oil"],
  };
}
