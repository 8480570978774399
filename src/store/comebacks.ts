import type { JobHead } from "@/core/job/job";
import { modelNamed } from "@/core/job/model-named";
import { database } from "./database";
import { readable } from "./rows";
import { records } from "./tables";

/** A job that was handed back, of the same unit as far as it can be told. */
export type EarlierJob = Pick<
  JobHead,
  "number" | "kind" | "model" | "serial" | "customerName" | "handedBackAt"
>;

/**
 * Jobs that were handed back and may be those that this one comes back from: the same serial number, or the
 * same maker and model for the same customer. The latest first.
 */
export async function earlierJobs({
  number,
  maker,
  model,
  serial,
  customerName,
}: Pick<JobHead, "number" | "maker" | "model" | "serial" | "customerName">): Promise<EarlierJob[]> {
  if (!model && !serial) return [];
  const db = await database();
  const rows = await db("jobs")
    .where({ maker, model })
    .whereNotNull("handed_back_at")
    .whereNot({ number })
    .andWhere((q) => {
      if (serial) void q.where({ serial });
      if (customerName) void q.orWhere({ customer_name: customerName });
      if (!serial && !customerName) void q.whereRaw("1 = 0");
    })
    .orderBy("handed_back_at", "desc")
    .limit(5);
  return rows
    .flatMap(readable(records.jobs))
    .map(({ number, kind, model, serial, customerName, handedBackAt }) => ({
      number,
      kind,
      model,
      serial,
      customerName,
      handedBackAt,
    }));
}

/** The model's last job, where that unit was said to touch food: its number. */
export async function lastTouchedFood(
  jobId: number,
  { maker, model }: Pick<JobHead, "maker" | "model">,
): Promise<string | undefined> {
  if (!modelNamed(model)) return undefined;
  const db = await database();
  const row = await db("jobs").where({ maker, model }).whereNot({ id: jobId }).orderBy("id", "desc").first();
  const last = row && readable(records.jobs)(row)[0];
  return last?.foodContact ? last.number : undefined;
}
