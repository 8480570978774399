import { notFound } from "next/navigation";
import { JobScreen } from "@/stages/frame/job-screen";
import { PhotoBench } from "@/stages/judge/photo/photo-bench";
import { KeyLink } from "@/ui/key-link";
import { jobFrom } from "../../../../job-from-address";

export default async function Page({ params }: { params: Promise<{ number: string; part: string }> }) {
  const { job } = await jobFrom({ params });
  const { part: id } = await params;
  const part = job.parts.find((p) => p.id === id);
  if (!part) notFound();
  const step = job.steps.find((s) => s.parts?.includes(id));
  // pictures of the part itself last: the latest of them is read first
  const pictures = [...job.pictures.filter((p) => p.step !== undefined && p.step === step?.id && p.part !== id), ...job.pictures.filter((p) => p.part === id)];
  return (
    <JobScreen
      job={job}
      showing="judge"
      title={part.name ?? part.id}
      words="its teeth, counted in a picture"
      head={
        <KeyLink keyName="G" href={`/jobs/${job.number}/judge/gear/${id}`} className="small">
          Gear bench
        </KeyLink>
      }
      mat={null}
    >
      <PhotoBench
        key={id}
        part={id}
        partName={part.name ?? id}
        hint={`${job.kind} wheel with scale card`}
        pictures={pictures.map(({ name, sha256 }) => ({ name, sha256 }))}
        noted={job.findings.find((f) => f.part === id)?.gear.teeth ?? null}
      />
    </JobScreen>
  );
}
