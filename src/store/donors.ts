import type { Knex } from "knex";
import type { JobHead } from "./job";

/** Other units of this model that were given up: the customer declined, or it was judged not worth it. Their parts may be had, if the customer says so. */
export async function donorsFor(db: Knex, job: Pick<JobHead, "id" | "maker" | "model">): Promise<{ number: string; says: string }[]> {
  if (!job.model) return [];
  const others = await db("jobs").where({ maker: job.maker, model: job.model }).whereNot("id", job.id).select("id", "number", "variant");
  const out: { number: string; says: string }[] = [];
  for (const o of others) {
    const declined = await db("quotes").where({ job_id: o.id }).orderBy("id", "desc").first("answer");
    const givenUp = await db("findings").where({ job_id: o.id, fate: "decline" }).first("id");
    const why = declined?.answer === "declined" ? "the customer declined" : givenUp ? "judged not worth it" : null;
    if (why) out.push({ number: o.number, says: [why, o.variant && `variant ${o.variant}`].filter(Boolean).join(", ") });
  }
  return out;
}
