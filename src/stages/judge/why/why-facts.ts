import { whatThereIs } from "@/core/hand-back/what-there-is";
import { isPlastic } from "@/core/hardware/material";
import type { Job } from "@/core/job/job";
import { mateOf } from "@/core/job/mate-of";
import { partName } from "@/core/job/part";
import type { Evidence } from "@/core/judge/evidence";
import { pairLimitMm, worstOf } from "@/core/judge/failure-modes";
import { type FateFacts, type FateOption, fateOptions } from "@/core/judge/fate";
import { rankCandidates } from "@/core/match/candidates/rank";
import type { CataloguePart } from "@/core/match/catalogue/catalogue-part";
import { canHurt, loadOf } from "../../job-view/part-facts";
import { wantedFor } from "../../job-view/wanted-part";
import { gearView } from "../gear/gear-view";

/** Whether a motor drives it; undefined: nobody has said what does. */
function hasMotor(job: Pick<Job, "supplies" | "parts">): boolean | undefined {
  if (job.parts.some((p) => p.kind === "motor")) return true;
  return job.supplies.length
    ? job.supplies.some((s) => s !== "hand" && s !== "spring" && s !== "water")
    : undefined;
}

/** What the causes are reasoned from, out of a whole job. */
export function evidenceOf(job: Job): Evidence {
  return {
    symptoms: job.symptoms,
    unitKind: job.kind,
    greaseStates: job.greaseStates,
    motor: hasMotor(job),
    moves: whatThereIs(job).moves,
    past: job.past,
    ...(job.causes.looked ? { looked: job.causes.looked } : {}),
    parts: job.parts.map((p) => {
      const f = job.findings.find((x) => x.part === p.id);
      const view = p.kind === "gear" && f ? gearView(job, p.id, []) : null;
      const loss = view?.mate.loss;
      return {
        name: partName(p),
        kind: p.kind,
        material: p.material,
        mode: f?.mode,
        also: f?.also,
        marks: f?.teeth,
        teeth: view?.gear?.teeth ?? f?.gear.teeth,
        turning: f?.gear.turning,
        drives: f?.gear.drives,
        // the mate of a failed part is what may have eaten it; the failed part itself is no cause of its mate
        ...(loss && p.renew && view?.gear && view.mate.rule.mate !== "not to be told"
          ? { mateLossMm: Math.max(0, loss.value), mateLimitMm: pairLimitMm(view.gear.moduleMm) }
          : {}),
      };
    }),
  };
}

/** What speaks for and against each thing to do about a part, with this job's facts. */
export function fatesOf(job: Job, partId: string, catalogue: readonly CataloguePart[]): FateOption[] {
  const part = job.parts.find((p) => p.id === partId);
  const f = job.findings.find((x) => x.part === partId);
  if (!part || !f?.mode) return [];
  const wanted = wantedFor(job, partId);
  const offers =
    "missing" in wanted ? null : rankCandidates(wanted, catalogue).filter((c) => c.verdict !== "no");
  const view = part.kind === "gear" ? gearView(job, partId, []) : null;
  const facts: FateFacts = {
    kind: part.kind,
    mode: worstOf(f) ?? f.mode,
    plastic: isPlastic(part.material),
    load: loadOf(job),
    safety: canHurt(job, part.kind),
    hot: job.symptoms.includes("hot") || job.greaseStates.includes("dark"),
    // a search by name alone that finds nothing does not mean that there is none
    partToBeHad: offers?.length
      ? true
      : offers === null || (!("missing" in wanted) && !wanted.gear && !wanted.ring)
        ? undefined
        : false,
    ...(offers?.[0] ? { cost: offers[0].part.price } : {}),
    ...(job.priceLimit === undefined ? {} : { limit: job.priceLimit }),
    mateNamed: mateOf(job, partId) !== undefined,
    mateWorn: view?.mate.rule.mate === "worn" ? true : view?.mate.rule.mate === "sound" ? false : undefined,
  };
  return fateOptions(facts);
}
