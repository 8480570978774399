import { notAskedKey } from "../assemblies/match";
import { finalChecks } from "../hand-back/final-checks";
import { type Hardware, hardwareInWords, isLoose } from "../hardware/piece";
import { endingNamed } from "../job/ending";
import { companionSays } from "../job/goes-in";
import { companionsOpen, type GoingIn, goingInOf } from "../job/going-in";
import type { Job } from "../job/job";
import { finalKey, NOT_YET, safetyKey, struckOf, undoKey } from "../job/keys";
import { onceFor } from "../job/once-for";
import { partName } from "../job/part";
import type { WeighedPoint } from "../job/service";
import type { Stage } from "../job/stages";
import { isFailure } from "../judge/failure-modes";
import { isAmountOpen } from "../lube/amount-open";
import { isFoodAsked } from "../lube/food";
import { holdsLubricant } from "../lube/holds-lubricant";
import { LEAST_WEIGHED_G } from "../lube/slips";
import { notHereYet, type ToFit } from "../match/arrival/parcel";
import { hardwareLedger } from "../order/hardware-ledger";
import { lessMissing, missingOf } from "../order/missing";
import { isLineDone } from "../order/rebuild-line";
import { type RebuildPlan, rebuildPlan } from "../order/rebuild-plan";
import { safetyGate } from "../safety/gate";
import type { SafetyQuestion } from "../safety/question";
import { type Gate, type JobFacts, openGates } from "./open-gates";

/** From half a gram on an amount is weighed; less is a film or a drop. */
const isWeighed = (g: { readonly grams?: number | undefined }): boolean => (g.grams ?? 0) >= LEAST_WEIGHED_G;

const answered = (job: Pick<Job, "answers">, question: string): boolean =>
  job.answers.some((a) => a.question === question);

/** Questions of the safety gate that have no answer yet. */
export const safetyOpen = (job: Job): string[] =>
  safetyGate(job)
    .map((q) => q.gate)
    .filter((g) => !answered(job, safetyKey(g)));

/** Questions of the safety gate that could not be answered before the first screw. */
export const safetyLater = (job: Pick<Job, "answers" | "supplies" | "hazards">): SafetyQuestion[] =>
  safetyGate(job).filter((q) =>
    job.answers.some((a) => a.question === safetyKey(q.gate) && a.answer === NOT_YET),
  );

/** A unit that goes back as it was is put together without what a repair adds. */
const asItWas = (job: Job): Job => ({
  ...job,
  services: [],
  lubePoints: [],
  parts: job.parts.map((p) => ({ ...p, renew: false })),
});

/**
 * Whether what was ordered still goes in: it may have been got otherwise since, or the old one stays after
 * all.
 */
function goesIn(job: Job, going: readonly GoingIn[], { part, number }: ToFit): boolean {
  if (part)
    return (
      job.parts.find((p) => p.id === part)?.renew === true &&
      job.findings.find((f) => f.part === part)?.got === undefined
    );
  const companions = going.flatMap((g) => g.with.filter((w) => w.number === number));
  return companions.length === 0 || companions.some((w) => !w.got && !w.without);
}

/** What lay on the Mat and nobody counted, with the step that it came off in. */
export const uncountedOf = (job: Pick<Job, "steps">): { readonly step: string; readonly piece: Hardware }[] =>
  job.steps.flatMap((s) =>
    s.action === "note"
      ? []
      : (s.hardware ?? []).flatMap((piece) =>
          piece.uncounted && isLoose(piece) ? [{ step: s.id, piece }] : [],
        ),
  );

/** The job's rebuild plan. */
export const planOf: (job: Job) => RebuildPlan = onceFor((job: Job) =>
  rebuildPlan(job.ending ? asItWas(job) : { ...job, goingIn: goingInOf(job) }, {
    struck: [
      ...job.answers.flatMap((a) => struckOf(a.question) ?? []),
      ...(job.notAsked ?? []).map((look) => notAskedKey(look)),
    ],
    ...(job.ownAssemblies && { own: job.ownAssemblies }),
  }),
);

/**
 * The facts that the gates of each stage are decided from. What only the rebuild asks for needs the plan, and
 * is worked out when it is asked for: a strip under way pays nothing for it.
 */
export const factsOf: (job: Job) => JobFacts = onceFor((job: Job) => {
  const done = new Set(job.linesDone);
  const going = goingInOf(job);
  const missing = missingOf(job);
  const ordered = new Set(job.toFit.map((t) => t.number));
  const chamberOf = (g: WeighedPoint) => job.chambers?.find((c) => c.id === g.chamber);
  // what is put in by the drop is not weighed
  const unweighed = job.lubePoints.filter(
    (g) => g.weighedGrams === undefined && (isWeighed(g) || isAmountOpen(chamberOf(g), g)),
  );
  const isBath = (g: WeighedPoint): boolean => chamberOf(g)?.filling === "oil";
  return {
    kind: job.kind,
    model: job.model,
    complaint: job.complaint,
    consent: job.consent,
    supplySaid: job.supplies.length > 0,
    classOpen: job.supplies.includes("mains") && job.protectionClass === undefined,
    hazardsSaid: job.hazards !== undefined,
    safetyOpen: safetyOpen(job),
    safetyLater: safetyLater(job).map((q) => q.asks),
    stepsLaidDown: job.steps.length,
    stripFinished: job.stripFinished,
    ending: job.ending && endingNamed(job.ending.how),
    nothingFailed: job.nothingFailed !== undefined,
    keptParts: job.findings.flatMap((f) => {
      const part = job.parts.find((p) => p.id === f.part);
      if (!part || part.renew || !isFailure(f.mode)) return [];
      return [
        {
          id: f.part,
          name: partName(part),
          settled:
            (f.fate === "keep" && !!f.fateWhy?.trim()) ||
            (f.fate === "repair" && job.services.some((v) => v.part === f.part)),
        },
      ];
    }),
    failedParts: job.parts
      .filter((p) => p.renew)
      .map((p) => {
        const f = job.findings.find((x) => x.part === p.id);
        // what no reading names is entered: a ring, a rack, a pulley, a sprocket
        const entered = f?.gear.moduleMm !== undefined || f?.gear.pitchMm !== undefined;
        const hasNumber = !!f?.readNumber?.trim() || f?.chosen !== undefined || f?.got !== undefined;
        return {
          id: p.id,
          name: partName(p),
          isGear: p.kind === "gear",
          named: f?.identity !== undefined || entered || hasNumber,
          chosen: f?.chosen !== undefined || f?.got !== undefined,
          // one that was chosen before it was kept what goes in stands as it was
          toOrder:
            f?.chosen !== undefined &&
            f.goesIn !== undefined &&
            !job.toFit.some((t) => t.part === p.id && t.number === f.chosen),
          companionsOpen: going
            .filter((g) => g.part === p.id)
            .flatMap((g) => companionsOpen(g, ordered).map(companionSays)),
        };
      }),
    partsAwaited: notHereYet(
      job.toFit.filter((t) => goesIn(job, going, t)),
      job.arrivals,
    ).map((t) => t.number),
    partsToCompare: job.arrivals.filter((a) => !a.decision).map((a) => a.number),
    // where nothing was opened that holds a lubricant, neither grease nor cleaning is asked for
    lubeSaid:
      (job.chambers ?? []).length > 0 ||
      job.lubePoints.length > 0 ||
      job.noGrease !== undefined ||
      !holdsLubricant(job),
    chambersOpen: (job.chambers ?? []).flatMap((c) => {
      if (c.none !== undefined) return [];
      const points = job.lubePoints.filter((g) => g.chamber === c.id);
      const lacks = points.some((g) => g.lubricant === undefined);
      return [
        {
          name: c.name,
          points: points.length,
          taken: c.lubricant !== undefined || (points.length > 0 && !lacks),
          lacks: c.lubricant !== undefined && lacks,
        },
      ];
    }),
    pointsUnweighed: unweighed.filter((g) => !isBath(g)).map((g) => g.where ?? "a point"),
    pointsUnfilled: unweighed.filter(isBath).map((g) => g.where ?? "a point"),
    foodAsked: isFoodAsked(job) && (job.chambers ?? []).some((c) => c.none === undefined),
    washed: job.washed || !holdsLubricant(job),
    get linesOpen(): number {
      return planOf(job).steps.filter((l) => !isLineDone(l, done)).length;
    },
    missing: missing.map((m) => hardwareInWords({ ...m.piece, qty: m.qty, at: undefined })),
    get piecesOpen(): number {
      return hardwareLedger(
        job,
        lessMissing((s) => done.has(undoKey(s.id)), missing),
      ).open.reduce((sum, p) => sum + p.qty, 0);
    },
    uncounted: uncountedOf(job).length,
    finalOpen: finalChecks(job)
      .map((c) => c.check)
      .filter((c) => !answered(job, finalKey(c))),
    unsigned:
      (!job.ending || endingNamed(job.ending.how).leaves) &&
      !job.home?.signature &&
      job.home?.notSigned === undefined,
  };
});

export const gatesOf = (job: Job, stage: Stage): Gate[] => openGates(stage, factsOf(job));
