import { notFound } from "next/navigation";
import type { ReactNode } from "react";
import { pageJob } from "@/stages/job-view/page-job";
import type { JobAddress } from "./address";

/** Stands above the pages' loading state: an address of no job is answered as one before anything of a page is sent. */
export default async function JobLayout({ children, params }: JobAddress & { readonly children: ReactNode }): Promise<ReactNode> {
  const { number } = await params;
  return (await pageJob(number)) ? children : notFound();
}
