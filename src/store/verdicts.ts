import { jobHead } from "@/core/job/job";
import { kindKey, type Verdict } from "@/core/judge/learned";
import { database } from "./database";
import { type Row, readable, rowsOf } from "./rows";

const verdictHead = jobHead.pick({
  number: true,
  kind: true,
  model: true,
  handedBackAt: true,
  warrantyOf: true,
  causes: true,
});
const heads = rowsOf("jobs", verdictHead);
const COLUMNS = verdictHead.keyof().options.map((f) => heads.column(f));

/**
 * The verdicts on units of a kind that went home, and whether they came back.
 *
 * @param but the job on the bench, which says nothing about itself
 */
export async function verdictsOf(kind: string, but: string): Promise<Verdict[]> {
  if (!kind.trim()) return [];
  const db = await database();
  const rows: Row[] = await db("jobs")
    .whereRaw(`lower(${heads.column("kind")}) = ?`, [kindKey(kind)])
    .select(...COLUMNS);
  const jobs = rows.flatMap(readable(heads));
  const cameBack = new Set(jobs.flatMap((j) => j.warrantyOf ?? []));
  return jobs
    .filter((j) => j.handedBackAt && j.number !== but)
    .map((j) => ({
      model: j.model,
      causes: j.causes.chosen ?? [],
      cameBack: cameBack.has(j.number),
      on: j.handedBackAt ?? "",
    }));
}
