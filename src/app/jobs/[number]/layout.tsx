import { notFound } from "next/navigation";
import type { ReactNode } from "react";
import { DamagedJobScreen } from "@/stages/frame/damaged-job-screen";
import { pageJob } from "@/stages/job-view/page-job";
import { DamagedRow } from "@/store/rows";
import type { JobAddress } from "./address";

/**
 * Stands above the pages' loading state: an address of no job is answered as one before anything of a page is
 * sent, and a job that cannot be read as that.
 */
export default async function JobLayout({
  children,
  params,
}: JobAddress & { readonly children: ReactNode }): Promise<ReactNode> {
  const { number } = await params;
  try {
    return (await pageJob(number)) ? children : notFound();
  } catch (e) {
    if (e instanceof DamagedRow) return <DamagedJobScreen number={number} damage={e.message} />;
    throw e;
  }
}
