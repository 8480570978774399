import type { Job } from "../job/job";
import { serviceKey } from "../job/keys";
import { partName } from "../job/part";
import type { Service } from "../job/service";
import { hasCrumbs } from "../judge/failure-modes";
import { isLineDone, lineKey } from "../order/rebuild-line";
import type { RebuildPlan } from "../order/rebuild-plan";
import { closedForCleaning, howFar, partsInChambers, toClean } from "./cleaning";
import { type CleaningName, cleaningFor, staysDry } from "./cleaning-ways";

/** A part or a chamber of this unit, and how it is cleaned. */
export interface CleaningRow {
  readonly id: string;
  readonly of: "part" | "chamber";
  readonly name: string;
  /** what it is cleaned of */
  readonly what: string;
  /** it is in the plan: in which line, and whether it is done */
  readonly planned?: {
    readonly service: string;
    readonly says: string;
    readonly line?: number;
    readonly done: boolean;
  };
  /** the way that follows from what was found and what it is made of, as long as none is planned */
  readonly proposed?: { readonly method: CleaningName; readonly says: string };
  /** what of it must stay dry */
  readonly dry?: string;
  /** why it cannot be cleaned now */
  readonly closed?: string;
}

type Planned = Pick<CleaningRow, "planned">;
function plannedIn(job: Job, plan: RebuildPlan, is: (v: Service) => boolean): Planned {
  const service = job.services.find((v) => v.do === "clean" && is(v));
  if (!service) return {};
  const key = serviceKey(service.id);
  const line = plan.steps.find((l) => lineKey(l) === key);
  return {
    planned: {
      service: service.id,
      says: service.note ?? "",
      ...(line && { line: line.n }),
      done: line ? isLineDone(line, new Set(job.linesDone)) : job.linesDone.includes(key),
    },
  };
}

/**
 * The cleaning of a unit, by its own chambers and the parts that lie on the bench: what each is cleaned of, in
 * which way, in which line, and what stays dry. What goes back new is not cleaned.
 */
export function cleaningList(job: Job, plan: RebuildPlan): CleaningRow[] {
  const { all } = howFar(job.greaseStates, job.chambers);
  const crumbs = hasCrumbs(job.greaseStates);
  const inside = partsInChambers(job);
  const chambers = (job.chambers ?? [])
    .filter((c) => !c.outside && c.none === undefined)
    .map((c): CleaningRow => {
      const closed = closedForCleaning(job, plan, c);
      return {
        id: c.id,
        of: "chamber",
        name: c.name,
        what: crumbs ? "old grease and crumbs" : "old grease",
        ...plannedIn(job, plan, (v) => v.chamber === c.id),
        ...(closed && { closed }),
      };
    });
  const parts = toClean(job).map((p): CleaningRow => {
    const dry = staysDry(p);
    const isInside = inside.has(p.id);
    const ways = cleaningFor(p, job.greaseStates).filter((m) => m.ok && m.method !== "acetone");
    const wash = isInside && all && p.kind !== "bearing" && !dry;
    const [best] = wash && p.material ? ways.filter((m) => m.method !== "brush") : ways;
    return {
      id: p.id,
      of: "part",
      name: partName(p),
      what: isInside ? (crumbs ? "old grease and crumbs" : "old grease") : "dust",
      ...plannedIn(job, plan, (v) => v.part === p.id),
      ...(best && { proposed: { method: best.method, says: best.says } }),
      ...(dry && { dry }),
    };
  });
  return [...chambers, ...parts];
}

/** What is in the plan to be cleaned and is not done yet, by its name. */
export const cleaningsLeft = (job: Job, plan: RebuildPlan): string[] =>
  cleaningList(job, plan).flatMap((r) => (r.planned && !r.planned.done ? [r.name] : []));
