import { Fault } from "../fault";
import type { Lubricant } from "../grease/lubricant";
import { type RoomAnswer, specifyLube } from "../grease/specify";
import type { Job } from "../job/job";
import { goesByFood } from "./food";
import { type RoomOfJob, roomsOf } from "./rooms";

/** What a chamber gets. */
export interface ChamberPlan extends RoomOfJob {
  /** null: what was said of it cannot be */
  readonly answer: RoomAnswer | null;
  readonly missing: readonly string[];
  readonly fault?: string;
}

/**
 * Which lubricant goes into each chamber of a job that holds a point, and how much at each. One chamber that
 * cannot be does not hide the others.
 */
export function lubePlan(
  job: Pick<
    Job,
    "chambers" | "lubePoints" | "train" | "parts" | "findings" | "readings" | "foodContact" | "fillSchool"
  > &
    Partial<Pick<Job, "kind" | "answers">>,
  shelf: readonly Lubricant[],
): ChamberPlan[] {
  return roomsOf(job).map((r): ChamberPlan => {
    try {
      const { chambers, missing } = specifyLube({
        foodContact: goesByFood(job),
        school: job.fillSchool,
        chambers: [r.room],
        shelf,
      });
      return { ...r, answer: chambers[0] ?? null, missing };
    } catch (e) {
      if (!(e instanceof Fault)) throw e;
      return { ...r, answer: null, missing: [], fault: e.says };
    }
  });
}
