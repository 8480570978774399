import { z } from "zod";
import { jobNumber } from "@/core/job/written";

/** What every action on a job carries: which job, and the version its screen shows. */
export const onJob = { number: jobNumber, version: z.int().min(1) };

const sent = z.looseObject({ sending: z.string().min(1).max(60) });

/** The name that a screen gave what it sends, apart from what it sends. */
export function sendingOf(input: unknown): { readonly sending: string | undefined; readonly rest: unknown } {
  const read = sent.safeParse(input);
  if (!read.success) return { sending: undefined, rest: input };
  const { sending, ...rest } = read.data;
  return { sending, rest };
}
