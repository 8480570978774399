import type { Chamber } from "@/core/job/chamber";
import type { Job } from "@/core/job/job";
import { modelNamed } from "@/core/job/model-named";
import type { WeighedPoint } from "@/core/job/service";
import { LEAST_WEIGHED_G } from "@/core/lube/slips";
import { database } from "@/store/database";
import type { Row } from "@/store/rows";
import { records } from "@/store/tables";

/**
 * What a place of this kind took in the last job of the model, g; undefined: there was none, or nobody
 * weighed it. Two chambers of one kind are told apart by their names.
 */
export async function lastTime(
  job: Pick<Job, "id" | "maker" | "model" | "chambers">,
  g: Pick<WeighedPoint, "chamber" | "kind" | "where">,
): Promise<number | undefined> {
  if (!modelNamed(job.model) || !g.where) return undefined;
  const db = await database();
  const rows = await db("lube_points")
    .join("jobs", "jobs.id", "lube_points.job_id")
    .where({ "jobs.maker": job.maker, "jobs.model": job.model, "lube_points.place": g.where })
    .whereNot("jobs.id", job.id)
    .whereNotNull("lube_points.weighed_grams")
    .orderBy("lube_points.weighed_at", "desc")
    .limit(1)
    .select("lube_points.*");
  return rows[0] ? records.lube_points.read(rows[0]).weighedGrams : undefined;
}

/** The model's last job that had chambers. */
export interface LastJob {
  readonly number: string;
  /** with what was said of them */
  readonly chambers: readonly Chamber[];
  /** what went into a chamber where all of it was weighed in, g, by its id */
  readonly wentIn: ReadonlyMap<string, number>;
}

/** The model's last job that had chambers, with what was said of them and went in; undefined: there was none. */
export async function modelsLastJob(job: Pick<Job, "id" | "maker" | "model">): Promise<LastJob | undefined> {
  if (!modelNamed(job.model)) return undefined;
  const db = await database();
  const row: Row | undefined = await db("jobs")
    .where({ maker: job.maker, model: job.model })
    .whereNot("id", job.id)
    .whereNotNull("chambers")
    .whereNot("chambers", "[]")
    .orderBy("id", "desc")
    .first();
  if (!row) return undefined;
  const { number, chambers = [] } = records.jobs.read(row);
  const points = (await db("lube_points").where({ job_id: row.id })).map((r: Row) =>
    records.lube_points.read(r),
  );
  const wentIn = chambers.flatMap((c): [string, number][] => {
    const own = points.filter(
      (g) => g.chamber === c.id && (g.grams === undefined || g.grams >= LEAST_WEIGHED_G),
    );
    const sum = own.reduce((n, g) => n + (g.weighedGrams ?? Number.NaN), 0);
    return own.length && sum > 0 ? [[c.id, Math.round(sum * 100) / 100]] : [];
  });
  return { number, chambers, wentIn: new Map(wentIn) };
}
