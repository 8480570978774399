import type { Knex } from "knex";
import { z } from "zod";

/** Tables of a job whose rows are named by a letter and a number. */
export const REF_LETTERS = { steps: "s", parts: "p", hardware: "h", services: "v", lube_points: "g" } as const;
export type RefTable = keyof typeof REF_LETTERS;
const givenSchema = z.partialRecord(z.enum(["steps", "parts", "hardware", "services", "lube_points", "bundle"]), z.int());
export type Given = Readonly<z.infer<typeof givenSchema>>;

const numberIn = (ref: unknown): number => Number(/^[a-z]+(\d+)$/.exec(String(ref))?.[1] ?? 0);

/** The highest number that was given of each, as far as the job knows. */
export async function givenIn(trx: Knex, jobId: number): Promise<Given> {
  const row: { given: string } | undefined = await trx("jobs").where({ id: jobId }).first("given");
  return givenSchema.parse(JSON.parse(row?.given ?? "{}"));
}

/** The highest number of a table's ids: the one that was given last, or, in a job that came from elsewhere, the highest there is. */
export async function highest(trx: Knex, table: RefTable | "bundle", jobId: number, given: Given): Promise<number> {
  const known = given[table];
  if (known !== undefined) return known;
  const column = table === "bundle" ? "bundle" : "ref";
  const rows: Record<string, unknown>[] = await trx(table === "bundle" ? "steps" : table)
    .where({ job_id: jobId })
    .whereNotNull(column)
    .select(column);
  return rows.reduce((n, r) => Math.max(n, numberIn(r[column])), 0);
}

/** `count` new ids of a job, and the position of the first. An id is given once: what was taken back or struck leaves its number behind. */
export async function newRefs(trx: Knex, table: RefTable, jobId: number, count: number): Promise<{ refs: string[]; position: number }> {
  const given = await givenIn(trx, jobId);
  const from = await highest(trx, table, jobId, given);
  if (count > 0)
    await trx("jobs")
      .where({ id: jobId })
      .update({ given: JSON.stringify({ ...given, [table]: from + count }) });
  const last: { position: number } | undefined = await trx(table).where({ job_id: jobId }).orderBy("position", "desc").first("position");
  return { refs: Array.from({ length: count }, (_, i) => `${REF_LETTERS[table]}${from + 1 + i}`), position: (last?.position ?? -1) + 1 };
}

/** One new id, and its position behind the last. */
export async function newRef(trx: Knex, table: RefTable, jobId: number): Promise<{ ref: string; position: number }> {
  const { refs, position } = await newRefs(trx, table, jobId, 1);
  return { ref: refs[0] ?? "", position };
}

export async function newBundle(trx: Knex, jobId: number): Promise<string> {
  const given = await givenIn(trx, jobId);
  const next = (await highest(trx, "bundle", jobId, given)) + 1;
  await trx("jobs")
    .where({ id: jobId })
    .update({ given: JSON.stringify({ ...given, bundle: next }) });
  return `b${next}`;
}
