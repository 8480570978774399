import { MATERIALS } from "@/core/train/materials";
import { JobScreen } from "@/stages/frame/job-screen";
import { meanReadings } from "@/stages/judge/gear/gear-readings";
import { JudgeBenches } from "@/stages/judge/judge-benches";
import { EMPTY_TRAIN } from "@/stages/judge/train/empty-train";
import { TrainScreen } from "@/stages/judge/train/train-screen";
import { loadDrafts } from "@/store/drafts";
import { type JobAddress, jobFrom } from "../../job-from-address";

/** A part's material as the fuse knows it. */
const materialOf = (said: string | undefined): string | undefined =>
  said === undefined
    ? undefined
    : (MATERIALS.find((m) => m.material.toLowerCase() === said.toLowerCase())?.material ?? (/^PA/i.test(said) ? "PA66" : undefined));

export default async function Page(address: JobAddress) {
  const { job, db } = await jobFrom(address);
  const parts = job.parts
    .filter((p) => p.kind === "gear")
    .map((p) => {
      const f = job.findings.find((x) => x.part === p.id);
      return {
        id: p.id,
        name: p.name ?? p.id,
        teeth: f?.identity?.teeth ?? f?.gear.teeth,
        moduleMm: f?.identity?.moduleMm ?? f?.gear.moduleMm,
        helixAngleDeg: f?.gear.kind === "helical" ? f.identity?.helixAngleDeg : undefined,
        faceWidthMm: meanReadings(job.readings, p.id).find((m) => m.what === "face width")?.value,
        material: materialOf(p.material),
      };
    });
  return (
    <JobScreen job={job} showing="judge" title="Train" words="from the motor to the output" head={<JudgeBenches number={job.number} at="train" />} mat={null}>
      <TrainScreen train={job.train ?? EMPTY_TRAIN} parts={parts} clicks={(await loadDrafts(db, job.id))["train.clicks"]} />
    </JobScreen>
  );
}
