import { finalChecks } from "@/core/hand-back/final-checks";
import { type Gate, type JobFacts, openGates } from "@/core/job/gates";
import type { Stage } from "@/core/job/stages";
import { notHereYet } from "@/core/match/arrival/parcel";
import { hardwareLedger } from "@/core/order/hardware-ledger";
import { lineKey, type RebuildPlan, rebuildPlan } from "@/core/order/rebuild-plan";
import { checkStrip } from "@/core/order/strip";
import { safetyGate } from "@/core/safety/gate";
import type { Job } from "@/store/job";

/** Questions of the safety gate that have no answer yet. */
export const safetyOpen = (job: Job): string[] =>
  safetyGate(job)
    .map((q) => q.gate)
    .filter((g) => !job.answers.some((a) => a.question === `safety:${g}`));

const plans = new WeakMap<Job, RebuildPlan>();

/** The job's rebuild plan, worked out once for a page. */
export function planOf(job: Job): RebuildPlan {
  const plan = plans.get(job) ?? rebuildPlan(job);
  plans.set(job, plan);
  return plan;
}

/** One page asks for a job's facts more than once; the plan behind them is worked out once. */
const known = new WeakMap<Job, JobFacts>();

/** The facts that the gates of each stage are decided from. */
export function factsOf(job: Job): JobFacts {
  const before = known.get(job);
  if (before) return before;
  const facts = workOut(job);
  known.set(job, facts);
  return facts;
}

function workOut(job: Job): JobFacts {
  const plan = planOf(job);
  const done = new Set(job.linesDone);
  const ledger = hardwareLedger(checkStrip(job), (i) => done.has(`undo:${job.steps[i]?.id}`));
  return {
    kind: job.kind,
    model: job.model,
    complaint: job.complaint,
    consent: job.consent,
    safetyOpen: safetyOpen(job),
    stepsLaidDown: job.steps.length,
    stripFinished: job.stripFinished,
    failedParts: job.parts
      .filter((p) => p.renew)
      .map((p) => {
        const f = job.findings.find((x) => x.part === p.id);
        // what no reading names is entered: a ring, a rack, a pulley, a sprocket
        const entered = f?.gear.moduleMm !== undefined || f?.gear.pitchMm !== undefined;
        return { id: p.id, name: p.name ?? p.id, isGear: p.kind === "gear", named: f?.identity !== undefined || entered, chosen: f?.chosen !== undefined };
      }),
    partsAwaited: notHereYet(job.toFit, job.arrivals).map((t) => t.number),
    partsToCompare: job.arrivals.filter((a) => !a.decision).map((a) => a.number),
    greaseChosen: job.lubricant !== undefined && job.lubePoints.length > 0,
    pointsUnweighed: job.lubePoints.filter((g) => g.weighedGrams === undefined).map((g) => g.where ?? g.id),
    washed: job.washed,
    linesOpen: plan.steps.filter((l) => !done.has(lineKey(l))).length,
    piecesOpen: ledger.out - ledger.back,
    finalOpen: finalChecks(job)
      .map((c) => c.check)
      .filter((c) => !job.answers.some((a) => a.question === `final:${c}`)),
  };
}

export const gatesOf = (job: Job, stage: Stage): Gate[] => openGates(stage, factsOf(job));
