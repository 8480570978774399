import { countedTrain, type TrainInput } from "@/core/train/train";
import { type KeptSound, MOMENTS, type SoundMoment, soundsOf } from "@/store/sounds";
import { type FrameView, frameOf } from "../frame/frame-view";
import { pageJob } from "../job-view/page-job";

export interface ListenView {
  readonly frame: FrameView;
  /** as far as it is counted; null: there is none */
  readonly train: TrainInput | null;
  /** the newest recording of each moment */
  readonly sounds: Readonly<Partial<Record<SoundMoment, KeptSound>>>;
  /** the moment that is at hand */
  readonly moment: SoundMoment;
}

export async function listenView(number: string): Promise<ListenView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const kept = await soundsOf(job.id);
  const train = job.train && countedTrain(job.train);
  const goesHome = job.stage === "hand-back" || job.stage === "rebuild";
  return {
    frame: frameOf(job, "Listen", "the unit runs, and what stands out is named"),
    train: train?.meshes.length ? train : null,
    sounds: Object.fromEntries(
      MOMENTS.flatMap((m) =>
        kept
          .filter((s) => s.moment === m)
          .slice(0, 1)
          .map((s) => [m, s]),
      ),
    ),
    moment: goesHome ? "after" : "before",
  };
}
