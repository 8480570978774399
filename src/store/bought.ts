import type { Knex } from "knex";
import { pictureOf } from "@/core/match/arrival/arrival-picture";
import type { Job, JobHead } from "./job";
import type { Arrival, Order, StoredQuote } from "./order-records";
import { toRow } from "./rows";

/** Quotes, orders and what came, as a job file carries them: orders by their place in the list. */
export interface Bought {
  readonly quotes: readonly Omit<StoredQuote, "id">[];
  readonly orders: readonly Omit<Order, "id">[];
  readonly arrivals: readonly (Omit<Arrival, "id" | "orderId"> & {
    readonly order?: number /** its number in the shop it comes from: pictures hang on it by that */;
    readonly was: number;
  })[];
}

export function boughtFor(job: Pick<Job, "quotes" | "orders" | "arrivals">): Bought {
  return {
    quotes: job.quotes.map(({ id: _, ...q }) => q),
    orders: job.orders.map(({ id: _, ...o }) => o),
    arrivals: job.arrivals.map(({ id, orderId, ...a }) => ({
      ...a,
      was: id,
      ...(orderId === undefined ? {} : { order: job.orders.findIndex((o) => o.id === orderId) }),
    })),
  };
}

/**
 * Puts them under a job that is taken in from a file. An order's reference begins with the job's number, which may be another one here.
 *
 * @returns what the arrivals' pictures hang on: as it was, and as it is here
 */
export async function takeInBought(trx: Knex, job: Pick<JobHead, "id" | "number">, bought: Bought): Promise<ReadonlyMap<string, string>> {
  for (const { answer, ...q } of bought.quotes) await trx("quotes").insert(toRow({ jobId: job.id, ...q, answer: answer ?? undefined }));
  const ids: number[] = [];
  for (const o of bought.orders) {
    const [id] = (await trx("orders").insert(toRow({ jobId: job.id, ...o, reference: o.reference.replace(/^[^/]+/, job.number) }))) as [number];
    ids.push(id);
  }
  const hooks = new Map<string, string>();
  for (const { order, was, ...a } of bought.arrivals) {
    const [id] = (await trx("arrivals").insert(toRow({ jobId: job.id, ...a, orderId: order === undefined ? undefined : ids[order] }))) as [number];
    hooks.set(pictureOf({ id: was }), pictureOf({ id }));
  }
  return hooks;
}
