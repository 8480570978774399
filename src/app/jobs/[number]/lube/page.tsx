import { gatesOf } from "@/core/gates/job-facts";
import { JobScreen } from "@/stages/frame/job-screen";
import { greasePlan } from "@/stages/lube/grease-plan";
import { LubeScreen } from "@/stages/lube/lube-screen";
import { loadDrafts } from "@/store/drafts";
import { lubricants } from "@/store/lube";
import { type JobAddress, jobFrom } from "../job-from-address";

export default async function Page(address: JobAddress) {
  const { job, db } = await jobFrom(address);
  const drafts = await loadDrafts(db, job.id);
  return (
    <JobScreen job={job} showing="lube" mat={null}>
      <LubeScreen job={job} plan={greasePlan(job, await lubricants(db))} gates={gatesOf(job, "lube")} draft={drafts["lube.case"]} />
    </JobScreen>
  );
}
