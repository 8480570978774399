import { JobScreen } from "@/stages/frame/job-screen";
import { arrivalViews } from "@/stages/match/arrival-facts";
import { ArrivalScreen } from "@/stages/match/arrival-screen";
import { MatchPlaces } from "@/stages/match/match-places";
import { loadDrafts } from "@/store/drafts";
import { type JobAddress, jobFrom } from "../../job-from-address";

export default async function Page(address: JobAddress) {
  const { job, db } = await jobFrom(address);
  return (
    <JobScreen job={job} showing="match" head={<MatchPlaces job={job} at="arrival" />} mat={null}>
      <ArrivalScreen arrivals={await arrivalViews(db, job)} draft={(await loadDrafts(db, job.id)).arrival} />
    </JobScreen>
  );
}
