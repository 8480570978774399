import { notFound } from "next/navigation";
import { makingNotes, waysWithoutPart } from "@/core/match/making";
import { JobScreen } from "@/stages/job-screen";
import { gearToMake } from "@/stages/match/gear-to-make";
import { MakeScreen } from "@/stages/match/make-screen";
import { MatchPlaces } from "@/stages/match/match-places";
import { donorsFor } from "@/store/donors";
import { jobFrom } from "../../../job-from-address";

export default async function Page({ params }: { params: Promise<{ number: string; part: string }> }) {
  const { job, db } = await jobFrom({ params });
  const { part: id } = await params;
  const part = job.parts.find((p) => p.id === id);
  if (!part) notFound();
  const { gear, missing } = gearToMake(job, id);
  const donors = await donorsFor(db, job);
  const load = job.past.load;
  const ways = waysWithoutPart({
    mode: job.findings.find((f) => f.part === id)?.mode,
    plastic: /^(PA|POM|ABS|PC|plastic)/i.test(part.material ?? ""),
    load: load === "light" || load === "daily" || load === "hard" ? load : "unknown",
    safety: job.parts.some((p) => p.kind === "blade") && part.kind !== "cover",
    hot: job.symptoms.includes("hot"),
    donors: donors.length,
    missing: part.kind === "gear" ? missing : ["a gear: only gears are drawn for making"],
  });
  return (
    <JobScreen job={job} showing="match" title={part.name ?? id} words="no part to be had" head={<MatchPlaces job={job} />} mat={null}>
      <MakeScreen number={job.number} part={id} ways={ways} gear={gear} notes={gear ? makingNotes(gear, part.material) : []} donors={donors} />
    </JobScreen>
  );
}
