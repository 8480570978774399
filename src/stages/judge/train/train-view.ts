import { plasticFamily } from "@/core/hardware/material";
import { partName } from "@/core/job/part";
import { MATERIALS } from "@/core/train/materials";
import type { TrainInput } from "@/core/train/train";
import { loadDrafts } from "@/store/drafts";
import { type FrameView, frameOf } from "../../frame/frame-view";
import { pageJob } from "../../job-view/page-job";
import { partMean } from "../../job-view/part-facts";
import { EMPTY_TRAIN } from "./empty-train";
import type { TrainPart } from "./train-part";

export interface TrainView {
  readonly frame: FrameView;
  readonly train: TrainInput;
  readonly parts: readonly TrainPart[];
  readonly clicks: unknown;
}

/** A part's material as the fuse knows it: by its own name, or by its family. */
const materialOf = (said: string | undefined): string | undefined =>
  MATERIALS.find((m) => m.material.toLowerCase() === said?.toLowerCase())?.material ??
  MATERIALS.find(
    (m) => plasticFamily(said) !== undefined && plasticFamily(m.material) === plasticFamily(said),
  )?.material;

export async function trainView(number: string): Promise<TrainView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  return {
    frame: frameOf(job, "Train", "from the motor to the output"),
    train: job.train ?? EMPTY_TRAIN,
    parts: job.parts
      .filter((p) => p.kind === "gear")
      .map((p) => {
        const f = job.findings.find((x) => x.part === p.id);
        return {
          id: p.id,
          name: partName(p),
          teeth: f?.identity?.teeth ?? f?.gear.teeth,
          moduleMm: f?.identity?.moduleMm ?? f?.gear.moduleMm,
          helixAngleDeg: f?.gear.kind === "helical" ? f.identity?.helixAngleDeg : undefined,
          faceWidthMm: partMean(job, p.id, "face width")?.value,
          material: materialOf(p.material),
        };
      }),
    clicks: (await loadDrafts(job.id))["train.clicks"],
  };
}
