import type { Job } from "../job/job";
import { pointSays } from "./rooms";

/** A lubricant of a job, with all its points. */
export interface LubricantUsed {
  readonly lubricantId?: string;
  readonly name: string;
  /** weighed in where it was weighed, as worked out elsewhere */
  readonly grams: number;
  readonly lots: readonly string[];
  readonly places: readonly { readonly says: string; readonly grams: number | undefined }[];
}

/** What goes into the unit, lubricant by lubricant, in the order of the points. */
export function lubricantsUsed(job: Pick<Job, "lubePoints" | "parts">): LubricantUsed[] {
  const named = job.lubePoints.filter((g) => g.lubricant);
  return [...new Set(named.map((g) => g.lubricant as string))].map((name) => {
    const own = named.filter((g) => g.lubricant === name);
    const id = own.find((g) => g.lubricantId)?.lubricantId;
    return {
      name,
      ...(id && { lubricantId: id }),
      grams: own.reduce((s, g) => s + (g.weighedGrams ?? g.grams ?? 0), 0),
      lots: [...new Set(own.flatMap((g) => g.lot ?? []))],
      places: own.map((g) => ({ says: pointSays(job, g), grams: g.weighedGrams ?? g.grams })),
    };
  });
}
