import type { PieceState } from "@/core/hardware/piece";
import { partName } from "@/core/job/part";
import { changeJob } from "./change";
import { findingOf, renewPart, writeFinding } from "./findings";
import { records } from "./tables";

/** What a part's state at the strip is at Judge. */
const MODE_OF: Readonly<Record<PieceState, string>> = { broken: "broken", lost: "lost", missing: "lost" };

/**
 * The strip is complete, or goes on. What was said there to be broken, lost or missing is the finding of Judge, and is
 * not asked for again: a part that is judged already keeps what was said of it.
 */
export async function completeStrip(number: string, version: number, finished: boolean): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { trx, job } = c;
    await trx("jobs")
      .where({ id: job.id })
      .update(records.jobs.write({ stripFinished: finished }));
    if (!finished) return "stripping goes on";
    const parts = (await trx("parts").where({ job_id: job.id }).whereNotNull("state")).map(
      records.parts.read,
    );
    const found: string[] = [];
    for (const p of parts) {
      if (!p.state || (await findingOf(c, p.id)).mode) continue;
      await writeFinding(c, p.id, { mode: MODE_OF[p.state] });
      await renewPart(c, p.id, true);
      found.push(`${partName(p)}: ${p.state}`);
    }
    return found.length ? `strip complete; found there: ${found.join(", ")}` : "strip complete";
  });
}
