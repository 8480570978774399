import type { PieceState } from "@/core/hardware/piece";
import { partName } from "@/core/job/part";
import { changeJob } from "./change";
import { findingOf, renewPart, writeFinding } from "./findings";
import { insertPart } from "./mending";
import { records } from "./tables";

/** What a part's state at the strip is at Judge. */
const MODE_OF: Readonly<Record<PieceState, string>> = { broken: "broken", lost: "lost", missing: "lost" };

/**
 * The strip is complete, or goes on. Whatever was said there to be broken, lost or missing, a part or a piece of
 * hardware, is the finding of Judge, and is not asked for again: what is judged already keeps what was said of it.
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
    const find = async (part: string, state: PieceState, name: string): Promise<void> => {
      await writeFinding(c, part, { mode: MODE_OF[state] });
      await renewPart(c, part, true);
      found.push(`${name}: ${state}`);
    };
    for (const p of parts) {
      if (!p.state || (await findingOf(c, p.id)).mode) continue;
      await find(p.id, p.state, partName(p));
    }
    const judged = await trx("parts").where({ job_id: job.id }).whereNotNull("piece").pluck("piece");
    for (const row of await trx("hardware").where({ job_id: job.id }).orderBy("position")) {
      const piece = records.hardware.read(row);
      if (!piece.state || judged.includes(piece.id)) continue;
      const { part, called } = await insertPart(c, { step: String(row.step), hardware: piece.id });
      await findingOf(c, part);
      if (piece.qty > 1) await writeFinding(c, part, { note: `${piece.qty} of them` });
      await find(part, piece.state, called);
    }
    return found.length ? `strip complete; found there: ${found.join(", ")}` : "strip complete";
  });
}
