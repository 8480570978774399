import type { Knex } from "knex";
import { notFound } from "next/navigation";
import type { Job } from "@/core/job/job";
import { database } from "@/store/database";
import { currentJob } from "@/store/job";

export interface JobAddress {
  readonly params: Promise<{ number: string }>;
}

/** The job that the address names, or the page that says there is none. */
export async function jobFrom({ params }: JobAddress): Promise<{ job: Job; db: Knex }> {
  const db = await database();
  const job = await currentJob(db, (await params).number);
  if (!job) notFound();
  return { job, db };
}
