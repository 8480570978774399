import type { StoredQuote } from "@/core/job/bought";
import type { Job } from "@/core/job/job";
import { partNamed } from "@/core/job/part";
import { foundSays } from "@/core/judge/failure-modes";
import type { ShopRates } from "@/core/match/quote/quote";
import { money } from "@/core/quantity/money";
import { dayAs } from "@/ui/day";
import { SheetHead } from "../frame/sheet-head";
import { QuoteLines } from "./quote-lines";

/**
 * The quote on paper: what is wrong, what would be done, what it costs, what it costs if it is declined, and
 * where to sign. One A4 page.
 */
export function QuoteSheet({
  job,
  quote,
  rates,
  shopName,
  town,
  currency,
}: {
  job: Job;
  quote: StoredQuote;
  rates: ShopRates;
  shopName: string;
  town: string;
  currency: string;
}) {
  const failed = job.findings.filter((f) => f.mode && f.mode !== "sound");
  return (
    <article className="mx-auto max-w-[820px] bg-white px-12 py-9 text-[17px] leading-snug text-[#1d2a2c] print:p-0">
      <SheetHead
        title={`Quote for ${job.number}`}
        job={job}
        shopName={shopName}
        town={town}
        at={quote.madeAt}
      />
      <section className="pt-4">
        {job.customerName && <p className="text-[19px]">For {job.customerName}</p>}
        <h2 className="pt-2 text-[22px]">What is wrong</h2>
        <ul className="list-disc pl-5">
          {failed.map((f) => (
            <li key={f.part} className="first-letter:uppercase">
              {partNamed(job, f.part)}: {foundSays(f)}
              {f.extent && `, ${f.extent}`}
            </li>
          ))}
        </ul>
      </section>
      <section className="pt-4">
        <h2 className="pb-1 text-[22px]">What the repair costs</h2>
        <QuoteLines quote={quote.quote} currency={currency} taxPercent={rates.taxPercent} />
      </section>
      <section className="pt-4 text-[18px]">
        {quote.quote.reasons
          .filter((r) => r.rule === "new unit")
          .map((r) => (
            <p key={r.rule}>{r.says}</p>
          ))}
        <p>
          If you decline, {money(quote.quote.ifDeclined, currency)} (with tax){" "}
          {quote.quote.ifDeclined
            ? "is due for finding the fault and putting the unit back as it was."
            : "is due."}
        </p>
        <p>If it comes to more than this, we ask you again before doing anything.</p>
      </section>
      <footer className="grid grid-cols-2 gap-10 pt-14 text-[17px]">
        {quote.answer ? (
          <p className="text-[20px] font-bold">
            {quote.answer === "accepted" ? "Accepted" : "Declined"} by {quote.byWhom ?? "the customer"},{" "}
            {quote.answeredOn && dayAs(quote.answeredOn, "d MMMM yyyy")}
          </p>
        ) : (
          <>
            <p className="border-t-2 border-[#1d2a2c] pt-1">□ accepted &nbsp; □ declined, date</p>
            <p className="border-t-2 border-[#1d2a2c] pt-1">signature</p>
          </>
        )}
      </footer>
    </article>
  );
}
