import { gatesOf } from "@/core/gates/job-facts";
import type { Gate } from "@/core/gates/open-gates";
import type { Finding } from "@/core/job/finding";
import type { Job } from "@/core/job/job";
import type { Part } from "@/core/job/part";
import type { Reading } from "@/core/job/reading";
import { type LikelyCause, likelyCauses } from "@/core/judge/causes";
import type { FateOption } from "@/core/judge/fate";
import { currentJob } from "@/store/job";
import type { Pocket } from "@/ui/mat";
import { type FramedPicture, framed } from "@/ui/picture-frame";
import { type FrameView, frameOf } from "../frame/frame-view";
import { catalogueFor } from "../job-view/job-candidates";
import { pocketsOf } from "../job-view/mat-pockets";
import { only } from "../job-view/only";
import { evidenceOf, fatesOf } from "./why/why-facts";

/** A part as it is judged. */
export interface JudgedPart extends Pick<Part, "id" | "kind" | "material" | "renew"> {
  readonly name: string;
  readonly finding: Pick<Finding, "mode" | "extent" | "note" | "identity" | "fate" | "fateWhy"> | undefined;
  /** number of the step it came off in */
  readonly step: number | undefined;
  readonly picture: FramedPicture | undefined;
  readonly pictureWords: string;
  /** what can be done about it */
  readonly fates: readonly FateOption[];
  readonly readings: readonly Reading[];
}

export interface JudgeView {
  readonly frame: FrameView;
  readonly pockets: readonly Pocket[];
  readonly job: Pick<Job, "stage" | "greaseState" | "causes">;
  readonly parts: readonly JudgedPart[];
  readonly gates: readonly Gate[];
  readonly cause: LikelyCause | undefined;
}

export async function judgeView(number: string): Promise<JudgeView | null> {
  const job = await currentJob(number);
  if (!job) return null;
  const failed = job.findings.filter((f) => f.mode).map((f) => f.part);
  const catalogue = await catalogueFor(job, failed);
  const causes = likelyCauses(evidenceOf(job));
  return {
    frame: frameOf(job),
    pockets: pocketsOf(job),
    job: only(job, ["stage", "greaseState", "causes"]),
    parts: job.parts.map((p) => {
      const finding = job.findings.find((f) => f.part === p.id);
      const at = job.steps.findIndex((s) => s.parts?.includes(p.id));
      const step = job.steps[at];
      const own = job.pictures.findLast((x) => x.part === p.id);
      return {
        ...only(p, ["id", "kind", "material", "renew"]),
        name: p.name ?? p.id,
        finding: finding && only(finding, ["mode", "extent", "note", "identity", "fate", "fateWhy"]),
        step: at < 0 ? undefined : at + 1,
        picture: framed(own ?? job.pictures.find((x) => x.step !== undefined && x.step === step?.id)),
        pictureWords: own ? "as it was found" : step?.facing ? `facing: ${step.facing}` : "as it came off",
        fates: failed.includes(p.id) ? fatesOf(job, p.id, catalogue) : [],
        readings: p.kind === "bush" ? job.readings.filter((r) => r.part === p.id) : [],
      };
    }),
    gates: gatesOf(job, "judge"),
    cause: causes.find((c) => job.causes.chosen?.includes(c.cause)) ?? causes[0],
  };
}
