import { RecordScreen } from "@/shop/record/record-screen";
import { recordTables } from "@/shop/record/record-tables";
import { pastJobs } from "@/store/past-jobs";

export const dynamic = "force-dynamic";

export default async function Page() {
  const jobs = await pastJobs();
  return <RecordScreen tables={recordTables(jobs)} jobs={jobs.length} />;
}
