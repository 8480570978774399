import { finalKey } from "@/core/job/keys";
import type { OwnTest } from "@/core/job/own-tests";
import { changeJob } from "./change";
import { records } from "./tables";

/** What a unit has to do before it goes home. They are answered by their place in the list: where it changes, they are asked anew. */
export async function setOwnTests(number: string, version: number, ownTests: readonly OwnTest[], says: string): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("jobs").where({ id: job.id }).update(records.jobs.write({ ownTests }));
    const before = job.ownTests ?? [];
    const changed = [...before, ...ownTests].map((_, i) => i).filter((i) => JSON.stringify(before[i]) !== JSON.stringify(ownTests[i]));
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
