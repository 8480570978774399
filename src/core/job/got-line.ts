import { SOURCES, type Source } from "./got";

/** What one line says of where a part comes from, each field as it is typed into its own. */
export interface GotLine {
  readonly from?: Source;
  readonly says?: string;
  readonly number?: string;
  readonly price?: string;
}

/** Words by which a source is said. */
const SAID: Readonly<Record<Source, RegExp>> = {
  kit: /\bkits?\b/i,
  counter: /\b(counter|bought|shop round the corner)\b/i,
  customer: /\b(customer|owner|brought)\b/i,
  donor: /\b(donor|another unit|other unit|scrap(ped)? unit|parts unit)\b/i,
  made: /\b(made here|made|turned|printed)\b/i,
};
const PRICE = /^(?:for\s+|at\s+)?(?:[€$£]\s*)?(\d{1,6}(?:[.,]\d{1,2})?)\s*(?:€|\$|£|eur|euros?|gbp|usd)?$/i;
const MARKED = /[€$£]|eur|gbp|usd|^(?:for|at)\s/i;
const NUMBER = /^(?:no\.?|nr\.?|number|part(?: no\.?)?|#)\s*(\S.*)$/i;
/** A number of a part has a figure in it, and no blank. */
const LOOKS_A_NUMBER = /^(?=\S*\d)(?=\S*(?:\p{L}|-|\d{4}))[\p{L}\p{N}./-]+$/u;

/**
 * Reads where a part comes from out of one line, said as at the bench: what it says on it, its number and its price
 * in any order, commas between. What is neither stays with the words, letter by letter. A bare figure is a price
 * where it has cents or stands last, and nothing else could be one.
 *
 * @example gotFromLine("counter, Ombray Tools, no. 4711-B, 12.50") // from "counter", number "4711-B", price "12.50"
 */
export function gotFromLine(line: string): GotLine {
  const said = line.split(/,(?!\d)|;/).map((s) => s.trim());
  const all = said.filter(Boolean);
  const from = SOURCES.find((s) => SAID[s.from].test(line))?.from;
  const rest: string[] = [];
  let number: string | undefined;
  let price: string | undefined;
  for (const [i, s] of all.entries()) {
    const amount = PRICE.exec(s)?.[1];
    const isPrice =
      amount !== undefined && (MARKED.test(s) || /[.,]\d{2}$/.test(amount) || i === all.length - 1);
    const named = NUMBER.exec(s)?.[1];
    if (isPrice && price === undefined) price = amount;
    else if (number === undefined && (named !== undefined || LOOKS_A_NUMBER.test(s))) number = named ?? s;
    // the word for the source alone says nothing more
    else if (!(from !== undefined && /^(?:from )?(?:the |a )?\p{L}+$/iu.test(s) && SAID[from].test(s)))
      rest.push(s);
  }
  return {
    ...(from && { from }),
    ...(rest.length && { says: rest.join(", ") }),
    ...(number && { number }),
    ...(price && { price }),
  };
}

/**
 * Fields as a line fills them while it is typed: what an earlier state of the line put there goes with it,
 * what somebody wrote into a field of its own stays.
 */
export function filledFrom<T extends Readonly<Record<string, string>>>(
  fields: T,
  line: string,
): Record<string, string> {
  const before: Readonly<Record<string, string | undefined>> = { ...gotFromLine(fields.line ?? "") };
  const kept = Object.entries(fields).filter(([k, v]) => before[k] === undefined || before[k] !== v);
  const said = gotFromLine(line);
  return { ...said, ...Object.fromEntries(kept), ...(said.from && { from: said.from }), line };
}
