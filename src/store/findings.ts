import { Fault } from "@/core/fault";
import type { Finding } from "@/core/job/finding";
import { partName } from "@/core/job/part";
import type { Change } from "./change";
import type { Row } from "./rows";
import { records } from "./tables";

/** A part's finding; a part that nobody spoke of yet gets an empty one. */
export async function findingOf({ trx, job }: Change, part: string): Promise<Finding> {
  await trx("findings").insert({ job_id: job.id, part }).onConflict(["job_id", "part"]).ignore();
  const row: Row | undefined = await trx("findings").where({ job_id: job.id, part }).first();
  return records.findings.read(row ?? { part });
}
export async function writeFinding(
  { trx, job }: Change,
  part: string,
  fields: Parameters<typeof records.findings.write>[0],
): Promise<void> {
  if (Object.keys(fields).length)
    await trx("findings").where({ job_id: job.id, part }).update(records.findings.write(fields));
}
export async function renewPart({ trx, job }: Change, part: string, renew: boolean): Promise<void> {
  await trx("parts").where({ job_id: job.id, ref: part }).update(records.parts.write({ renew }));
}
/**
 * What the history calls a part. One that was taken back on another screen is refused, and nothing of the
 * change stays.
 */
export async function nameOf({ trx, job }: Change, part: string): Promise<string> {
  const row: Row | undefined = await trx("parts").where({ job_id: job.id, ref: part }).first();
  if (!row) throw new Fault("part", "is not among the job’s parts any more");
  return partName(records.parts.read(row));
}
