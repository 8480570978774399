import { finalChecks } from "../hand-back/final-checks";
import type { Job } from "../job/job";
import { finalKey, safetyKey, undoKey } from "../job/keys";
import { onceFor } from "../job/once-for";
import { partName } from "../job/part";
import type { Stage } from "../job/stages";
import { notHereYet } from "../match/arrival/parcel";
import { hardwareLedger } from "../order/hardware-ledger";
import { lineKey, type RebuildPlan, rebuildPlan } from "../order/rebuild-plan";
import { safetyGate } from "../safety/gate";
import { type Gate, type JobFacts, openGates } from "./open-gates";

const answered = (job: Pick<Job, "answers">, question: string): boolean => job.answers.some((a) => a.question === question);

/** Questions of the safety gate that have no answer yet. */
export const safetyOpen = (job: Job): string[] =>
  safetyGate(job)
    .map((q) => q.gate)
    .filter((g) => !answered(job, safetyKey(g)));

/** The job's rebuild plan. */
export const planOf: (job: Job) => RebuildPlan = onceFor((job: Job) => rebuildPlan(job));

/** The facts that the gates of each stage are decided from. What only the rebuild asks for needs the plan, and is worked out when it is asked for: a strip under way pays nothing for it. */
export const factsOf: (job: Job) => JobFacts = onceFor((job: Job) => {
  const done = new Set(job.linesDone);
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
        return { id: p.id, name: partName(p), isGear: p.kind === "gear", named: f?.identity !== undefined || entered, chosen: f?.chosen !== undefined };
      }),
    partsAwaited: notHereYet(job.toFit, job.arrivals).map((t) => t.number),
    partsToCompare: job.arrivals.filter((a) => !a.decision).map((a) => a.number),
    greaseChosen: job.lubricant !== undefined && job.lubePoints.length > 0,
    pointsUnweighed: job.lubePoints.filter((g) => g.weighedGrams === undefined).map((g) => g.where ?? g.id),
    washed: job.washed,
    get linesOpen(): number {
      return planOf(job).steps.filter((l) => !done.has(lineKey(l))).length;
    },
    get piecesOpen(): number {
      const ledger = hardwareLedger(job, (s) => done.has(undoKey(s.id)));
      return ledger.out - ledger.back;
    },
    finalOpen: finalChecks(job)
      .map((c) => c.check)
      .filter((c) => !answered(job, finalKey(c))),
  };
});

export const gatesOf = (job: Job, stage: Stage): Gate[] => openGates(stage, factsOf(job));
