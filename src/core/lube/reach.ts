import type { Job } from "../job/job";
import { setKey, undoKey } from "../job/keys";
import { onceFor } from "../job/once-for";
import type { LubePoint, Service } from "../job/service";
import { stepThing } from "../job/step-named";
import { checkStrip } from "../order/checked-strip";
import { lineKey, stepBackIn } from "../order/rebuild-line";
import type { RebuildPlan } from "../order/rebuild-plan";
import { type Needs, needsOf } from "../order/undo-order";
import { mayClose } from "./places";

type Placed = Pick<LubePoint & Service, "id"> &
  Pick<LubePoint, "part" | "reachedBy" | "onPart" | "chamber"> & {
    readonly when?: LubePoint["when"] | undefined;
    readonly outside?: boolean | undefined;
  };

/** Until when a place can still be reached. */
export interface Reach {
  /** the line of the rebuild plan that it is now; undefined: it is none */
  readonly line?: number;
  /**
   * the line before which it must be done at the latest, and what closes over it there; undefined: it stays
   * open to the end
   */
  readonly last?: {
    readonly line: number;
    readonly step: string;
    /** it closes over the place; else it only goes on later */
    readonly closes: boolean;
    readonly says: string;
  };
  /** it is closed already: what closed over it */
  readonly closed?: string;
}

/** What every step of a job needed, whatever is planned besides. */
export const needsOfJob: (job: Job) => Needs = onceFor((job: Job) =>
  needsOf(checkStrip({ ...job, lubePoints: [], services: [] })),
);

/**
 * The steps after whose going back a place is out of reach. What opened its chamber closes over it; where
 * nobody has said what did, the covers and housings that had to come off before its part; where there is none,
 * whatever had to come off before it: it goes on later, and how far it is in the way nobody knows. To which
 * moment a point was moved is no matter.
 */
export function closersOf(job: Job, place: Placed): string[] {
  if (place.outside) return [];
  const opener = job.chambers?.find((c) => c.id === place.chamber)?.openedBy;
  if (opener !== undefined && job.steps.some((s) => s.id === opener)) return [opener];
  const part = place.part ?? place.onPart;
  const at = job.steps.findIndex((s) => part !== undefined && s.parts?.includes(part));
  if (at < 0) return place.reachedBy ? [place.reachedBy] : [];
  const needs = needsOfJob(job);
  const before = new Set<number>(needs[at]);
  for (const i of before) for (const n of needs[i] ?? []) before.add(n);
  const ids = (of: Iterable<number>): string[] => [...of].flatMap((i) => job.steps[i]?.id ?? []);
  const closing = ids(before).filter((s) => isClosing(job, s));
  return closing.length ? closing : ids(needs[at] ?? []);
}

/** Whether a step took off what closes a room: a cover, a housing. */
function isClosing(job: Pick<Job, "steps" | "parts">, step: string): boolean {
  const parts = job.steps.find((s) => s.id === step)?.parts ?? [];
  return job.parts.some((p) => parts.includes(p.id) && mayClose(p));
}

/** What a step's going back does to a place, in words that are true of it. */
const CLOSES = "closes over it";
const shuts = (job: Job, step: string): string => (isClosing(job, step) ? CLOSES : "goes on after it");

interface OnLine {
  readonly n: number;
  readonly step: string;
  readonly parts: readonly string[];
  readonly key: string;
}

/**
 * For every step the line with which its parts are on: a cover closes when it is set on, not when its screws
 * are drawn.
 */
function onLines(plan: RebuildPlan): OnLine[] {
  const seen = new Set<string>();
  return plan.steps.flatMap((l): OnLine[] => {
    // what lies under it closes nothing
    const step = l.kind === "set" && l.what === "under" ? undefined : stepBackIn(l);
    if (step === undefined || seen.has(step) || !("parts" in l)) return [];
    seen.add(step);
    return [{ n: l.n, step, parts: l.parts, key: lineKey(l) }];
  });
}

/** When a point or a service comes in the plan, and the last line at which its place is still open. */
export function reachOf(job: Job, plan: RebuildPlan, key: string, place: Placed): Reach {
  const line = plan.steps.find((l) => lineKey(l) === key)?.n;
  const closers = new Set(closersOf(job, place));
  const first = onLines(plan).find((l) => closers.has(l.step));
  const done = new Set(job.linesDone);
  const isOn = (s: string): boolean => done.has(undoKey(s)) || done.has(setKey(s, "parts"));
  const shut = [...closers].find(isOn);
  // what goes on before its part is fitted is out of reach once that is on
  const own =
    place.when === "before-fit" && job.steps.find((s) => place.part && s.parts?.includes(place.part));
  if (own && isOn(own.id) && !done.has(key))
    return { closed: `${stepThing(job, own.id)}, is on again: take it off first` };
  return {
    ...(line !== undefined && { line }),
    ...(first && {
      last: {
        line: first.n,
        step: first.step,
        closes: shuts(job, first.step) === CLOSES,
        says: `${stepThing(job, first.step)} ${shuts(job, first.step)}`,
      },
    }),
    ...(shut !== undefined &&
      !done.has(key) && {
        closed: `${stepThing(job, shut)}, ${shuts(job, shut)}, and is on again: take it off first`,
      }),
  };
}

/** A step before whose going back something can be done, and the line that it is. */
export interface Moment {
  readonly step: string;
  readonly line: number;
  readonly says: string;
}

/**
 * Steps before whose going back a place could be lubricated as well, earliest first: from where it is bare to
 * where it is closed over.
 */
export function momentsFor(job: Job, plan: RebuildPlan, place: Placed): Moment[] {
  const part = place.part ?? place.onPart;
  const closers = new Set(closersOf(job, place));
  const fits = onLines(plan);
  // what it is on must be there; -1 where it never came off
  const from = part ? fits.findIndex((l) => l.parts.includes(part)) + 1 : 0;
  const end = fits.findIndex((l) => closers.has(l.step));
  const done = new Set(job.linesDone);
  return fits
    .slice(from, end < 0 ? fits.length : end + 1)
    .filter((l) => !done.has(l.key) && !done.has(undoKey(l.step)))
    .map((l) => ({ step: l.step, line: l.n, says: `before ${stepThing(job, l.step)} goes back` }));
}
