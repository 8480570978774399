import { Fault } from "../fault";

/** Which characters of a serial number say when the unit was made, counted from 1. */
export interface DateCode {
  readonly year: readonly [from: number, to: number];
  readonly week?: readonly [from: number, to: number];
  readonly month?: readonly [from: number, to: number];
}

export interface Made {
  readonly year: number;
  readonly week?: number;
  readonly month?: number;
}

const FIELDS = ["year", "week", "month"] as const;

/**
 * A maker's date code as the shop teaches it: `characters 2–3 year, 4–5 week`. Letters, digits and dashes of
 * the serial count, spaces do not.
 *
 * Throws a {@link Fault} with a sentence where a place or the year is missing.
 *
 * @example dateCodeFrom("characters 2–3 year, 4–5 week") // { year: [2, 3], week: [4, 5] }
 */
export function dateCodeFrom(text: string): DateCode {
  const out: Partial<Record<(typeof FIELDS)[number], readonly [number, number]>> = {};
  for (const piece of text.toLowerCase().replace(/\s+/g, " ").split(/[,;]/)) {
    const m = /(\d{1,2})\s*(?:(?:[-–]|to)\s*(\d{1,2}))?\s*(?:is\s+|=\s*)?(year|week|month)/.exec(piece);
    if (!m) {
      if (piece.trim())
        throw new Fault(
          "dateCode",
          `“${piece.trim()}” is not read: say it like “characters 2–3 year, 4–5 week”`,
        );
      continue;
    }
    const [from, to] = [Number(m[1]), Number(m[2] ?? m[1])];
    if (from < 1 || to < from || to - from > 3)
      throw new Fault("dateCode", `characters ${from} to ${to} cannot hold a ${m[3]}`);
    out[m[3] as (typeof FIELDS)[number]] = [from, to];
  }
  if (!out.year) throw new Fault("dateCode", "say at least which characters are the year");
  return { ...out, year: out.year };
}

/**
 * When a unit was made, by its serial number and its maker's date code; null where the serial does not carry
 * one. A year of two digits is the latest that
 * is not in the future.
 *
 * @param thisYear the year that it is now
 * @example madeFrom({ year: [2, 3], week: [4, 5] }, "K1914-0771", 2026) // { year: 2019, week: 14 }
 */
export function madeFrom(code: DateCode, serial: string, thisYear: number): Made | null {
  const plain = serial.replace(/\s/g, "");
  const read = (place: readonly [number, number] | undefined): number | undefined => {
    const said = place && plain.slice(place[0] - 1, place[1]);
    return said && said.length === place[1] - place[0] + 1 && /^\d+$/.test(said) ? Number(said) : undefined;
  };
  const said = read(code.year);
  if (said === undefined) return null;
  const digits = code.year[1] - code.year[0] + 1;
  const span = 10 ** digits;
  const year = digits >= 4 ? said : thisYear - ((((thisYear - said) % span) + span) % span);
  if (year > thisYear || year < thisYear - 99) return null;
  const [week, month] = [read(code.week), read(code.month)];
  if ((code.week && !(week && week <= 53)) || (code.month && !(month && month <= 12))) return null;
  return { year, ...(week ? { week } : {}), ...(month ? { month } : {}) };
}

/** @example madeInWords({ year: 2019, week: 14 }, 2026) // "made in week 14 of 2019, about 7 years old" */
export function madeInWords(made: Made, thisYear: number): string {
  const when = made.week
    ? `week ${made.week} of ${made.year}`
    : made.month
      ? `${String(made.month).padStart(2, "0")}/${made.year}`
      : String(made.year);
  const years = thisYear - made.year;
  return `made in ${when}, ${years === 0 ? "this year" : years === 1 ? "about a year old" : `about ${years} years old`}`;
}
