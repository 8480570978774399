import { z } from "zod";
import { jobNumber } from "@/core/job/written";

/** What every action on a job carries: which job, and the version its screen shows. */
export const onJob = { number: jobNumber, version: z.int().min(1) };
