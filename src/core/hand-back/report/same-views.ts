import type { Job } from "../../job/job";
import { partNamed } from "../../job/part";
import { isFailure } from "../../judge/failure-modes";
import { capital } from "../../sentence";

/** A picture as it came in, or as a part came off, and, where it was taken again, as it goes out. */
export interface SameView {
  readonly says: string;
  /** SHA-256 */
  readonly before: string;
  readonly after?: string;
  /** none: the whole unit */
  readonly part?: string;
}

/**
 * What a customer sees before and after: the unit, and every part that failed and whose picture was taken.
 */
export function sameViews(job: Pick<Job, "pictures" | "findings" | "steps" | "parts">): SameView[] {
  const view = (says: string, before: string | undefined, part?: string): SameView[] => {
    if (!before) return [];
    const after = job.pictures.findLast((p) => p.role === "after" && p.part === part)?.sha256;
    return [{ says, before, ...(after ? { after } : {}), ...(part ? { part } : {}) }];
  };
  const cameOff = (part: string): string | undefined =>
    job.pictures.find(
      (p) => p.step && p.role !== "after" && job.steps.find((s) => s.id === p.step)?.parts?.includes(part),
    )?.sha256;
  return [
    ...view("The unit", job.pictures.find((p) => p.role === "intake")?.sha256),
    ...job.findings
      .filter((f) => isFailure(f.mode))
      .flatMap((f) => view(capital(partNamed(job, f.part)), cameOff(f.part), f.part)),
  ];
}
