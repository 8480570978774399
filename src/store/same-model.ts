import { modelNamed } from "@/core/job/model-named";
import { database } from "./database";

const MOST = 4;

/** The model's other units whose strip is recorded, the last one first. */
export async function stripsOfModel(job: {
  readonly id: number;
  readonly maker: string;
  readonly model: string;
}): Promise<string[]> {
  if (!modelNamed(job.model)) return [];
  const db = await database();
  const rows: { number: string }[] = await db("jobs")
    // a model is written with a capital by one, and without by another
    .whereRaw("maker = ? collate nocase and model = ? collate nocase", [job.maker.trim(), job.model.trim()])
    .whereNot("jobs.id", job.id)
    .whereExists(db("steps").select(db.raw("1")).whereRaw("steps.job_id = jobs.id"))
    .orderBy("jobs.id", "desc")
    .limit(MOST)
    .select("number");
  return rows.map((r) => r.number);
}
