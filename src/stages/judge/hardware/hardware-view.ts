import type { HardwareFind } from "@/core/job/reading";
import { loadDrafts } from "@/store/drafts";
import { type FrameView, frameOf } from "../../frame/frame-view";
import { pageJob } from "../../job-view/page-job";

export interface HardwareView {
  readonly frame: FrameView;
  readonly finds: readonly HardwareFind[];
  readonly draft: unknown;
}

export async function hardwareView(number: string): Promise<HardwareView | null> {
  const job = await pageJob(number);
  return (
    job && {
      frame: frameOf(job, "Hardware bench", "by the caliper"),
      finds: job.benchFinds,
      draft: (await loadDrafts(job.id))["hardware.bench"],
    }
  );
}
