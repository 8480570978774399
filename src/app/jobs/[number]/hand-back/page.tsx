import { gatesOf } from "@/core/gates/job-facts";
import { finalChecks } from "@/core/hand-back/final-checks";
import { JobScreen } from "@/stages/frame/job-screen";
import { HandBackScreen } from "@/stages/hand-back/hand-back-screen";
import { pocketsOf } from "@/stages/job-view/mat-pockets";
import { loadDrafts } from "@/store/drafts";
import { Mat } from "@/ui/mat";
import { type JobAddress, jobFrom } from "../job-from-address";

export default async function Page(address: JobAddress) {
  const { job, db } = await jobFrom(address);
  const pockets = pocketsOf(job);
  const drafts = await loadDrafts(db, job.id);
  return (
    <JobScreen
      job={job}
      showing="hand-back"
      mat={
        <Mat
          pockets={pockets}
          hand={pockets.findLastIndex((p) => !p.emptied) + 1}
          foot={pockets.every((p) => p.emptied) ? "The Mat is empty: everything is back in the machine." : "Something still lies on the Mat."}
        />
      }
    >
      <HandBackScreen
        job={job}
        checks={finalChecks(job)}
        gates={[...gatesOf(job, "rebuild"), ...gatesOf(job, "hand-back")]}
        draft={drafts["hand-back.figure"]}
      />
    </JobScreen>
  );
}
