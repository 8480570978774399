import type { Job } from "../job/job";
import { readJobFile } from "../job/job-file";
import { jobFromFile } from "../job/job-file-of";

/** A job at the rebuild out of what its file would say: of a shop it knows nothing. */
export function jobOf({ kind, ...file }: { readonly kind: string } & Readonly<Record<string, unknown>>): Job {
  const read = readJobFile({ format: "demontage-job", version: 1, unit: { kind }, ...file });
  const { head, ...rest } = jobFromFile(read, "2026-11-30T08:00:00.000Z");
  return {
    id: 1,
    version: 1,
    stage: "rebuild",
    greaseStates: [],
    quotes: [],
    orders: [],
    arrivals: [],
    ...head,
    ...rest,
  } as unknown as Job;
}
