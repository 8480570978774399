import { gatesOf } from "@/core/gates/job-facts";
import type { Job } from "@/core/job/job";
import { safetyOf } from "@/core/job/keys";
import type { Stage } from "@/core/job/stages";
import { symptomSays } from "@/core/judge/failure-modes";

/** What the frame around every stage shows of a job. */
export interface FrameView {
  readonly number: string;
  readonly version: number;
  readonly title: string;
  /** beside the title, quieter */
  readonly words: string;
  readonly stage: Stage;
  readonly openGates: number;
  readonly handedBack: boolean;
  /** reasons with which questions of the safety gate were skipped */
  readonly skipped: readonly string[];
}

/** @example unitInWords({ kind: "juicer", maker: "Velbrant", model: "Pressa 40" }) // "juicer, Velbrant Pressa 40" */
export const unitInWords = (unit: Pick<Job, "kind" | "maker" | "model">): string =>
  [unit.kind, `${unit.maker} ${unit.model}`.trim()].filter(Boolean).join(", ") || "New unit";

export function frameOf(job: Job, title: string = unitInWords(job), words: string = job.symptoms.map(symptomSays).join(" · ")): FrameView {
  return {
    number: job.number,
    version: job.version,
    title,
    words,
    stage: job.stage,
    openGates: gatesOf(job, job.stage).length,
    handedBack: job.handedBackAt !== undefined,
    skipped: job.answers.flatMap((a) => (safetyOf(a.question) !== undefined && a.answer === "skipped" ? [a.note ?? ""] : [])),
  };
}
