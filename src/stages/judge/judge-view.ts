import { gatesOf } from "@/core/gates/job-facts";
import type { Gate } from "@/core/gates/open-gates";
import type { Finding } from "@/core/job/finding";
import type { Job } from "@/core/job/job";
import { onceFor } from "@/core/job/once-for";
import { type Part, partName } from "@/core/job/part";
import { sizesAsked } from "@/core/job/part-sizes";
import type { Reading } from "@/core/job/reading";
import type { Service } from "@/core/job/service";
import { inWords, likeliestCause, type Said } from "@/core/judge/causes";
import type { FateOption } from "@/core/judge/fate";
import { ROOTS } from "@/core/judge/roots";
import { remembered } from "@/core/remembered";
import { type FramedPicture, framed } from "@/ui/picture-frame";
import type { Pocket } from "@/ui/pocket";
import { type FrameView, frameOf } from "../frame/frame-view";
import { catalogueFor } from "../job-view/job-candidates";
import { pocketsOf } from "../job-view/mat-pockets";
import { only } from "../job-view/only";
import { pageJob } from "../job-view/page-job";
import { evidenceHere } from "./why/evidence-here";
import { fatesOf } from "./why/why-facts";

/** A part as it is judged. */
export interface JudgedPart extends Pick<Part, "id" | "kind" | "kindSaid" | "material" | "renew"> {
  readonly name: string;
  readonly finding:
    | (Pick<Finding, "mode" | "also" | "extent" | "note" | "identity" | "fate" | "fateWhy" | "readNumber"> & {
        readonly looks?: Readonly<Record<string, string>>;
      })
    | undefined;
  /** number of the step it came off in */
  readonly step: number | undefined;
  readonly picture: FramedPicture | undefined;
  readonly pictureWords: string;
  readonly readings: readonly Reading[];
  /** what is planned to be done to it */
  readonly services: readonly Pick<Service, "id" | "do" | "note" | "waitMinutes">[];
}

export interface JudgeView {
  readonly frame: FrameView;
  readonly pockets: readonly Pocket[];
  readonly job: Pick<Job, "stage" | "greaseStates" | "causes" | "nothingFailed" | "trouble">;
  readonly parts: readonly JudgedPart[];
  /** part that failed → what can be done about it */
  readonly fates: Readonly<Record<string, readonly FateOption[]>>;
  readonly gates: readonly Gate[];
  readonly cause: Pick<Said, "cause" | "says" | "how"> | undefined;
  /** something came off, so that a part can be added to a step */
  readonly anyStep: boolean;
}

export async function judgeView(number: string): Promise<JudgeView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const failed = job.findings.filter((f) => f.mode).map((f) => f.part);
  const catalogue = await catalogueFor(job, failed);
  return {
    frame: frameOf(job),
    pockets: pocketsOf(job),
    job: only(job, ["stage", "greaseStates", "causes", "nothingFailed", "trouble"]),
    parts: judgedParts(job),
    fates: Object.fromEntries(failed.map((id) => [id, fatesOf(job, id, catalogue)])),
    gates: gatesOf(job, "judge"),
    anyStep: job.steps.length > 0,
    cause: chosenCause(job) ?? likeliest((await evidenceHere(job)).evidence),
  };
}

/** Asked at every press of this screen, and mostly the same. */
const likeliest = remembered(likeliestCause);

function chosenCause({ causes }: Job): JudgeView["cause"] {
  const root = ROOTS.find((r) => causes.chosen?.includes(r.cause));
  return root && { cause: root.cause, says: root.says, how: inWords(1) };
}

const judgedParts = onceFor((job: Job): JudgedPart[] => {
  const findings = new Map(job.findings.map((f) => [f.part, f]));
  const offIn = new Map(
    job.steps.flatMap((s, at) => (s.parts ?? []).map((p) => [p, at] as const)).toReversed(),
  );
  const own = new Map(job.pictures.map((x) => [x.part, x]));
  const ofStep = new Map(job.pictures.toReversed().map((x) => [x.step, x]));
  return job.parts.map((p) => {
    const finding = findings.get(p.id);
    const at = offIn.get(p.id);
    const step = at === undefined ? undefined : job.steps[at];
    const found = own.get(p.id);
    return {
      ...only(p, ["id", "kind", "kindSaid", "material", "renew"]),
      name: partName(p),
      finding: finding && {
        ...only(finding, ["mode", "also", "extent", "note", "identity", "fate", "fateWhy", "readNumber"]),
        ...(finding.gear.looks ? { looks: finding.gear.looks } : {}),
      },
      step: at === undefined ? undefined : at + 1,
      picture: framed(found ?? (step && ofStep.get(step.id))),
      pictureWords: found ? "as it was found" : step?.facing ? `facing: ${step.facing}` : "as it came off",
      services: job.services
        .filter((v) => v.part === p.id)
        .map((v) => only(v, ["id", "do", "note", "waitMinutes"])),
      readings: sizesAsked(p.kind) ? job.readings.filter((r) => r.part === p.id) : [],
    };
  });
});
