import type { Knex } from "knex";
import { readWith } from "@/core/fault";
import { type Lubricant, lubricantSchema } from "@/core/grease/choose";
import type { LubePoint, Service } from "@/core/job/service";
import { changeJob } from "./change";
import { database } from "./database";
import { newRefs } from "./ids";
import { records } from "./tables";

/** Writes the grease plan: which grease, and the points with their grams. Points that were weighed in already keep their weight if they stay. */
export async function setGrease(number: string, version: number, lubricant: Lubricant, points: readonly Omit<LubePoint, "id">[]): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("jobs").where({ id: job.id }).update({ lubricant: lubricant.id });
    await trx("lube_points").where({ job_id: job.id }).delete();
    const { refs, position } = await newRefs(trx, "lube_points", job.id, points.length);
    for (const [i, p] of points.entries())
      await trx("lube_points").insert({
        job_id: job.id,
        position: position + i,
        ...records.lube_points.write({ ...p, id: refs[i], lubricant: lubricant.name }),
      });
    return `grease: ${lubricant.name}, ${points.reduce((sum, p) => sum + (p.grams ?? 0), 0).toFixed(1)} g at ${points.length} points`;
  });
}

/** Weighs grease in at a point. */
export async function weighIn(number: string, version: number, point: string, grams: number | null): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    await trx("lube_points")
      .where({ job_id: job.id, ref: point })
      .update({ weighed_grams: grams, weighed_at: grams === null ? null : at });
    return grams === null ? `weight at ${point} struck` : `weighed in ${grams} g at ${point}`;
  });
}

/** Replaces the job's list of services (cleaning, inspecting, pulling a seal …). */
export async function setServices(number: string, version: number, services: readonly Omit<Service, "id">[]): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("services").where({ job_id: job.id }).delete();
    const { refs, position } = await newRefs(trx, "services", job.id, services.length);
    for (const [i, s] of services.entries())
      await trx("services").insert({ job_id: job.id, position: position + i, ...records.services.write({ ...s, id: refs[i] }) });
    return `${services.length} services planned`;
  });
}

export async function lubricants(at?: Knex): Promise<Lubricant[]> {
  const db = at ?? (await database());
  return (await db("lubricants").orderBy("id")).map((r) => readWith(lubricantSchema, { id: r.id, ...JSON.parse(r.facts) }, "lubricant"));
}
