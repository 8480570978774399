import { gatesOf } from "@/core/gates/job-facts";
import type { Gate } from "@/core/gates/open-gates";
import type { Job } from "@/core/job/job";
import { loadDrafts } from "@/store/drafts";
import { lubricants } from "@/store/lube";
import { type FrameView, frameOf } from "../frame/frame-view";
import { only } from "../job-view/only";
import { pageJob } from "../job-view/page-job";
import { type GreasePlan, greasePlan } from "./grease-plan";

const SHOWN = ["stage", "lubricant", "lubePoints", "caseInside", "greaseState", "washed", "fillSchool", "makersGrams"] as const;

export interface LubeView {
  readonly frame: FrameView;
  readonly job: Pick<Job, (typeof SHOWN)[number]>;
  readonly plan: GreasePlan;
  readonly gates: readonly Gate[];
  readonly draft: unknown;
}

export async function lubeView(number: string): Promise<LubeView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const plan = greasePlan(job, await lubricants());
  return { frame: frameOf(job), job: only(job, SHOWN), plan, gates: gatesOf(job, "lube"), draft: (await loadDrafts(job.id))["lube.case"] };
}
