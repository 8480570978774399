import { partName } from "@/core/job/part";
import type { LengthUnit } from "@/core/quantity/units";
import { loadDrafts } from "@/store/drafts";
import { shopSettings } from "@/store/settings";
import { type FrameView, frameOf } from "../../frame/frame-view";
import { catalogueFor } from "../../job-view/job-candidates";
import { pageJob } from "../../job-view/page-job";
import { type GearView, gearView } from "./gear-view";

export interface GearBenchView {
  readonly frame: FrameView;
  readonly view: GearView;
  readonly draft: unknown;
  /** the shop's own */
  readonly unitFirst: LengthUnit;
}

/** One gear on its bench; null where the job has no such part. */
export async function gearBenchView(number: string, id: string): Promise<GearBenchView | null> {
  const job = await pageJob(number);
  const part = job?.parts.find((p) => p.id === id);
  if (!job || !part) return null;
  const view = gearView(job, id, await catalogueFor(job, [id]));
  const words = ["gear bench", part.material, view.kind, view.notes.hand && `${view.notes.hand} hand`]
    .filter(Boolean)
    .join(" · ");
  return {
    frame: frameOf(job, partName(part), words),
    view,
    draft: (await loadDrafts(job.id))[`gear.${id}`],
    unitFirst: (await shopSettings()).lengthUnit,
  };
}
