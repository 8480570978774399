import { headers } from "next/headers";
import { pageJob } from "@/stages/job-view/page-job";
import { JobTagSheet } from "@/stages/take-in/job-tag-sheet";
import { KeyLink } from "@/ui/key-link";
import { PrintPage } from "@/ui/print-page";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const { number } = await params;
  const job = await found(pageJob(number));
  const asked = await headers();
  const origin = `${asked.get("x-forwarded-proto") ?? "http"}://${asked.get("host") ?? "localhost"}`;
  const keys = (
    <KeyLink href={`/jobs/${number}/take-in`} keyName="Escape">
      Back to the job
    </KeyLink>
  );
  return (
    <PrintPage
      title={`${number} · Tag`}
      keys={keys}
      says={`First the label, 62 × 29 mm, then the sheet. The code opens ${number} in this shop.`}
    >
      <JobTagSheet job={job} address={`${origin}/jobs/${number}`} />
    </PrintPage>
  );
}
