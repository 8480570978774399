import type { Knex } from "knex";
import type { Job } from "@/core/job/job";
import type { WeighedPoint } from "@/core/job/service";
import { lubePlan } from "@/core/lube/plan";
import { loadHead, loadJob, thereIs } from "./job";
import { wholeShelf } from "./shelf";
import { records } from "./tables";

/** The facts of a point that lie folded in one column: what is folded is written whole. */
export const foldedFacts = (g: WeighedPoint): Partial<WeighedPoint> => {
  const {
    id: _i,
    part: _p,
    reachedBy: _r,
    when: _w,
    lubricant: _l,
    grams: _g,
    where: _at,
    weighedGrams: _wg,
    weighedAt: _wa,
    x: _x,
    ...facts
  } = g;
  return facts;
};

/** Whether anything of a job hangs on a lubricant that was taken. */
const hasLubricant = (job: Pick<Job, "chambers">): boolean =>
  job.chambers?.some((c) => c.lubricant !== undefined) ?? false;

/**
 * Brings what follows from a job's chambers up to date after any change of it: which lubricant goes to each
 * point and how much hangs on materials, speeds, sizes, school,
 * food and cold, wherever they were said. What is weighed in, whose amount was said, or that was named by
 * hand, stays. A lubricant that a hard rule forbids now is
 * nobody's decision any more.
 *
 * @returns what was taken back, in words; null: nothing
 */
export async function settleLube(trx: Knex, number: string): Promise<string | null> {
  // most changes are of jobs that have none, and read no more than their head
  if (!hasLubricant(thereIs(await loadHead(number, trx), number))) return null;
  const job = thereIs(await loadJob(number, trx), number);
  const all = await wholeShelf(trx);
  const plans = new Map(lubePlan(job, offered(all, job)).map((p) => [p.chamber.id, p]));
  const forbidden = (job.chambers ?? []).filter((c) => {
    const answer = plans.get(c.id)?.answer;
    return c.lubricant !== undefined && answer && answer.choice !== c.lubricant;
  });
  if (forbidden.length)
    await trx("jobs")
      .where({ id: job.id })
      .update(
        records.jobs.write({
          chambers: (job.chambers ?? []).map((c) =>
            forbidden.includes(c) ? { ...c, lubricant: undefined, override: undefined } : c,
          ),
        }),
      );
  for (const g of job.lubePoints) {
    const plan = g.chamber === undefined ? undefined : plans.get(g.chamber);
    // a figure that cannot be is asked about where it was said, and changes nothing here
    if (g.chamber === undefined || g.weighedGrams !== undefined || g.lubricantSaid || plan?.fault) continue;
    const taken = plan?.chamber.lubricant !== undefined && !forbidden.includes(plan.chamber);
    const at = taken ? plan.answer?.points.find((p) => p.id === g.id) : undefined;
    const lubricant = all.find((l) => l.id === at?.lubricant);
    const grams = g.gramsSaid ? g.grams : lubricant ? (at?.addGrams ?? undefined) : undefined;
    if (g.lubricantId === lubricant?.id && g.lubricant === lubricant?.name && g.grams === grams) continue;
    await trx("lube_points")
      .where({ job_id: job.id, ref: g.id })
      .update(
        records.lube_points.write({
          lubricant: lubricant?.name,
          grams,
          ...foldedFacts({ ...g, lubricantId: lubricant?.id }),
        }),
      );
  }
  return forbidden.length
    ? `a hard rule forbids now what was taken for: ${forbidden.map((c) => c.name).join(", ")}`
    : null;
}

/** The lubricants that a job may choose from: what is retired stays for the job that has it. */
export const offered = <L extends { readonly id: string; readonly retired?: boolean | undefined }>(
  all: readonly L[],
  job: Pick<Job, "chambers">,
): L[] => all.filter((l) => !l.retired || job.chambers?.some((c) => c.lubricant === l.id));
