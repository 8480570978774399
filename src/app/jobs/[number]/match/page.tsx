import { rankCandidates } from "@/core/match/rank";
import { gatesOf } from "@/stages/job-facts";
import { JobScreen } from "@/stages/job-screen";
import { MatchScreen } from "@/stages/match/match-screen";
import { wantedFor } from "@/stages/wanted-part";
import { catalogueParts, shopSettings } from "@/store/catalogue";
import { type JobAddress, jobFrom } from "../job-from-address";

export default async function Page(address: JobAddress) {
  const { job, db } = await jobFrom(address);
  const catalogue = await catalogueParts(db);
  const { currency } = await shopSettings(db);
  const fits = `${job.maker} ${job.model}`.trim();
  const parts = job.parts
    .filter((p) => p.renew)
    .map((p) => {
      const wanted = wantedFor(job, p.id);
      const says =
        "missing" in wanted
          ? (p.name ?? "")
          : wanted.what === "gear"
            ? `wanted: ${wanted.gear.teeth} teeth, module ${Number(wanted.gear.moduleMm.toFixed(3))}, ${wanted.gear.pressureAngleDeg}°${wanted.gear.helixAngleDeg ? `, helix ${wanted.gear.helixAngleDeg}° ${wanted.gear.hand ?? ""}` : ""}`
            : wanted.what === "named"
              ? "by its name: nothing is measured"
              : `wanted: ${wanted.size.insideMm} × ${wanted.size.outsideMm} × ${wanted.size.widthMm} mm`;
      return {
        id: p.id,
        name: p.name ?? p.id,
        wanted: says,
        missing: "missing" in wanted ? wanted.missing : undefined,
        candidates: "missing" in wanted ? [] : rankCandidates(wanted, catalogue, fits),
        chosen: job.findings.find((f) => f.part === p.id)?.chosen,
        isGear: p.kind === "gear",
      };
    });
  return (
    <JobScreen job={job} showing="match" mat={null}>
      <MatchScreen parts={parts} stage={job.stage} gates={gatesOf(job, "match")} currency={currency} limit={job.priceLimit} />
    </JobScreen>
  );
}
