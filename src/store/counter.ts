import type { Knex } from "knex";
import { z } from "zod";
import { Fault } from "@/core/fault";
import { dateCodeFrom } from "@/core/take-in/date-code";
import { changeJob } from "./change";
import { rowsOf } from "./rows";

/** One build of a model, and the mark on the unit by which it is told. */
const variantSchema = z.strictObject({ variant: z.string(), mark: z.string() });
export type Variant = Readonly<z.infer<typeof variantSchema>>;
const models = rowsOf("models", z.strictObject({ maker: z.string(), model: z.string(), variants: z.array(variantSchema) }));

export interface Customer {
  readonly name: string;
  readonly contact: string;
}
/** What the shop knows when a unit comes over the counter. */
export interface Counter {
  readonly variants: readonly Variant[];
  /** the maker's date code as it was taught */
  readonly dateCode?: string;
  readonly customers: readonly Customer[];
  readonly makers: readonly string[];
  readonly models: readonly string[];
}

const same = (q: Knex.QueryBuilder, column: string, value: string): Knex.QueryBuilder => q.whereRaw(`lower(${column}) = lower(?)`, [value.trim()]);

export async function counterFor(db: Knex, maker: string, model: string): Promise<Counter> {
  const row = await same(same(db("models"), "maker", maker), "model", model).first();
  const code = await same(db("makers"), "maker", maker).first();
  const known: { maker: string; model: string }[] = await db("models").select("maker", "model").orderBy("model");
  const used: { maker: string; model: string }[] = await db("jobs").distinct("maker", "model").whereNot("maker", "");
  const all = [...known, ...used];
  return {
    variants: row ? models.read(row).variants : [],
    ...(code ? { dateCode: code.date_code as string } : {}),
    customers: await db("customers").select("name", "contact").orderBy("name"),
    makers: [...new Set(all.map((m) => m.maker))].sort(),
    models: [...new Set(all.filter((m) => !maker.trim() || m.maker.toLowerCase() === maker.trim().toLowerCase()).map((m) => m.model))].filter(Boolean).sort(),
  };
}

/** Teaches the shop a variant of a model, or another mark of one it knows; the job is of that variant from then on. */
export async function teachVariant(number: string, version: number, taught: Variant): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    if (!job.maker.trim() || !job.model.trim()) throw new Fault("variant", "say first which maker and model it is");
    const row = await same(same(trx("models"), "maker", job.maker), "model", job.model).first();
    const known: Variant[] = row ? JSON.parse(row.variants) : [];
    const variants = JSON.stringify([...known.filter((v) => v.variant !== taught.variant), taught]);
    if (row) await trx("models").where({ id: row.id }).update({ variants });
    else await trx("models").insert({ maker: job.maker.trim(), model: job.model.trim(), kind: job.kind, variants });
    await trx("jobs").where({ id: job.id }).update({ variant: taught.variant });
    return `variant ${taught.variant}, told by: ${taught.mark}`;
  });
}

/** Teaches the shop a maker's date code. */
export async function teachDateCode(number: string, version: number, text: string): Promise<number> {
  dateCodeFrom(text);
  return changeJob(number, version, async ({ trx, job }) => {
    if (!job.maker.trim()) throw new Fault("dateCode", "say first which maker it is");
    await same(trx("makers"), "maker", job.maker).delete();
    await trx("makers").insert({ maker: job.maker.trim(), date_code: text.trim() });
    return `date code of ${job.maker}: ${text.trim()}`;
  });
}

/** Who brought the unit: found in the book of customers, or written into it. A known name brings its contact along. */
export async function setCustomer(number: string, version: number, said: { name?: string | undefined; contact?: string | undefined }): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const name = (said.name ?? job.customerName).trim();
    const found: Customer[] = name ? await same(trx("customers"), "name", name).select("name", "contact") : [];
    const contact = (said.contact ?? (found.length === 1 ? found[0]?.contact : undefined) ?? job.customerContact).trim();
    await trx("jobs").where({ id: job.id }).update({ customer_name: name, customer_contact: contact });
    if (name) {
      // a first contact completes the entry; another one is another person of that name
      const bare = found.find((c) => c.contact === "");
      if (bare && contact) await trx("customers").where({ name: bare.name, contact: "" }).update({ contact });
      else if (!found.some((c) => c.contact === contact)) await trx("customers").insert({ name, contact }).onConflict(["name", "contact"]).ignore();
    }
    return said.contact === undefined ? `customer: ${name}` : `contact: ${contact}`;
  });
}
