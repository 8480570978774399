import { learnedKinds } from "@/core/record/record";
import { RecordScreen } from "@/shop/record/record-screen";
import { recordTables } from "@/shop/record/record-tables";
import { pastJobs } from "@/store/past-jobs";
import { shopSettings } from "@/store/settings";

export const dynamic = "force-dynamic";

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const jobs = await pastJobs();
  const { learnedSince } = await shopSettings();
  const { table } = await searchParams;
  const kinds = learnedKinds(jobs, learnedSince).map(({ kind, verdicts, since }) => ({
    kind,
    verdicts,
    ...(since ? { since: since.slice(0, 10) } : {}),
  }));
  return (
    <RecordScreen
      tables={recordTables(jobs, learnedSince)}
      jobs={jobs.length}
      kinds={kinds}
      first={typeof table === "string" ? table : undefined}
    />
  );
}
