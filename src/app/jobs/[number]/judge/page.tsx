import { gatesOf } from "@/core/gates/job-facts";
import { likelyCauses } from "@/core/judge/causes";
import { JobScreen } from "@/stages/frame/job-screen";
import { catalogueFor } from "@/stages/job-view/job-candidates";
import { pocketsOf } from "@/stages/job-view/mat-pockets";
import { JudgeBenches } from "@/stages/judge/judge-benches";
import { JudgeScreen } from "@/stages/judge/judge-screen";
import { evidenceOf, fatesOf } from "@/stages/judge/why/why-facts";
import { Mat } from "@/ui/mat";
import { type JobAddress, jobFrom } from "../job-from-address";

export default async function Page(address: JobAddress) {
  const { job, db } = await jobFrom(address);
  const failed = job.findings.filter((f) => f.mode).map((f) => f.part);
  const catalogue = await catalogueFor(db, job, failed);
  const fates = Object.fromEntries(failed.map((part) => [part, fatesOf(job, part, catalogue)]));
  const causes = likelyCauses(evidenceOf(job));
  const cause = causes.find((c) => job.causes.chosen?.includes(c.cause)) ?? causes[0];
  const pockets = pocketsOf(job);
  return (
    <JobScreen
      job={job}
      showing="judge"
      head={<JudgeBenches number={job.number} at="parts" />}
      mat={<Mat pockets={pockets} hand={pockets.length} foot={`${pockets.length} laid down, left to right in the order they came off`} />}
    >
      <JudgeScreen job={job} gates={gatesOf(job, "judge")} fates={fates} cause={cause} />
    </JobScreen>
  );
}
