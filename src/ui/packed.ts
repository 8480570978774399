import { useMemo } from "react";

/**
 * Records on their way from the server to a component of the browser, as one text. Handed over as they are,
 * every field of every record is walked through three times (written, read for the first page, read in the
 * browser); a
 * hundred pockets cost more than all the rest of their page. A text is passed on.
 */
export type Packed<T> = string & { readonly packs?: T };

const before = new WeakMap<object, string>();

/**
 * Quotation marks and tildes change places: on its way a text is quoted twice, and each of its own quotation
 * marks would be four characters by then.
 */
const swapped = (text: string): string =>
  text
    .split("~")
    .map((part) => part.replaceAll('"', "~"))
    .join('"');

/** Packs what JSON can say. What was packed before, and is still the same record, is not packed anew. */
export function pack<T extends object>(records: T): Packed<T> {
  const text = before.get(records) ?? swapped(JSON.stringify(records));
  before.set(records, text);
  return text as Packed<T>;
}

const after = new Map<string, unknown>();
/** Texts whose records are held: those of the jobs that are looked at now. */
const MOST_HELD = 40;

/**
 * Only what `pack` made is unpacked here, so that what comes out is what went in. The same text gives the
 * same records: nobody changes them.
 */
export function unpack<T>(packed: Packed<T>): T {
  const records = after.get(packed) ?? JSON.parse(swapped(packed));
  after.delete(packed);
  after.set(packed, records);
  const [oldest] = after.keys();
  if (after.size > MOST_HELD && oldest !== undefined) after.delete(oldest);
  return records;
}

export const usePacked = <T>(packed: Packed<T>): T => useMemo(() => unpack(packed), [packed]);
