import type { BoreForm } from "@/core/gear/bore-form";
import { partName } from "@/core/job/part";
import { type FrameView, frameOf } from "../../frame/frame-view";
import { pageJob } from "../../job-view/page-job";

export interface PhotoView {
  readonly frame: FrameView;
  readonly partName: string;
  /** what lies under the practice camera */
  readonly hint: string;
  /** of the step it came off in, then of the part itself: the latest is read first */
  readonly pictures: readonly { readonly name: string; readonly sha256: string }[];
  /** the count that is noted already */
  readonly noted: number | null;
  /** the form of its bore that is noted already: what a picture makes of it is no better */
  readonly notedBore: BoreForm | null;
}

/** A part's pictures, to count its teeth in; null where the job has no such part. */
export async function photoView(number: string, id: string): Promise<PhotoView | null> {
  const job = await pageJob(number);
  const part = job?.parts.find((p) => p.id === id);
  if (!job || !part) return null;
  const step = job.steps.find((s) => s.parts?.includes(id));
  const gear = job.findings.find((f) => f.part === id)?.gear;
  const pictures = [
    ...job.pictures.filter((p) => p.step !== undefined && p.step === step?.id && p.part !== id),
    ...job.pictures.filter((p) => p.part === id),
  ];
  return {
    frame: frameOf(job, partName(part), "its teeth, counted in a picture"),
    partName: partName(part),
    hint: `${job.kind} wheel with scale card`,
    pictures: pictures.map(({ name, sha256 }) => ({ name, sha256 })),
    noted: gear?.teeth ?? null,
    notedBore: gear?.boreForm || null,
  };
}
