import { JobScreen } from "@/stages/frame/job-screen";
import { HardwareScreen } from "@/stages/judge/hardware/hardware-screen";
import { JudgeBenches } from "@/stages/judge/judge-benches";
import { loadDrafts } from "@/store/drafts";
import { type JobAddress, jobFrom } from "../../job-from-address";

export default async function Page(address: JobAddress) {
  const { job, db } = await jobFrom(address);
  const drafts = await loadDrafts(db, job.id);
  return (
    <JobScreen job={job} showing="judge" title="Hardware bench" words="by the caliper" head={<JudgeBenches number={job.number} at="hardware" />} mat={null}>
      <HardwareScreen finds={job.benchFinds} draft={drafts["hardware.bench"]} />
    </JobScreen>
  );
}
