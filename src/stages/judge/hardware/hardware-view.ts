import type { HardwareFind } from "@/core/job/reading";
import { loadDrafts } from "@/store/drafts";
import { currentJob } from "@/store/job";
import { type FrameView, frameOf } from "../../frame/frame-view";

export interface HardwareView {
  readonly frame: FrameView;
  readonly finds: readonly HardwareFind[];
  readonly draft: unknown;
}

export async function hardwareView(number: string): Promise<HardwareView | null> {
  const job = await currentJob(number);
  return job && { frame: frameOf(job, "Hardware bench", "by the caliper"), finds: job.benchFinds, draft: (await loadDrafts(job.id))["hardware.bench"] };
}
