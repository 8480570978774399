import { gatesOf } from "@/core/gates/job-facts";
import { JobScreen } from "@/stages/frame/job-screen";
import { candidatesOf } from "@/stages/job-view/job-candidates";
import { wantedInWords } from "@/stages/job-view/wanted-part";
import { MatchPlaces } from "@/stages/match/match-places";
import { MatchScreen } from "@/stages/match/match-screen";
import { shopSettings } from "@/store/settings";
import { type JobAddress, jobFrom } from "../job-from-address";

export default async function Page(address: JobAddress) {
  const { job, db } = await jobFrom(address);
  const { currency } = await shopSettings(db);
  const parts = (await candidatesOf(db, job)).map(({ id, wanted, candidates, chosen, offers }) => {
    const part = job.parts.find((p) => p.id === id);
    return {
      id,
      name: part?.name ?? id,
      wanted: "missing" in wanted ? "" : wantedInWords(wanted),
      missing: "missing" in wanted ? wanted.missing : undefined,
      candidates,
      offers,
      chosen: chosen?.number,
      readNumber: job.findings.find((f) => f.part === id)?.readNumber,
      isGear: part?.kind === "gear",
    };
  });
  return (
    <JobScreen job={job} showing="match" head={<MatchPlaces job={job} at="parts" />} mat={null}>
      <MatchScreen parts={parts} stage={job.stage} gates={gatesOf(job, "match")} currency={currency} />
    </JobScreen>
  );
}
