import { gatesOf } from "@/stages/job-facts";
import { JobScreen } from "@/stages/job-screen";
import { JudgeScreen } from "@/stages/judge/judge-screen";
import { pocketsOf } from "@/stages/mat-pockets";
import { Mat } from "@/ui/mat";
import { type JobAddress, jobFrom } from "../job-from-address";

export default async function Page(address: JobAddress) {
  const { job } = await jobFrom(address);
  const pockets = pocketsOf(job);
  return (
    <JobScreen
      job={job}
      showing="judge"
      mat={<Mat pockets={pockets} hand={pockets.length} foot={`${pockets.length} laid down, left to right in the order they came off`} />}
    >
      <JudgeScreen job={job} gates={gatesOf(job, "judge")} />
    </JobScreen>
  );
}
