import type { Job } from "@/core/job/job";
import { partNamed } from "@/core/job/part";
import { foundSays, isFailure } from "@/core/judge/failure-modes";
import { type Ghost, ghostOf } from "@/core/memory/ghost";
import type { Failed } from "@/core/memory/guide";
import { isSameStrip } from "@/core/memory/guide-file";
import { type KeptGuide, keptGuide } from "@/store/guides";
import { loadJob } from "@/store/job";
import { stripsOfModel } from "@/store/same-model";
import { titleOf } from "../../job-view/pocket-look";

/** A unit of the model: how it came apart, and what failed in it. */
export interface ModelUnit {
  readonly strip: Ghost;
  readonly failed: readonly Failed[];
}

const failedIn = (job: Job): Failed[] =>
  job.findings.flatMap((f) =>
    isFailure(f.mode) && job.parts.some((p) => p.id === f.part)
      ? [{ part: partNamed(job, f.part), how: foundSays(f) }]
      : [],
  );
export const unitOf = (job: Job): ModelUnit => ({
  strip: ghostOf(job, (s) => titleOf(s, (id) => partNamed(job, id))),
  failed: failedIn(job),
});

/**
 * The other units of a job's model, the last first: those of this shop, then those of guides that were taken
 * in; and what was written of it.
 */
export async function unitsOfModel(
  job: Job,
): Promise<{ readonly units: readonly ModelUnit[]; readonly kept: KeptGuide }> {
  const kept = await keptGuide(job);
  const own = (await Promise.all((await stripsOfModel(job)).map((n) => loadJob(n)))).filter(
    (j) => j !== null,
  );
  const units = own.map(unitOf);
  const known = [...units, ...(job.steps.length ? [unitOf(job)] : [])];
  return {
    units: [...units, ...kept.units.filter((u) => !known.some((k) => isSameStrip(k.strip, u.strip)))],
    kept,
  };
}
