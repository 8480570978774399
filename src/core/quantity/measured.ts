import { z } from "zod";

/** A reading with its spread: `u` is one standard deviation, in the unit of `value`. */
export interface Measured {
  readonly value: number;
  readonly u: number;
}

/** As it comes in from outside: a bare number carries the instrument's own spread. */
export type MeasuredInput = number | { value: number; u?: number };

/**
 * Reads `12.3` or `{ "value": 12.3, "u": 0.02 }`. Not a number, not finite or a negative spread is refused.
 */
export const measuredInput: z.ZodType<MeasuredInput> = z.union([
  z.number(),
  z.strictObject({ value: z.number(), u: z.number().positive("the spread u must be above 0").optional() }),
]);

/** Gives every input a spread. `instrumentU` is used where none was given. */
export function measured(input: MeasuredInput, instrumentU: number): Measured {
  if (typeof input === "number") return { value: input, u: instrumentU };
  return { value: input.value, u: input.u ?? instrumentU };
}

/**
 * Several readings of one dimension as one: the mean, with the spread of the mean.
 *
 * What the readings show among themselves, s/√n, is added to the instrument's own spread, which does not
 * shrink: a caliper whose zero or jaws are off is off in every reading, so that
 * four equal readings are no better than the caliper. Source: GUM (JCGM 100) 4.2 (type A), 4.3 (type B), 5.1.
 *
 * @param values the readings, one unit; at least one
 * @param instrumentU the instrument's own spread
 * @example meanOf([12.30, 12.34], 0.02) // { value: 12.32, u: 0.02 }
 */
export function meanOf(values: readonly number[], instrumentU: number): Measured {
  const n = values.length;
  if (n === 0) throw new RangeError("meanOf needs at least one reading");
  const value = values.reduce((a, b) => a + b, 0) / n;
  const s = n > 1 ? Math.sqrt(values.reduce((a, b) => a + (b - value) ** 2, 0) / (n - 1)) : 0;
  return { value, u: Math.hypot(s / Math.sqrt(n), instrumentU) };
}
