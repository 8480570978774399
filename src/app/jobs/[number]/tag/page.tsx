import { headers } from "next/headers";
import { JobTagSheet } from "@/stages/take-in/job-tag-sheet";
import { KeyLink } from "@/ui/key-link";
import { PrintButton } from "@/ui/print-button";
import { type JobAddress, jobFrom } from "../job-from-address";

export default async function Page(address: JobAddress) {
  const { job } = await jobFrom(address);
  const asked = await headers();
  const origin = `${asked.get("x-forwarded-proto") ?? "http"}://${asked.get("host") ?? "localhost"}`;
  return (
    <main className="min-h-dvh bg-base-300 print:bg-white">
      <nav className="no-print flex items-center gap-3 p-4">
        <PrintButton />
        <KeyLink href={`/jobs/${job.number}/take-in`} keyName="Escape">
          Back to the job
        </KeyLink>
        <p className="text-[20px]">First the label, 62 × 29 mm, then the sheet. The code opens {job.number} in this shop.</p>
      </nav>
      <JobTagSheet job={job} address={`${origin}/jobs/${job.number}`} />
    </main>
  );
}
