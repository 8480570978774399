import { gatesOf } from "@/core/gates/job-facts";
import type { Job } from "@/core/job/job";
import { safetyOf } from "@/core/job/keys";
import { toolsUsed } from "@/core/order/tools-used";
import { safetyGate } from "@/core/safety/gate";
import { Mat } from "@/ui/mat";
import { framed } from "@/ui/picture-frame";
import { JobScreen } from "../frame/job-screen";
import { pocketsOf } from "../job-view/mat-pockets";
import { Recorder } from "./recorder";
import { SafetyGate } from "./safety-gate";

/** Strip: the safety gate first, then the recorder. */
export function StripScreen({ job, draft, undo }: { job: Job; draft: unknown; undo: readonly string[] }) {
  const questions = safetyGate(job);
  const answered = job.answers.flatMap((a) => safetyOf(a.question) ?? []);
  const pockets = pocketsOf(job);
  if (questions.some((q) => !answered.includes(q.gate)))
    return (
      <JobScreen job={job} showing="strip" mat={<Mat pockets={pockets} hand={pockets.length} foot="The Mat stays shut until the safety gate is answered." />}>
        <SafetyGate questions={questions} answered={answered} picture={framed(job.pictures.find((p) => p.role === "intake"))} />
      </JobScreen>
    );
  return (
    <JobScreen job={job} showing="strip">
      <Recorder
        pockets={pockets}
        steps={job.steps}
        parts={job.parts}
        pictures={job.pictures}
        draft={draft}
        finished={job.stripFinished}
        gates={gatesOf(job, "strip")}
        stageNow={job.stage}
        unit={job.kind}
        undo={undo}
        tools={toolsUsed(job.steps)}
      />
    </JobScreen>
  );
}
