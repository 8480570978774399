import { z } from "zod";

/**
 * The steps that a part which is added can go back with, the last first, and the hardware of each that may be
 * such a part: fetched when somebody adds one.
 */
export const stepsToAddTo = z.array(
  z.object({
    step: z.string(),
    says: z.string(),
    hardware: z.array(z.object({ id: z.string(), says: z.string() })),
  }),
);
export type StepsToAddTo = z.infer<typeof stepsToAddTo>;
