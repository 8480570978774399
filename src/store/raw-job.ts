import { database } from "./database";
import type { Row } from "./rows";
import { records } from "./tables";

/**
 * Every row of a job as it stands, read by no schema: what can be saved of one that is damaged. Null where
 * there is no such number.
 */
export async function rawJob(number: string): Promise<Readonly<Record<string, readonly Row[]>> | null> {
  const db = await database();
  const head: Row | undefined = await db("jobs").where({ number }).first();
  if (!head) return null;
  const rows: Record<string, readonly Row[]> = { jobs: [head] };
  for (const table of [...Object.keys(records), "lines_done", "history"].filter((t) => t !== "jobs"))
    rows[table] = await db(table).where({ job_id: head.id });
  return rows;
}
