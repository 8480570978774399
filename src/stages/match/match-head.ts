import type { Job } from "@/core/job/job";

/** What the places of Match need to know: whose they are, and how many parts wait to be compared. */
export interface MatchHead {
  readonly number: string;
  readonly toCompare: number;
}

export const matchHead = (job: Pick<Job, "number" | "arrivals">): MatchHead => ({
  number: job.number,
  toCompare: job.arrivals.filter((a) => !a.decision).length,
});
