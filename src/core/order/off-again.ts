import { setKey, undoKey } from "../job/keys";
import type { Stage } from "../job/stages";
import type { StripStep } from "../job/step";
import type { Strip } from "../job/strip";
import { lineKey } from "./rebuild-line";
import type { RebuildPlan } from "./rebuild-plan";

/**
 * Steps whose things are off at this moment: recorded, and not gone back. A cover that is set on and not
 * screwed down is on.
 */
export function offNow(
  steps: readonly Pick<StripStep, "id" | "action">[],
  linesDone: readonly string[],
): string[] {
  const done = new Set(linesDone);
  return steps
    .filter((s) => s.action !== "note" && !done.has(undoKey(s.id)) && !done.has(setKey(s.id, "parts")))
    .map((s) => s.id);
}

/** Steps whose things are back in the machine at this moment, the last laid down first. */
export function backNow(
  steps: readonly Pick<StripStep, "id" | "action">[],
  linesDone: readonly string[],
): string[] {
  const off = new Set(offNow(steps, linesDone));
  return steps.flatMap((s) => (s.action === "note" || off.has(s.id) ? [] : [s.id])).toReversed();
}

/**
 * What a step that is laid down now needed, where nobody says: the last that is off. What is back in the machine was
 * not in its way, or it would be off.
 */
export const needsNow = (
  steps: readonly Pick<StripStep, "id" | "action">[],
  linesDone: readonly string[],
): string[] => offNow(steps, linesDone).slice(-1);

/**
 * Whether a unit is said to be together. Before, its lines may be gone through whatever stage it stands at:
 * what is on can come off again.
 */
export const isTogether = (stage: Stage): boolean => stage === "hand-back";

/**
 * The lines of a plan that are open again when these steps come off again: their own, what was laid ready and
 * lubricated at their parts or in what they close over, and what was
 * checked after them. A service stays done: what was washed is washed.
 *
 * @returns keys of lines, in the order of the plan
 */
export function linesOpenedBy(
  plan: Pick<RebuildPlan, "steps">,
  strip: Pick<Strip, "steps" | "lubePoints">,
  steps: readonly string[],
): string[] {
  const off = new Set(steps);
  const parts = new Set(strip.steps.flatMap((s) => (off.has(s.id) ? (s.parts ?? []) : [])));
  return plan.steps
    .filter((l) => {
      switch (l.kind) {
        case "fit":
        case "unblock":
          return off.has(l.undoes);
        case "set":
          return off.has(l.of);
        case "with":
          return parts.has(l.part);
        case "mind":
          return off.has(l.of);
        case "tighten":
          return off.has(l.of) || off.has(l.until);
        case "check":
          return off.has(l.after);
        case "grease": {
          const g = strip.lubePoints.find((p) => p.id === l.lubePoint);
          return parts.has(g?.part ?? "") || off.has(g?.reachedBy ?? "");
        }
        default:
          return false;
      }
    })
    .map(lineKey);
}
