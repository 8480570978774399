import { speedOf } from "../grease/lube-ask";
import { isOil, type Lubricant } from "../grease/lubricant";
import { isMeshing } from "../grease/point-kinds";
import type { Chamber } from "../job/chamber";
import type { Job } from "../job/job";
import { greaseKey } from "../job/keys";
import type { RebuildPlan } from "../order/rebuild-plan";
import { answerSays } from "./answer-says";
import { type ChamberPlan, lubePlan } from "./plan";
import { reachOf } from "./reach";
import { pointSays } from "./rooms";
import { LEAST_WEIGHED_G } from "./slips";

/** What is answered and what is asked of a chamber. */
export interface ChamberAnswer {
  readonly chamber: Chamber;
  /** null: it holds no point, or gets none */
  readonly plan: ChamberPlan | null;
  /** the answer in a sentence; null: a lubricant, or how much of it, is asked first */
  readonly says: string | null;
  /** its teeth run, and nobody has said how fast */
  readonly isSpeedAsked: boolean;
  /** nobody has said what its teeth are of: it decides between EP and what plastic stands */
  readonly areTeethAsked: boolean;
  /** some of the old lubricant stays, and nobody has said how much */
  readonly isStayAsked: boolean;
}

/** The answers for a unit's chambers, with what is still asked of each. */
export function answersOf(job: Job, shelf: readonly Lubricant[], rebuild: RebuildPlan): ChamberAnswer[] {
  const plans = new Map(lubePlan(job, shelf).map((p) => [p.chamber.id, p]));
  return (job.chambers ?? []).map((chamber): ChamberAnswer => {
    const plan = plans.get(chamber.id) ?? null;
    const answer = plan?.answer;
    return {
      chamber,
      plan,
      says: plan && says(job, plan, shelf, rebuild),
      isSpeedAsked: plan?.room.points.some((p) => isMeshing(p.kind) && !speedOf(p)) ?? false,
      areTeethAsked: plan?.room.points.some((p) => isMeshing(p.kind) && !p.materials?.length) ?? false,
      isStayAsked: answer != null && answer.grams !== null && answer.addGrams === null,
    };
  });
}

function says(
  job: Job,
  { chamber, answer }: ChamberPlan,
  shelf: readonly Lubricant[],
  rebuild: RebuildPlan,
): string | null {
  const lubricant = shelf.find((l) => l.id === chamber.lubricant);
  const points = job.lubePoints.filter((g) => g.chamber === chamber.id);
  if (!answer || !lubricant || !points.length) return null;
  const goesTo = (g: { readonly id: string }) => answer.points.find((p) => p.id === g.id)?.lubricant;
  const own = points.filter((g) => !g.lubricantSaid && goesTo(g) === lubricant.id);
  const others = points.flatMap((g) => {
    const other = g.lubricantSaid ? g.lubricant : goesTo(g);
    return other && other !== lubricant.id ? [{ lubricant: other, where: pointSays(job, g) }] : [];
  });
  const weighed = points.filter((g) => g.weighedGrams !== undefined);
  const isIn =
    weighed.length > 0 &&
    points.every((g) => g.weighedGrams !== undefined || (g.grams ?? 0) < LEAST_WEIGHED_G);
  const [last] = points
    .flatMap((g) => reachOf(job, rebuild, greaseKey(g.id), g).last ?? [])
    .sort((a, b) => a.line - b.line);
  return answerSays({
    name: chamber.name,
    lubricant: lubricant.name,
    isOil: isOil(lubricant),
    densityGPerMl: lubricant.densityGPerMl,
    levelPlug: chamber.levelPlug,
    grams: answer.grams,
    leastGrams: answer.leastGrams,
    mostGrams: answer.mostGrams,
    addGrams: answer.addGrams,
    ...(isIn && { weighedGrams: weighed.reduce((s, g) => s + (g.weighedGrams ?? 0), 0) }),
    points: own.map((g) => ({ kind: g.kind, where: pointSays(job, g), outside: g.outside })),
    besides: [...new Set(others.map((g) => g.lubricant))].map((id) => ({
      lubricant: shelf.find((l) => l.id === id)?.name ?? id ?? "",
      at: others.filter((g) => g.lubricant === id).map((g) => g.where),
    })),
    ...(last && { last: { line: last.line, closes: last.closes } }),
  });
}
