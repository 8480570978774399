import { notFound } from "next/navigation";
import { JobScreen } from "@/stages/frame/job-screen";
import { catalogueFor } from "@/stages/job-view/job-candidates";
import { GearBench } from "@/stages/judge/gear/gear-bench";
import { gearView } from "@/stages/judge/gear/gear-view";
import { JudgeBenches } from "@/stages/judge/judge-benches";
import { loadDrafts } from "@/store/drafts";
import { jobFrom } from "../../../job-from-address";

export default async function Page({ params }: { params: Promise<{ number: string; part: string }> }) {
  const { job, db } = await jobFrom({ params });
  const { part: id } = await params;
  const part = job.parts.find((p) => p.id === id);
  if (!part) notFound();
  const view = gearView(job, id, await catalogueFor(db, job, [id]));
  const drafts = await loadDrafts(db, job.id);
  return (
    <JobScreen
      job={job}
      showing="judge"
      title={part.name ?? part.id}
      words={["gear bench", part.material, view.kind, view.notes.hand && `${view.notes.hand} hand`].filter(Boolean).join(" · ")}
      head={<JudgeBenches number={job.number} />}
      mat={null}
    >
      <GearBench key={id} view={view} draft={drafts[`gear.${id}`]} />
    </JobScreen>
  );
}
