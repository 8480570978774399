import { Fault } from "@/core/fault";
import type { Quote } from "@/core/match/quote/quote";
import { changeJob } from "./change";
import { chargesAreKnown } from "./settings";
import { records } from "./tables";

/** Makes a quote. One that was not answered is replaced by it. */
export async function makeQuote(number: string, version: number, quote: Quote): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    await chargesAreKnown(trx);
    await trx("quotes").where({ job_id: job.id }).whereNull("answer").delete();
    await trx("quotes").insert({
      job_id: job.id,
      ...records.quotes.write({ madeAt: at, quote, total: quote.total }),
    });
    return `quote made: ${quote.total.toFixed(2)}`;
  });
}

/** What the customer said to the last quote. */
export async function answerQuote(
  number: string,
  version: number,
  id: number,
  answer: "accepted" | "declined",
  byWhom: string,
  on: string,
  note?: string,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    if (!byWhom.trim()) throw new Fault("byWhom", "say who answered");
    const last = await trx("quotes").where({ job_id: job.id }).orderBy("id", "desc").first();
    if (!last || last.id !== id) throw new Fault("quote", "there is a newer quote: ask about that one");
    if (last.answer) throw new Fault("quote", "this one is answered already: make a new one to ask again");
    await trx("quotes")
      .where({ id })
      .update(
        records.quotes.write({
          answer,
          answeredOn: on,
          byWhom: byWhom.trim(),
          note: note?.trim() || undefined,
        }),
      );
    return `quote of ${last.total.toFixed(2)} ${answer} by ${byWhom.trim()}`;
  });
}

/** What a new unit costs; null: not known. */
export async function setNewUnit(number: string, version: number, price: number | null): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("jobs").where({ id: job.id }).update({ new_unit: price });
    return price === null ? "price of a new unit struck" : `a new unit costs ${price.toFixed(2)}`;
  });
}
