import { z } from "zod";
import { type MeasuredInput, measuredInput } from "../../quantity/measured";

/**
 * A length as it comes in, mm: above 0, with its spread or without.
 *
 * @example lengthInput("a tip diameter")
 */
export const lengthInput = (what: string): z.ZodType<MeasuredInput> =>
  measuredInput.refine((v) => (typeof v === "number" ? v : v.value) > 0, `${what} must be above 0 mm`);

/** The fields of a length that comes with more: over how many teeth, between which pins. */
export const lengthFields = {
  value: z.number().positive("must be above 0 mm"),
  u: z.number().positive().optional(),
} as const;
