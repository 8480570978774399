import type { Job } from "@/core/job/job";
import { type Measured, meanOf } from "@/core/quantity/measured";
import { spreadOf } from "@/core/quantity/reading-kinds";

/**
 * The mean of what was read of one dimension of a part, of a span or chord over so many teeth; undefined: it
 * was not taken.
 */
export function partMean(
  job: Pick<Job, "readings">,
  part: string,
  what: string,
  teeth?: number,
): Measured | undefined {
  const own = job.readings.filter(
    (r) => r.part === part && r.what === what && (teeth === undefined || r.teeth === teeth),
  );
  return own[0] && meanOf(own.map((r) => r.value), spreadOf(own[0])); // biome-ignore format: one call
}

/** Somebody can be hurt if the part lets go: there is a blade behind it. */
export const canHurt = (job: Pick<Job, "parts">, kind: string | undefined): boolean =>
  job.parts.some((p) => p.kind === "blade") && kind !== "cover";

/** How hard the unit is worked, as far as it was asked. */
export function loadOf(job: Pick<Job, "past">): "light" | "daily" | "hard" | "unknown" {
  const { load } = job.past;
  return load === "light" || load === "daily" || load === "hard" ? load : "unknown";
}

/** What somebody wrote about a part: its name, its finding, the note of the step it came off in. */
export function toldOf(job: Pick<Job, "parts" | "findings" | "steps">, part: string): string {
  const step = job.steps.find((s) => s.parts?.includes(part));
  return [
    job.parts.find((p) => p.id === part)?.name,
    job.findings.find((f) => f.part === part)?.extent,
    step?.note,
  ]
    .filter(Boolean)
    .join(" ");
}
