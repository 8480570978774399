import type { Knex } from "knex";
import { z } from "zod";

/** Tables of a job whose rows are named by a letter and a number. */
export const REF_LETTERS = {
  steps: "s",
  parts: "p",
  hardware: "h",
  services: "v",
  lube_points: "g",
} as const;
export type RefTable = keyof typeof REF_LETTERS;
const givenSchema = z.partialRecord(
  z.enum(["steps", "parts", "hardware", "services", "lube_points", "bundle", "orders"]),
  z.int(),
);
export type Given = Readonly<z.infer<typeof givenSchema>>;
type Counted = keyof Given;

/** Where the names stand that are no `ref`. */
const STANDS_IN: Partial<Record<Counted, { readonly table: string; readonly column: string }>> = {
  bundle: { table: "steps", column: "bundle" },
  orders: { table: "orders", column: "reference" },
};

/** The number at the end of a name: 12 of `s12`, 2 of `J-0138/2`. */
const numberIn = (name: unknown): number => Number(/(\d+)$/.exec(String(name))?.[1] ?? 0);

/** The highest number that was given of each, as far as the job knows. */
export async function givenIn(trx: Knex, jobId: number): Promise<Given> {
  const row: { given: string } | undefined = await trx("jobs").where({ id: jobId }).first("given");
  return givenSchema.parse(JSON.parse(row?.given ?? "{}"));
}

/**
 * The highest number of a table's ids: the one that was given last, or, in a job that came from elsewhere,
 * the highest there is.
 */
export async function highest(trx: Knex, what: Counted, jobId: number, given: Given): Promise<number> {
  const known = given[what];
  if (known !== undefined) return known;
  const { table, column } = STANDS_IN[what] ?? { table: what, column: "ref" };
  const rows: Record<string, unknown>[] = await trx(table)
    .where({ job_id: jobId })
    .whereNotNull(column)
    .select(column);
  return rows.reduce((n, r) => Math.max(n, numberIn(r[column])), 0);
}

/** The first of `count` numbers that were never given before. */
async function take(trx: Knex, what: Counted, jobId: number, count: number): Promise<number> {
  const given = await givenIn(trx, jobId);
  const from = await highest(trx, what, jobId, given);
  if (count > 0)
    await trx("jobs")
      .where({ id: jobId })
      .update({ given: JSON.stringify({ ...given, [what]: from + count }) });
  return from + 1;
}

/**
 * `count` new ids of a job, and the position of the first. An id is given once: what was taken back or struck
 * leaves its number behind.
 */
export async function newRefs(
  trx: Knex,
  table: RefTable,
  jobId: number,
  count: number,
): Promise<{ refs: string[]; position: number }> {
  const first = await take(trx, table, jobId, count);
  const last: { position: number } | undefined = await trx(table)
    .where({ job_id: jobId })
    .orderBy("position", "desc")
    .first("position");
  return {
    refs: Array.from({ length: count }, (_, i) => `${REF_LETTERS[table]}${first + i}`),
    position: (last?.position ?? -1) + 1,
  };
}

/** One new id, and its position behind the last. */
export async function newRef(
  trx: Knex,
  table: RefTable,
  jobId: number,
): Promise<{ ref: string; position: number }> {
  const { refs, position } = await newRefs(trx, table, jobId, 1);
  return { ref: refs[0] ?? "", position };
}

export const newBundle = async (trx: Knex, jobId: number): Promise<string> =>
  `b${await take(trx, "bundle", jobId, 1)}`;

/**
 * What an order is called at its supplier. One that was taken back keeps its name there, so the next has
 * another.
 */
export const newReference = async (
  trx: Knex,
  job: { readonly id: number; readonly number: string },
): Promise<string> => `${job.number}/${await take(trx, "orders", job.id, 1)}`;
