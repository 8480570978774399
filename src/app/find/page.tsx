import { FindScreen } from "@/shop/find/find-screen";
import { findJobs } from "@/store/find-jobs";

export const dynamic = "force-dynamic";

export default async function Page({ searchParams }: { searchParams: Promise<{ readonly q?: string }> }) {
  const typed = ((await searchParams).q ?? "").slice(0, 200);
  return <FindScreen typed={typed} found={await findJobs(typed)} />;
}
