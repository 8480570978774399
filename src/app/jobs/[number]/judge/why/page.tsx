import { likelyCauses } from "@/core/judge/causes";
import { factsOf } from "@/core/judge/evidence";
import { JobScreen } from "@/stages/frame/job-screen";
import { JudgeBenches } from "@/stages/judge/judge-benches";
import { evidenceOf } from "@/stages/judge/why/why-facts";
import { WhyScreen } from "@/stages/judge/why/why-screen";
import { type JobAddress, jobFrom } from "../../job-from-address";

export default async function Page(address: JobAddress) {
  const { job } = await jobFrom(address);
  const evidence = evidenceOf(job);
  return (
    <JobScreen job={job} showing="judge" title="Why it failed" head={<JudgeBenches number={job.number} at="why" />} mat={null}>
      <WhyScreen causes={likelyCauses(evidence)} kept={job.causes} facts={factsOf(evidence).map((f) => f.says)} />
    </JobScreen>
  );
}
