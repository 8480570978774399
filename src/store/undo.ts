import type { Knex } from "knex";
import { Fault } from "@/core/fault";
import { type Change, changeJob } from "./change";

/** How many actions of the recorder can be taken back. */
export const MOST_UNDONE = 10;

type Row = Record<string, unknown>;
interface Before {
  readonly steps: Row[];
  readonly parts: Row[];
  readonly hardware: Row[];
  /** picture name → the step and the role it had */
  readonly pictures: Readonly<Record<string, readonly [step: string | null, role: string]>>;
}

/** Keeps the strip as it stands, before a change of the recorder; the oldest of more than ten is let go. */
export async function remember({ trx, job, at }: Change, what: string): Promise<void> {
  const of = (table: string): Promise<Row[]> => trx(table).where({ job_id: job.id });
  const pictures = await of("job_pictures");
  const before: Before = {
    steps: await of("steps"),
    parts: await of("parts"),
    hardware: await of("hardware"),
    pictures: Object.fromEntries(pictures.map((p) => [p.name, [p.step, p.role]])) as Before["pictures"],
  };
  await trx("undo").insert({ job_id: job.id, at, what, before: JSON.stringify(before) });
  const kept: { id: number }[] = await trx("undo").where({ job_id: job.id }).orderBy("id", "desc").offset(MOST_UNDONE).select("id");
  if (kept.length)
    await trx("undo")
      .whereIn("id", kept.map((k) => k.id))
      .delete(); // biome-ignore format: one query
}

/** Takes the last action of the recorder back. What was judged, greased or photographed since stays, or the undoing is refused. */
export async function undoLast(number: string, version: number): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const last: { id: number; what: string; before: string } | undefined = await trx("undo").where({ job_id: job.id }).orderBy("id", "desc").first();
    if (!last) throw new Fault("steps", "there is nothing to take back");
    const before = JSON.parse(last.before) as Before;
    const refs = (rows: readonly Row[]): Set<unknown> => new Set(rows.map((r) => r.ref));
    const [parts, steps] = [refs(before.parts), refs(before.steps)];
    const now: Row[] = await trx("parts").where({ job_id: job.id });
    const going = now.map((p) => p.ref as string).filter((ref) => !parts.has(ref));
    if (await trx("findings").where({ job_id: job.id }).whereIn("part", going).first())
      throw new Fault("steps", "a part of this step is judged already; take the finding away first");
    const goingSteps = (await trx("steps").where({ job_id: job.id })).map((s) => s.ref as string).filter((ref) => !steps.has(ref));
    for (const table of ["lube_points", "services"])
      await trx(table)
        .where({ job_id: job.id })
        .andWhere((q) => q.whereIn("part", going).orWhereIn("reached_by", goingSteps))
        .delete();
    const renew = new Map(now.map((p) => [p.ref, p.renew]));
    for (const [table, rows] of [["steps", before.steps], ["parts", before.parts.map((p) => ({ ...p, renew: renew.get(p.ref) ?? p.renew }))], ["hardware", before.hardware]] as const) {
      await trx(table).where({ job_id: job.id }).delete();
      for (const row of rows) await trx(table).insert(row);
    } // biome-ignore format: three tables in one line
    for (const p of (await trx("job_pictures").where({ job_id: job.id })) as Row[]) {
      // pictures taken since stay with the job, with no step
      const [step, role] = before.pictures[p.name as string] ?? [null, p.role];
      if (p.step !== step) await trx("job_pictures").where({ id: p.id }).update({ step, role });
    }
    await trx("undo").where({ id: last.id }).delete();
    return `took back ${last.what}`;
  });
}

/** What would be taken back next, the last first. */
export async function undoable(db: Knex, jobId: number): Promise<string[]> {
  const rows: { what: string }[] = await db("undo").where({ job_id: jobId }).orderBy("id", "desc").select("what");
  return rows.map((r) => r.what);
}
