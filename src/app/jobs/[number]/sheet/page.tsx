import { ReturnSheet } from "@/stages/hand-back/return-sheet";
import { partsNumbered } from "@/store/catalogue";
import { lubricants } from "@/store/lube";
import { shopSettings } from "@/store/settings";
import { KeyLink } from "@/ui/key-link";
import { PrintButton } from "@/ui/print-button";
import { type JobAddress, jobFrom } from "../job-from-address";

export default async function Page(address: JobAddress) {
  const { job, db } = await jobFrom(address);
  const { shopName, town, currency, rates } = await shopSettings(db);
  const numbers = [...job.findings.flatMap((f) => f.chosen ?? []), ...job.arrivals.map((a) => a.number)];
  return (
    <main className="min-h-dvh bg-base-300 print:bg-white">
      <nav className="no-print flex items-center gap-3 p-4">
        <PrintButton />
        <KeyLink href={`/jobs/${job.number}/hand-back`} keyName="Escape">
          Back to the job
        </KeyLink>
        <a className="key-button" href={`/api/jobs/${job.number}/file`}>
          Job file, for another shop
        </a>
        <KeyLink href={`/jobs/${job.number}/history`} keyName="H">
          History
        </KeyLink>
      </nav>
      <ReturnSheet
        job={job}
        catalogue={await partsNumbered(db, numbers)}
        lubricant={(await lubricants(db)).find((l) => l.id === job.lubricant)}
        shopName={shopName}
        town={town}
        currency={currency}
        markupPercent={rates.markupPercent}
      />
    </main>
  );
}
