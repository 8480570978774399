import { z } from "zod";

/** What every action on a job carries: which job, and the version its screen shows. */
export const onJob = { number: z.string().regex(/^J-\d{4,6}$/), version: z.int().min(1) };
