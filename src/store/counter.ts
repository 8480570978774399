import type { Knex } from "knex";
import { z } from "zod";
import { Fault } from "@/core/fault";
import { USUAL_HAZARDS } from "@/core/safety/hazards";
import { dateCodeFrom } from "@/core/take-in/date-code";
import { USUAL_KINDS } from "@/core/take-in/kinds";
import { type Variant, variantSchema } from "@/core/take-in/variant";
import { changeJob } from "./change";
import { database } from "./database";
import { rowsOf } from "./rows";

const models = rowsOf(
  "models",
  z.strictObject({ maker: z.string(), model: z.string(), variants: z.array(variantSchema) }),
);

const looseRow = rowsOf("jobs", z.strictObject({ looseItems: z.array(z.string()) }));

export interface Customer {
  readonly name: string;
  readonly contact: string;
}
/** What the shop knows of a unit's model when it comes over the counter. */
export interface Counter {
  readonly variants: readonly Variant[];
  /** the maker's date code as it was taught */
  readonly dateCode?: string;
}

const same = (q: Knex.QueryBuilder, column: string, value: string): Knex.QueryBuilder =>
  q.whereRaw(`lower(${column}) = lower(?)`, [value.trim()]);

export async function counterFor(maker: string, model: string, at?: Knex): Promise<Counter> {
  const db = at ?? (await database());
  const row = await same(same(db("models"), "maker", maker), "model", model).first();
  const code = await same(db("makers"), "maker", maker).first();
  return {
    variants: row ? models.read(row).variants : [],
    ...(code ? { dateCode: String(code.date_code) } : {}),
  };
}

/** What can be asked for as somebody types. */
export const KNOWN_WORDS = ["kind", "maker", "model", "customer"] as const;
export type KnownWords = (typeof KNOWN_WORDS)[number];
/** As many as a list under a field shows. */
const MOST_OFFERED = 12;

/**
 * What the shop has heard before that begins, or goes on, with what is typed: kinds of unit, makers, models
 * (of one maker, where that is known), customers. Those that begin so come first.
 */
export async function knownWords(what: KnownWords, typed: string, maker = "", at?: Knex): Promise<string[]> {
  const db = at ?? (await database());
  const wanted = typed.trim().toLowerCase();
  const like = (column: string) => (q: Knex.QueryBuilder) => {
    if (wanted) q.whereRaw("instr(lower(??), ?) > 0", [column, wanted]);
  };
  const of = async (table: string, column: string): Promise<string[]> => {
    const q = db(table)
      .distinct({ word: column })
      .whereNot(column, "")
      .where(like(column))
      .orderBy(column)
      .limit(MOST_OFFERED);
    if (what === "model" && maker.trim()) q.whereRaw("lower(maker) = lower(?)", [maker.trim()]);
    return (await q).map((r) => String(r.word));
  };
  const found =
    what === "customer"
      ? await of("customers", "name")
      : what === "kind"
        ? [...(await of("jobs", "kind")), ...KINDS_OF_UNIT.filter((k) => wanted && k.includes(wanted))]
        : [
            ...(await of("models", what)),
            ...(what === "maker" ? await of("makers", "maker") : []),
            ...(await of("jobs", what)),
          ];
  const begins = (w: string): number => (w.toLowerCase().startsWith(wanted) ? 0 : 1);
  return [...new Set(found)]
    .sort((a, b) => begins(a) - begins(b) || a.localeCompare(b))
    .slice(0, MOST_OFFERED);
}

/** So many jobs are looked through for what came along with a kind of unit. */
const LATEST_JOBS = 500;
const MOST_KNOWN = 6;

/** What customers brought along with units of this kind, the commonest first: of the shop's latest jobs. */
export async function looseItemsKnown(kind: string, at?: Knex): Promise<string[]> {
  if (!kind.trim()) return [];
  const db = at ?? (await database());
  const latest = db("jobs")
    .select("kind", "loose_items")
    .orderBy("id", "desc")
    .limit(LATEST_JOBS)
    .as("latest");
  const rows = await same(db.from(latest).select("loose_items"), "kind", kind);
  const counts = new Map<string, number>();
  for (const r of rows)
    for (const item of looseRow.read(r).looseItems) counts.set(item, (counts.get(item) ?? 0) + 1);
  return [...counts]
    .sort(([a, x], [b, y]) => y - x || a.localeCompare(b))
    .slice(0, MOST_KNOWN)
    .map(([item]) => item);
}

/**
 * Teaches the shop a variant of a model, or another mark of one it knows; the job is of that variant from
 * then on.
 */
export async function teachVariant(number: string, version: number, taught: Variant): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    if (!job.maker.trim() || !job.model.trim())
      throw new Fault("variant", "say first which maker and model it is");
    const row = await same(same(trx("models"), "maker", job.maker), "model", job.model).first();
    const known = row ? models.read(row).variants : [];
    const variants = JSON.stringify([...known.filter((v) => v.variant !== taught.variant), taught]);
    if (row) await trx("models").where({ id: row.id }).update({ variants });
    else
      await trx("models").insert({
        maker: job.maker.trim(),
        model: job.model.trim(),
        kind: job.kind,
        variants,
      });
    await trx("jobs").where({ id: job.id }).update({ variant: taught.variant });
    return `variant ${taught.variant}, told by: ${taught.mark}`;
  });
}

/**
 * Kinds of unit that a shop which is new is offered as somebody types; what it takes in is offered before
 * them.
 */
const KINDS_OF_UNIT: readonly string[] = [...Object.keys(USUAL_HAZARDS), ...USUAL_KINDS];

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

/**
 * Who brought the unit: found in the book of customers, or written into it. A known name brings its contact
 * along.
 */
export async function setCustomer(
  number: string,
  version: number,
  said: { name?: string; contact?: string },
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const name = (said.name ?? job.customerName).trim();
    const found: Customer[] = name
      ? await same(trx("customers"), "name", name).select("name", "contact")
      : [];
    const contact = (
      said.contact ??
      (found.length === 1 ? found[0]?.contact : undefined) ??
      job.customerContact
    ).trim();
    await trx("jobs").where({ id: job.id }).update({ customer_name: name, customer_contact: contact });
    if (name) {
      // a first contact completes the entry; another one is another person of that name
      const bare = found.find((c) => c.contact === "");
      if (bare && contact) await trx("customers").where({ name: bare.name, contact: "" }).update({ contact });
      else if (!found.some((c) => c.contact === contact))
        await trx("customers").insert({ name, contact }).onConflict(["name", "contact"]).ignore();
    }
    return said.contact === undefined ? `customer: ${name}` : `contact: ${contact}`;
  });
}
