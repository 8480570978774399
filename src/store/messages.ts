import { z } from "zod";
import type { Message } from "@/core/hand-back/messages";
import { MESSAGES } from "@/core/hand-back/messages";
import { changeJob } from "./change";
import { database } from "./database";

/** A message in the outbox. */
export interface KeptMessage extends Message {
  readonly id: number;
  /** ISO 8601 */
  readonly at: string;
  /** the customer as written down then */
  readonly receiver: string;
}

const row = z
  .object({
    id: z.int(),
    kind: z.enum(MESSAGES.map((m) => m.kind)),
    at: z.string(),
    receiver: z.string(),
    subject: z.string(),
    said: z.string(),
  })
  .transform(({ said, ...m }): KeptMessage => ({ ...m, text: said }));
const COLUMNS = ["id", "kind", "at", "receiver", "subject", "said"] as const;

/** The outbox of a job, the newest first. */
export async function messagesOf(jobId: number): Promise<KeptMessage[]> {
  const rows: unknown[] = await (await database())("messages")
    .where({ job_id: jobId })
    .orderBy("id", "desc")
    .select(COLUMNS);
  return rows.map((r) => row.parse(r));
}

export async function putInOutbox(
  number: string,
  version: number,
  { kind, subject, text }: Message,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    const receiver = [job.customerName, job.customerContact].filter(Boolean).join(", ");
    await trx("messages").insert({ job_id: job.id, kind, at, receiver, subject, said: text });
    return `told the customer: ${MESSAGES.find((m) => m.kind === kind)?.says.toLowerCase()}`;
  });
}

/** A message of a job by its id, or null. */
export async function messageOfJob(number: string, id: number): Promise<KeptMessage | null> {
  const found: unknown = await (await database())("messages")
    .join("jobs", "jobs.id", "messages.job_id")
    .where({ "jobs.number": number, "messages.id": id })
    .first(COLUMNS.map((c) => `messages.${c}`));
  return found ? row.parse(found) : null;
}
