import { StripScreen } from "@/stages/strip/strip-screen";
import { loadDrafts } from "@/store/drafts";
import { undoable } from "@/store/undo";
import { type JobAddress, jobFrom } from "../job-from-address";

export default async function Page(address: JobAddress) {
  const { job, db } = await jobFrom(address);
  const drafts = await loadDrafts(db, job.id);
  return <StripScreen job={job} draft={drafts["strip.step"]} undo={await undoable(db, job.id)} />;
}
