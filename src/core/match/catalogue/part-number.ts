/** How a number that was read, typed or told agrees with one in the catalogue. */
export interface NumberMatch {
  readonly how: "exact" | "written" | "misread" | "one off";
  readonly says: string;
}

/** A number without what people leave out or put in: letters in capitals and figures only. */
export const bareNumber = (number: string): string => number.toUpperCase().replace(/[^\p{L}\p{N}]/gu, "");

/** Letters that are taken for a figure on a worn mould or a label under grease. */
const LOOK_ALIKES: Readonly<Record<string, string>> = {
  O: "0",
  Q: "0",
  D: "0",
  I: "1",
  L: "1",
  S: "5",
  B: "8",
  Z: "2",
  G: "6",
};

/**
 * A number as a blurred eye sees it: what is easily taken for each other is one sign. Two parts may share it,
 * so it finds, and does not decide.
 *
 * @example foldedNumber("VL8-4O-24l") === foldedNumber("VLB-40-241") // true
 */
export const foldedNumber = (number: string): string =>
  [...bareNumber(number)].map((c) => LOOK_ALIKES[c] ?? c).join("");

/**
 * No maker's number is longer. What is, is a sentence that came in at the wrong place: it is looked up as it
 * stands, and not compared sign by sign.
 */
export const LONGEST_NUMBER = 60;

/**
 * Shorter numbers differ from their neighbours by one sign: a slip in them cannot be told from another part.
 */
const LEAST_FOR_A_SLIP = 6;

/**
 * How a number that was asked for agrees with a catalogue number: the same; written otherwise (spaces,
 * dashes, small letters); misread (0 and O, 1 and I, 5 and S, 8 and B, 2 and Z, 6 and G);
 * or one sign off (left out, put in, wrong, or two changed about), from six signs on. Null: not this one.
 *
 * @example numberMatch("vlb 40 241", "VLB-40-241")?.how // "written"
 */
export function numberMatch(asked: string, number: string): NumberMatch | null {
  if (asked.trim() === number) return { how: "exact", says: "the number that was asked for" };
  if (asked.length > LONGEST_NUMBER || number.length > LONGEST_NUMBER) return null;
  const [a, b] = [bareNumber(asked), bareNumber(number)];
  if (!a || !b) return null;
  if (a === b) return { how: "written", says: `the same number, written ${asked.trim()}` };
  if (foldedNumber(asked) === foldedNumber(number)) {
    const there = [...b];
    const signs = [...a].flatMap((c, i) => (c === there[i] ? [] : [`${c} instead of ${there[i]}`]));
    return { how: "misread", says: `${signs.join(", ")}: easily misread, look again` };
  }
  if (Math.min(a.length, b.length) >= LEAST_FOR_A_SLIP && isOneSlip(a, b))
    return { how: "one off", says: `one sign differs from ${asked.trim()}: look again` };
  return null;
}

/** One sign wrong, left out or put in, or two neighbours changed about (Damerau's distance of 1). */
function isOneSlip(a: string, b: string): boolean {
  let from = 0;
  while (from < a.length && a[from] === b[from]) from++;
  let back = 0;
  while (back < Math.min(a.length, b.length) - from && a.at(-1 - back) === b.at(-1 - back)) back++;
  const [left, right] = [a.slice(from, a.length - back), b.slice(from, b.length - back)];
  if (left.length <= 1 && right.length <= 1) return true;
  return left.length === 2 && right.length === 2 && left[0] === right[1] && left[1] === right[0];
}

/** A part, as far as it replaces others. */
interface Replaces {
  readonly number: string;
  readonly replaces: readonly {
    readonly number: string;
    readonly when?: string;
    readonly variants: readonly string[];
  }[];
}

/** One that replaces a number, and by which way. */
export interface Successor<P> {
  readonly part: P;
  /** the numbers from the old one to this one */
  readonly chain: readonly string[];
  readonly conditions: readonly string[];
  /** the variants it does so for; empty: for all */
  readonly variants: readonly string[];
}

/**
 * Everything that replaces a number, directly or by way of others, the nearest first. Circles end where they
 * began.
 *
 * @example successorsOf("A-1", [{ number: "A-2", replaces: [{ number: "A-1" }] }])[0].chain // ["A-1", "A-2"]
 */
export function successorsOf<P extends Replaces>(number: string, parts: readonly P[]): Successor<P>[] {
  const byOld = new Map<string, P[]>();
  for (const p of parts)
    for (const r of p.replaces)
      byOld.set(bareNumber(r.number), [...(byOld.get(bareNumber(r.number)) ?? []), p]);
  const out: Successor<P>[] = [];
  const seen = new Set([bareNumber(number)]);
  let edge: Omit<Successor<P>, "part">[] = [{ chain: [number], conditions: [], variants: [] }];
  while (edge.length) {
    const next: typeof edge = [];
    for (const { chain, conditions, variants } of edge) {
      const old = chain.at(-1) as string;
      for (const part of byOld.get(bareNumber(old)) ?? []) {
        if (seen.has(bareNumber(part.number))) continue;
        seen.add(bareNumber(part.number));
        const said = part.replaces.find((r) => bareNumber(r.number) === bareNumber(old));
        const here = {
          chain: [...chain, part.number],
          conditions: said?.when ? [...conditions, said.when] : conditions,
          variants: !said?.variants.length
            ? variants
            : variants.length
              ? variants.filter((v) => said.variants.includes(v))
              : said.variants,
        };
        out.push({ part, ...here });
        next.push(here);
      }
    }
    edge = next;
  }
  return out;
}
