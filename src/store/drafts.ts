import type { Knex } from "knex";
import { database } from "./database";

/**
 * What is typed but not yet laid down: a half-written quick line, a reading without Enter. Kept per job and
 * field, without a version, as it
 * belongs to the screen and not to the job. An empty value forgets it.
 */
export async function saveDraft(
  number: string,
  field: string,
  value: unknown,
  now: Date = new Date(),
): Promise<void> {
  const db = await database();
  const job = await db("jobs").where({ number }).first("id");
  if (!job) return;
  if (value === null || value === "") await db("drafts").where({ job_id: job.id, field }).delete();
  else
    await db("drafts")
      .insert({ job_id: job.id, field, value: JSON.stringify(value), at: now.toISOString() })
      .onConflict(["job_id", "field"])
      .merge();
}

export async function loadDrafts(jobId: number, at?: Knex): Promise<Record<string, unknown>> {
  const db = at ?? (await database());
  const rows = await db("drafts").where({ job_id: jobId });
  return Object.fromEntries(rows.map((r) => [r.field, JSON.parse(r.value)]));
}
