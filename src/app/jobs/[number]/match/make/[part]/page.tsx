import { notFound } from "next/navigation";
import { makingNotes } from "@/core/gear/making";
import { JobScreen } from "@/stages/frame/job-screen";
import { gearToMake, waysFor } from "@/stages/match/gear-to-make";
import { MakeScreen } from "@/stages/match/make-screen";
import { MatchPlaces } from "@/stages/match/match-places";
import { donorsFor } from "@/store/donors";
import { jobFrom } from "../../../job-from-address";

export default async function Page({ params }: { params: Promise<{ number: string; part: string }> }) {
  const { job, db } = await jobFrom({ params });
  const { part: id } = await params;
  const part = job.parts.find((p) => p.id === id);
  if (!part) notFound();
  const { gear } = gearToMake(job, id);
  const donors = await donorsFor(db, job);
  return (
    <JobScreen job={job} showing="match" title={part.name ?? id} words="no part to be had" head={<MatchPlaces job={job} />} mat={null}>
      <MakeScreen
        number={job.number}
        part={id}
        isGear={part.kind === "gear"}
        ways={waysFor(job, id, donors.length)}
        gear={gear}
        notes={gear ? makingNotes(gear, part.material) : []}
        donors={donors}
      />
    </JobScreen>
  );
}
