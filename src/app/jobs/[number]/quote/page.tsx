import { notFound } from "next/navigation";
import { QuoteSheet } from "@/stages/match/quote-sheet";
import { shopSettings } from "@/store/settings";
import { KeyLink } from "@/ui/key-link";
import { PrintButton } from "@/ui/print-button";
import { type JobAddress, jobFrom } from "../job-from-address";

export default async function Page(address: JobAddress) {
  const { job, db } = await jobFrom(address);
  const { shopName, town, currency, rates } = await shopSettings(db);
  const quote = job.quotes.at(-1);
  if (!quote) notFound();
  return (
    <main className="min-h-dvh bg-base-300 print:bg-white">
      <nav className="no-print flex items-center gap-3 p-4">
        <PrintButton />
        <KeyLink href={`/jobs/${job.number}/match/quote`} keyName="Escape">
          Back to the quote
        </KeyLink>
      </nav>
      <QuoteSheet job={job} quote={quote} rates={rates} shopName={shopName} town={town} currency={currency} />
    </main>
  );
}
