import { Fault } from "@/core/fault";
import type { GoingHome } from "@/core/job/going-home";
import { finalKey } from "@/core/job/keys";
import type { OwnTest } from "@/core/job/own-tests";
import { changeJob } from "./change";
import { records } from "./tables";

/**
 * What a unit has to do before it goes home. They are answered by their place in the list: where it changes,
 * they are asked anew.
 */
export async function setOwnTests(
  number: string,
  version: number,
  ownTests: readonly OwnTest[],
  says: string,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("jobs").where({ id: job.id }).update(records.jobs.write({ ownTests }));
    const before = job.ownTests ?? [];
    const changed = [...before, ...ownTests]
      .map((_, i) => i)
      .filter((i) => JSON.stringify(before[i]) !== JSON.stringify(ownTests[i]));
    await trx("answers")
      .where({ job_id: job.id })
      .whereIn(
        "question",
        changed.map((i) => finalKey(`own-${i}`)),
      )
      .delete();
    return says;
  });
}

/** What is written down as it goes home, beside what stands there already. */
export async function setGoingHome(
  number: string,
  version: number,
  change: Partial<GoingHome>,
  says: string,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("jobs")
      .where({ id: job.id })
      .update(records.jobs.write({ home: { ...job.home, ...change } }));
    return says;
  });
}

/**
 * A unit that went home is on the bench again: its job is opened, with the reason, and what it was signed for
 * is no longer so. Its last checks are asked anew, but for what was counted.
 */
export async function openJobAgain(number: string, version: number, why: string): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    if (job.handedBackAt === undefined) throw new Fault("why", "this unit has not gone home");
    const openedAgain = [...(job.home?.openedAgain ?? []), { at, wentHome: job.handedBackAt, why }];
    await trx("jobs")
      .where({ id: job.id })
      .update(
        records.jobs.write({
          handedBackAt: undefined,
          home: { ...job.home, signature: undefined, notSigned: undefined, openedAgain },
        }),
      );
    await trx("answers")
      .where({ job_id: job.id })
      .whereRaw("substr(question, 1, ?) = ?", [finalKey("").length, finalKey("")])
      .whereNot({ question: finalKey("loose-items") })
      .delete();
    return `opened again: ${why}`;
  });
}
