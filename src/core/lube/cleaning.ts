import { oldIsKnown } from "../grease/lube-ask";
import { hardwareInWords, wasLocked } from "../hardware/piece";
import type { Chamber } from "../job/chamber";
import type { Job } from "../job/job";
import { type Part, partName } from "../job/part";
import type { PictureSpot } from "../job/picture-spot";
import type { Service } from "../job/service";
import { stepThing } from "../job/step-named";
import { crumbCheck, greaseStatesIn, hasCrumbs } from "../judge/failure-modes";
import { offNow } from "../order/off-again";
import type { RebuildPlan } from "../order/rebuild-plan";
import { isSmooth, wheelsOf } from "../train/train";
import { cleaningFor, cleaningLine, staysDry } from "./cleaning-ways";
import { proposedChambers } from "./propose";
import { type Moment, momentsFor, needsOfJob } from "./reach";

/**
 * How far the cleaning must go, from what was found in the old lubricant. A good one stays only where it is
 * known which it is.
 */
export function howFar(
  states: readonly string[],
  chambers: readonly Pick<Chamber, "old" | "none">[] = [],
): { readonly all: boolean; readonly says: string } {
  const found = greaseStatesIn(states);
  if (hasCrumbs(states))
    return {
      all: true,
      says: `Crumbs were found: every chamber, and every part that ran in one, is washed, with ${crumbCheck(states)}.`,
    };
  if (found.some((g) => g.state !== "good"))
    return { all: true, says: "The old lubricant is spent: all of it comes out." };
  if (!found.length)
    return {
      all: false,
      says: "Nothing was said of the old lubricant at Judge: what is opened is wiped, and what is unknown comes out.",
    };
  const unknown = chambers.some((c) => c.none === undefined && !isOldKnown(c));
  return unknown
    ? {
        all: true,
        says: "The old lubricant was found good. Which it is nobody has said: until then all of it comes out.",
      }
    : { all: false, says: "The old lubricant was found good: what is opened is wiped." };
}

/** Whether it is known what is left in a chamber, or that nothing is. */
export const isOldKnown = ({ old }: Pick<Chamber, "old">): boolean =>
  old !== undefined && (old.left === "none" || oldIsKnown(old));

/**
 * The step before whose going back a chamber must be clean: the first that goes back into it. A case is
 * cleaned while it is empty, not before its cover.
 * Undefined: nobody has said what opened it.
 */
export function cleanBefore(
  job: Job,
  plan: RebuildPlan,
  chamber: Pick<Chamber, "openedBy">,
): string | undefined {
  const opened = job.steps.findIndex((s) => s.id === chamber.openedBy);
  if (opened < 0) return undefined;
  const within = stepsBehind(job, opened);
  const first = plan.steps.find(
    (l) =>
      (l.kind === "fit" || l.kind === "unblock") && within.has(job.steps.findIndex((s) => s.id === l.undoes)),
  );
  return first && "undoes" in first ? first.undoes : chamber.openedBy;
}

/**
 * The moments at which a chamber can be cleaned: from the beginning until the first thing goes back into it.
 */
export function cleaningMoments(
  job: Job,
  plan: RebuildPlan,
  chamber: Pick<Chamber, "id" | "openedBy">,
): Moment[] {
  const last = cleanBefore(job, plan, chamber);
  const moments = momentsFor(job, plan, {
    id: "new",
    chamber: chamber.id,
    ...(chamber.openedBy && { reachedBy: chamber.openedBy }),
  });
  return moments.slice(0, moments.findIndex((m) => m.step === last) + 1);
}

/** What closes over a chamber already, or over part of what lies in it; undefined: it can be cleaned. */
export function closedForCleaning(
  job: Job,
  plan: RebuildPlan,
  chamber: Pick<Chamber, "id" | "openedBy">,
): string | undefined {
  const inside = cleanBefore(job, plan, chamber);
  if (!inside || cleaningMoments(job, plan, chamber).length) return undefined;
  return `${stepThing(job, inside)}, is in it again: take it off first`;
}

/**
 * What is to be cleaned and no line of the plan does yet: every chamber that somebody opened and that is
 * still open, and, where crumbs were found, every part that lies on the
 * bench, and of which the way is plain. Of a bearing it is not: whether it is sealed decides, and nobody has
 * said so here. A line of a chamber whose moment has passed is there
 * again, with its new one.
 */
export function cleaningsFor(job: Job, plan: RebuildPlan): Omit<Service, "id" | "do">[] {
  const crumbs = hasCrumbs(job.greaseStates);
  const chambers = (job.chambers ?? []).flatMap((c) => {
    const moments = cleaningMoments(job, plan, c);
    const planned = job.services.find((v) => v.chamber === c.id);
    // an opening that was blocked is opened again after the washing: the block is what the chamber is clean
    // before
    const reachedBy = moments.at(-1)?.step;
    return reachedBy && !moments.some((m) => m.step === planned?.reachedBy)
      ? [
          {
            reachedBy,
            chamber: c.id,
            note: `${c.name}: ${crumbs ? `washed out, no crumb must stay; ${crumbCheck(job.greaseStates)}` : "wiped out"}`,
          },
        ]
      : [];
  });
  if (!crumbs) return chambers;
  const off = new Set(offNow(job.steps, job.linesDone));
  const inside = partsInChambers(job);
  const parts = toClean(job).flatMap((p) => {
    if (!inside.has(p.id)) return [];
    const on = !job.steps.some((s) => off.has(s.id) && s.parts?.includes(p.id));
    if (on || isPlanned(job, p.id)) return [];
    const best =
      p.material && p.kind !== "bearing"
        ? cleaningFor(p).find((m) => m.ok && m.method !== "brush" && m.method !== "acetone")
        : undefined;
    return best ? [cleaningLine(p.id, partName(p), best.method)] : [];
  });
  return [...chambers, ...parts];
}

const isPlanned = (job: Pick<Job, "services">, part: string): boolean =>
  job.services.some((v) => v.do === "clean" && v.part === part);

/** Parts that came off and go back as they are. */
export function toClean(job: Pick<Job, "steps" | "parts">): Part[] {
  const off = new Set(job.steps.flatMap((s) => s.parts ?? []));
  return job.parts.filter((p) => off.has(p.id) && !p.renew);
}

/** Steps that a step laid the way open for, and itself. */
function stepsBehind(job: Job, opened: number): Set<number> {
  const needs = needsOfJob(job);
  const within = new Set([opened]);
  // a step stands behind those it needed, or is looked at again until nothing more is found
  for (let before = 0; before !== within.size; ) {
    before = within.size;
    needs.forEach((own, i) => {
      if (own.some((n) => within.has(n))) within.add(i);
    });
  }
  return within;
}

/**
 * Parts that lie in a chamber, or close one: old grease and crumbs are on them. As long as nobody has made a
 * chamber, those count that train and strip speak of.
 */
export function partsInChambers(job: Job): ReadonlySet<string> {
  const chambers = job.chambers?.length ? job.chambers : proposedChambers(job).map((p) => p.chamber);
  const opened = chambers.flatMap((c) => {
    const at = job.steps.findIndex((s) => s.id === c.openedBy);
    return at < 0 ? [] : [...stepsBehind(job, at)];
  });
  return new Set(opened.flatMap((i) => job.steps[i]?.parts ?? []));
}

/**
 * What crumbs ask to be cleaned and no line of the plan does yet: parts of which nobody has said what they
 * are, chambers of which nobody has said what opened them, or that are closed.
 */
export function stillToClean(job: Job, plan: RebuildPlan): string[] {
  if (!hasCrumbs(job.greaseStates)) return [];
  return [
    ...(job.chambers ?? [])
      .filter((c) => !c.outside && !job.services.some((v) => v.chamber === c.id))
      .map((c) => {
        const closed = closedForCleaning(job, plan, c);
        return closed ? `${c.name} (${closed})` : c.name;
      }),
    ...toClean(job).flatMap((p) =>
      isPlanned(job, p.id) || !partsInChambers(job).has(p.id) || staysDry(p) ? [] : [partName(p)],
    ),
  ];
}

/** What stays dry, by kinds of parts, as they were said. */
const DRY_PARTS: Readonly<Record<string, string>> = {
  cover: "its mating face",
  gasket: "the faces that it lies between",
  belt: "the belt, and the pulleys that it runs on",
  brush: "the brushes, and what they run on",
  motor: "the windings",
  switch: "the switch",
};

/** A place that a lubricant must stay away from: a part, or pieces of hardware of a step. */
export interface KeptDry {
  readonly part?: string;
  readonly step?: string;
  /** the chamber whose lubricant stays away from it */
  readonly chamber?: string;
  /** where it was pointed at */
  readonly spot?: PictureSpot;
  readonly says: string;
}

/**
 * Places of a job that a lubricant must stay away from: parts by what they were said to be, what the train
 * drives by friction, and threads that get locker.
 */
export function keepDry(job: Pick<Job, "parts" | "train" | "steps" | "chambers">): KeptDry[] {
  const byKind = job.parts.flatMap((p): KeptDry[] =>
    p.kind && DRY_PARTS[p.kind] ? [{ part: p.id, says: `${partName(p)}: ${DRY_PARTS[p.kind]}` }] : [],
  );
  const named = new Set(byKind.map((d) => d.part));
  // pulleys, rollers and the discs of clutches carry by friction
  const byTrain = (job.train?.meshes ?? []).filter((m) => isSmooth(m) || m.kind === "belt").flatMap(wheelsOf);
  const clutches = (job.train?.clutches ?? []).map(
    (c): KeptDry => ({ says: `slipping clutch on ${c.shaft}: its discs and linings` }),
  );
  const locked = job.steps.flatMap((s): KeptDry[] =>
    s.hardware?.some(wasLocked)
      ? [
          {
            step: s.id,
            says: `${s.hardware
              .filter(wasLocked)
              .map((h) => hardwareInWords({ ...h, at: undefined }))
              .join(", ")}: locker holds on a dry thread alone`,
          },
        ]
      : [],
  );
  const pointedAt = (job.chambers ?? []).flatMap((c) =>
    (c.dry ?? []).map(
      (d): KeptDry => ({
        chamber: c.id,
        ...(c.openedBy && { step: c.openedBy }),
        says: d.says,
        ...(d.spot && { spot: d.spot }),
      }),
    ),
  );
  return [
    ...byKind,
    ...byTrain.flatMap((w): KeptDry[] =>
      w.part && named.has(w.part)
        ? []
        : [{ ...(w.part && { part: w.part }), says: `${w.says}: where it runs by friction` }],
    ),
    ...clutches,
    ...locked,
    ...pointedAt,
  ];
}
