import type { Job } from "../job/job";
import { FEW_STEPS } from "../job/step";
import { askedBeforeLube, bearingClosure, placeKindOf } from "./places";

/**
 * Whether something was opened that holds a lubricant: a room or a point for one, a state of the old grease,
 * a train, or a part that takes one by its kind or, as its name hints, may. Where a switch or a cord was
 * swapped, or an assembly that comes ready greased, it is not, and nothing of it is asked.
 */
export const holdsLubricant = (
  job: Pick<Job, "parts" | "lubePoints" | "greaseStates" | "steps" | "findings"> &
    Partial<Pick<Job, "chambers" | "train" | "nothingFailed" | "supplies">>,
): boolean =>
  // a service is cleaning and oil
  job.nothingFailed === "service" ||
  // what air drives lives by its oil
  job.supplies?.includes("air") === true ||
  job.steps.length > FEW_STEPS ||
  (job.chambers?.length ?? 0) > 0 ||
  job.lubePoints.length > 0 ||
  job.greaseStates.length > 0 ||
  (job.train?.meshes.length ?? 0) > 0 ||
  job.parts.some((p) => {
    const place = placeKindOf(p);
    return place !== undefined && !(place === "rolling-bearing" && bearingClosure(job, p.id) === "sealed");
  }) ||
  askedBeforeLube(job).length > 0;
