import type { Knex } from "knex";
import { z } from "zod";
import { Fault } from "@/core/fault";
import { type Change, changeJob } from "./change";
import { database } from "./database";
import { givenIn, highest } from "./ids";

/** How many actions of the recorder can be taken back. */
export const MOST_UNDONE = 10;

const rows = z.array(z.record(z.string(), z.unknown()));
/**
 * What an action of the recorder touched, as it stood before, and the last ids that were given then: what has
 * a later one came by the action. So an entry is as large as the action, not as the strip.
 */
const undoEntry = z.strictObject({
  steps: rows,
  parts: rows,
  hardware: rows,
  /** picture → the step and the role it had */
  pictures: z.array(z.strictObject({ id: z.int(), step: z.string().nullable(), role: z.string() })),
  given: z.strictObject({ steps: z.int(), parts: z.int(), hardware: z.int() }),
});

/** What an action is about to change or take away, by id. What it adds need not be named. */
export interface Touched {
  readonly steps?: readonly string[];
  readonly parts?: readonly string[];
  /** all hardware of these steps */
  readonly hardwareOf?: readonly string[];
}

/** Keeps what an action of the recorder is about to change; the oldest of more than ten is let go. */
export async function remember(
  { trx, job, at }: Change,
  what: string,
  { steps = [], parts = [], hardwareOf = [] }: Touched,
): Promise<void> {
  const of = (table: string, column: string, ids: readonly string[]) =>
    trx(table)
      .where({ job_id: job.id })
      .whereIn(column, [...ids]);
  const given = await givenIn(trx, job.id);
  const before: z.input<typeof undoEntry> = {
    steps: await of("steps", "ref", steps),
    parts: await of("parts", "ref", parts),
    hardware: await of("hardware", "step", hardwareOf),
    pictures: await of("job_pictures", "step", steps).select("id", "step", "role"),
    given: {
      steps: await highest(trx, "steps", job.id, given),
      parts: await highest(trx, "parts", job.id, given),
      hardware: await highest(trx, "hardware", job.id, given),
    },
  };
  await trx("undo").insert({ job_id: job.id, at, what, before: JSON.stringify(before) });
  const kept: { id: number }[] = await trx("undo")
    .where({ job_id: job.id })
    .orderBy("id", "desc")
    .offset(MOST_UNDONE)
    .select("id");
  if (kept.length)
    await trx("undo")
      .whereIn("id", kept.map((k) => k.id))
      .delete(); // biome-ignore format: one query
}

/**
 * Takes the last action of the recorder back. What was judged, greased or photographed since stays, or the
 * undoing is refused.
 */
export async function undoLast(number: string, version: number): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const last: { id: number; what: string; before: string } | undefined = await trx("undo")
      .where({ job_id: job.id })
      .orderBy("id", "desc")
      .first();
    if (!last) throw new Fault("steps", "there is nothing to take back");
    const before = undoEntry.parse(JSON.parse(last.before));
    const came = async (table: "steps" | "parts" | "hardware"): Promise<string[]> =>
      (
        await trx(table)
          .where({ job_id: job.id })
          .whereRaw("cast(substr(ref, 2) as integer) > ?", [before.given[table]])
          .select("ref")
      ).map((r) => String(r.ref));
    const [steps, parts, hardware] = [await came("steps"), await came("parts"), await came("hardware")];
    if (await trx("findings").where({ job_id: job.id }).whereIn("part", parts).first())
      throw new Fault("steps", "a part of this step is judged already; take the finding away first");
    for (const table of ["lube_points", "services"])
      await trx(table)
        .where({ job_id: job.id })
        .andWhere((q) => q.whereIn("part", parts).orWhereIn("reached_by", steps))
        .delete();
    // pictures taken since stay with the job, with no step
    await trx("job_pictures").where({ job_id: job.id }).whereIn("step", steps).update({ step: null });
    for (const [table, refs] of [["steps", steps], ["parts", parts], ["hardware", hardware]] as const)
      await trx(table).where({ job_id: job.id }).whereIn("ref", refs).delete(); // biome-ignore format: three tables in one line
    for (const row of before.parts) {
      const now = await trx("parts").where({ id: row.id }).first("renew");
      await put(trx, "parts", now ? { ...row, renew: now.renew } : row);
    }
    for (const row of before.steps) await put(trx, "steps", row);
    for (const row of before.hardware) await put(trx, "hardware", row);
    for (const { id, step, role } of before.pictures)
      await trx("job_pictures").where({ id }).update({ step, role });
    await trx("undo").where({ id: last.id }).delete();
    return `took back ${last.what}`;
  });
}

const put = async (trx: Knex, table: string, row: Record<string, unknown>): Promise<void> => {
  await trx(table).insert(row).onConflict("id").merge();
};

/** What would be taken back next, the last first. */
export async function undoable(jobId: number, at?: Knex): Promise<string[]> {
  const db = at ?? (await database());
  const entries: { what: string }[] = await db("undo")
    .where({ job_id: jobId })
    .orderBy("id", "desc")
    .select("what");
  return entries.map((r) => r.what);
}
