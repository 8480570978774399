import { format, isValid, parseISO } from "date-fns";

/**
 * A day or a moment as a screen or a sheet writes it. What is no day stands there as it was written: one odd
 * date stops no screen.
 */
export function dayAs(iso: string, pattern: string): string {
  const day = parseISO(iso);
  return isValid(day) ? format(day, pattern) : iso;
}
