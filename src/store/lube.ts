import { Fault } from "@/core/fault";
import type { Lubricant } from "@/core/grease/lubricant";
import type { LubePoint, Service, WeighedPoint } from "@/core/job/service";
import { changeJob } from "./change";
import { newRefs } from "./ids";
import type { Row } from "./rows";
import { records } from "./tables";

/** Writes the grease plan: which grease, and the points with their grams. Taken again, the same grease keeps what was weighed in at points that stay; another grease has to be weighed in anew. */
export async function setGrease(number: string, version: number, lubricant: Lubricant, points: readonly Omit<LubePoint, "id">[]): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const before = (await trx("lube_points").where({ job_id: job.id })).map(records.lube_points.read);
    const weighed = (p: Omit<LubePoint, "id">): Pick<WeighedPoint, "weighedGrams" | "weighedAt"> => {
      const same = before.find((b) => b.lubricant === lubricant.name && b.part === p.part && b.reachedBy === p.reachedBy && b.where === p.where);
      return { weighedGrams: same?.weighedGrams, weighedAt: same?.weighedAt };
    };
    await trx("jobs")
      .where({ id: job.id })
      .update(records.jobs.write({ lubricant: lubricant.id, noGrease: null }));
    // what is oiled by the drop stays
    await trx("lube_points").where({ job_id: job.id }).whereNotNull("grams").delete();
    const { refs, position } = await newRefs(trx, "lube_points", job.id, points.length);
    for (const [i, p] of points.entries())
      await trx("lube_points").insert({
        job_id: job.id,
        position: position + i,
        ...records.lube_points.write({ ...p, ...weighed(p), id: refs[i], lubricant: lubricant.name }),
      });
    return `grease: ${lubricant.name}, ${points.reduce((sum, p) => sum + (p.grams ?? 0), 0).toFixed(1)} g at ${points.length} points`;
  });
}

/** Weighs grease in at a point. */
export async function weighIn(number: string, version: number, point: string, grams: number | null): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    const own = () => trx("lube_points").where({ job_id: job.id, ref: point });
    const row: Row | undefined = await own().first();
    if (!row) throw new Fault("point", "is not among the grease points any more");
    await own().update(records.lube_points.write({ weighedGrams: grams ?? undefined, weighedAt: grams === null ? undefined : at }));
    const where = records.lube_points.read(row).where ?? "a point";
    return grams === null ? `weight struck: ${where}` : `weighed in ${grams} g: ${where}`;
  });
}

/** Parts and case are clean and dry, or not yet. `cleaning` goes among the job's services, unless what that step laid open is cleaned already. */
export async function setWashed(
  number: string,
  version: number,
  washed: boolean,
  cleaning?: Omit<Service, "id" | "do"> & { reachedBy: string },
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("jobs").where({ id: job.id }).update(records.jobs.write({ washed }));
    const planned = (await trx("services").where({ job_id: job.id })).map(records.services.read);
    if (washed && cleaning && !planned.some((v) => v.do === "clean" && v.reachedBy === cleaning.reachedBy)) {
      const { refs, position } = await newRefs(trx, "services", job.id, 1);
      await trx("services").insert({ job_id: job.id, position, ...records.services.write({ ...cleaning, do: "clean", id: refs[0] }) });
    }
    return washed ? "parts and case are clean and dry" : "cleaning opened again";
  });
}
