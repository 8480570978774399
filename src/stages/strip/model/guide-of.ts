import { planOf } from "@/core/gates/job-facts";
import type { Assembly } from "@/core/job/assembly";
import type { Job } from "@/core/job/job";
import { type GuideFile, writeGuideFile } from "@/core/memory/guide-file";
import { loadJob, thereIs } from "@/store/job";
import { shopSettings } from "@/store/settings";
import { unitOf, unitsOfModel } from "./units-of-model";

/** The shop's own assemblies that the plan of a job calls for. */
function ownWaysIn(job: Job): readonly Assembly[] {
  const named = new Set(
    planOf(job).steps.flatMap((l) => [
      ...("minds" in l ? (l.minds ?? []).map((m) => m.assembly) : []),
      ...(l.kind === "check" && l.assembly ? [l.assembly] : []),
    ]),
  );
  return (job.ownAssemblies ?? []).filter((a) => named.has(a.id));
}

/**
 * The guide of a job's model as a file: this unit's own strip, those of the model's other units, and what was
 * written. Throws a Fault where there is no job, or nothing to learn from.
 */
export async function guideOfModel(number: string): Promise<GuideFile | null> {
  const job = thereIs(await loadJob(number), number);
  const { units, kept } = await unitsOfModel(job);
  const all = [...(job.steps.length ? [unitOf(job)] : []), ...units];
  const { kind, maker, model } = job;
  return all.length
    ? writeGuideFile(
        { kind, maker, model },
        all,
        kept.written,
        (await shopSettings()).shopName,
        ownWaysIn(job),
      )
    : null;
}
