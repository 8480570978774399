import { gatesOf } from "@/core/gates/job-facts";
import { endingNamed } from "@/core/job/ending";
import type { Job } from "@/core/job/job";
import { safetyOf } from "@/core/job/keys";
import { STAGES, type Stage } from "@/core/job/stages";
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
  /** earlier stages at which something was opened since, with what */
  readonly openBefore: Readonly<Partial<Record<Stage, string>>>;
  readonly handedBack: boolean;
  /** it waits, it ended without its repair, it came back: a few words each */
  readonly standing: readonly string[];
  /** reasons with which questions of the safety gate were skipped */
  readonly skipped: readonly string[];
}

/**
 * @example unitInWords({ kind: "juicer", maker: "Velbrant", model: "Pressa 40" }) // "juicer, Velbrant Pressa
 *   40"
 */
export const unitInWords = (unit: Pick<Job, "kind" | "maker" | "model">): string =>
  [unit.kind, `${unit.maker} ${unit.model}`.trim()].filter(Boolean).join(", ") || "New unit";

/**
 * What was judged, chosen or lubricated anew behind the job's back: it has passed those stages, and goes on,
 * but not unsaid.
 */
function openBefore(job: Job): FrameView["openBefore"] {
  if (job.handedBackAt !== undefined) return {};
  const passed = (["judge", "match", "lube"] as const).filter(
    (s) => STAGES.indexOf(s) < STAGES.indexOf(job.stage),
  );
  return Object.fromEntries(
    passed.flatMap((s) =>
      gatesOf(job, s)
        .slice(0, 1)
        .map((g) => [s, g.says]),
    ),
  );
}

export const standingOf = ({
  waiting,
  ending,
  warrantyOf,
}: Pick<Job, "waiting" | "ending" | "warrantyOf">): string[] => [
  ...(waiting ? [`waits for ${waiting.what}`] : []),
  ...(ending ? [endingNamed(ending.how).says.toLowerCase()] : []),
  ...(warrantyOf ? [`back from ${warrantyOf}`] : []),
];

export function frameOf(
  job: Job,
  title: string = unitInWords(job),
  words: string = job.symptoms.map(symptomSays).join(" · "),
): FrameView {
  return {
    number: job.number,
    version: job.version,
    title,
    words,
    stage: job.stage,
    openGates: gatesOf(job, job.stage).length,
    openBefore: openBefore(job),
    handedBack: job.handedBackAt !== undefined,
    standing: standingOf(job),
    skipped: job.answers.flatMap((a) =>
      safetyOf(a.question) !== undefined && a.answer === "skipped" ? [a.note ?? ""] : [],
    ),
  };
}
