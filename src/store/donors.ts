import type { Knex } from "knex";
import type { JobHead } from "@/core/job/job";
import { database } from "./database";

/**
 * Other units of this model that were given up: the customer declined, or it was judged not worth it. Their
 * parts may be had, if the customer says so.
 */
export async function donorsFor(
  job: Pick<JobHead, "id" | "maker" | "model">,
  at?: Knex,
): Promise<{ number: string; says: string }[]> {
  const db = at ?? (await database());
  if (!job.model) return [];
  const last = db("quotes")
    .select("answer")
    .whereRaw("quotes.job_id = jobs.id")
    .orderBy("id", "desc")
    .limit(1);
  const declined = db.raw("? = 'declined'", [last]);
  const givenUp = db("findings")
    .select("id")
    .whereRaw("findings.job_id = jobs.id")
    .where({ fate: "decline" });
  const rows: { number: string; variant: string; declined: number }[] = await db("jobs")
    .select("number", "variant", { declined })
    .where({ maker: job.maker, model: job.model })
    .whereNot("id", job.id)
    .andWhere((q) => q.whereRaw(declined).orWhereExists(givenUp))
    .orderBy("number");
  return rows.map((r) => ({
    number: r.number,
    says: [r.declined ? "the customer declined" : "judged not worth it", r.variant && `variant ${r.variant}`]
      .filter(Boolean)
      .join(", "),
  }));
}
