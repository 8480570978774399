import {
  DIRECTIONS,
  FORM_PHRASES,
  FREED_WORDS,
  INTO_WORDS,
  KIND_PHRASES,
  LOCKER_WORDS,
  LOOKS,
  NAMED_PIECES,
  PART_WORDS,
  STATE_WORDS,
  TIGHT_PHRASES,
} from "./lexicon";

/** Words that end most lines, the commonest first: they are offered before the rest of the lexicon. */
const COMMON = [
  "corners", "front", "rear", "left", "right", "top", "bottom", "middle", "under", "above", "below", "behind",
  "inside", "outside", "between", "washer", "screw", "circlip", "spring",
  "bearing", "countersunk", "gasket", "cover", "motor", "gear", "wheel", "handle", "housing", "switch",
  "phillips", "torx", "pozi", "slotted", "allen", "facing", "mark", "only loosened",
  "stays with the cover", "left hand", "once", "locker", "plastic", "drive", "pulled", "pressed", "connector",
  "cable tie",
] as const; // biome-ignore format: a list
const LEXICON: readonly string[] = [
  ...new Set([
    ...COMMON,
    ...Object.values(KIND_PHRASES).map((p) => p[0] as string),
    ...NAMED_PIECES.flatMap((p) => p.phrases),
    ...Object.values(KIND_PHRASES).flat(),
    ...Object.values(FORM_PHRASES).flat(),
    ...PART_WORDS,
    ...DIRECTIONS,
    ...LOOKS,
    ...INTO_WORDS,
    ...LOCKER_WORDS,
    ...TIGHT_PHRASES,
    ...Object.keys(STATE_WORDS),
    ...Object.keys(FREED_WORDS),
  ]),
];

/** So much of a word must stand there before the rest of it is offered. */
const LEAST = 2;
const MOST_WORDS = 3;

/**
 * What is offered behind the word that is being typed: its rest, by what this job said before, then by the
 * trade's words. Empty: nothing is.
 *
 * @param said words and sayings of this job, the latest first
 * @example completionOf("4x TX15 16 co", []) // "rners"
 */
export function completionOf(line: string, said: readonly string[]): string {
  const begun = endsOf(line);
  for (const list of [said, LEXICON])
    for (const fragment of begun) {
      const low = fragment.toLowerCase();
      const found = list.find((w) => w.length > low.length + 1 && w.toLowerCase().startsWith(low));
      if (found) return found.slice(low.length);
    }
  return "";
}

/**
 * The word at the end of the line, with the words before it: the longest first, for "cable t" is more than
 * "t".
 */
function endsOf(line: string): string[] {
  const words = /(?:[\p{L}][\p{L}-]*\s)*[\p{L}][\p{L}-]*$/u.exec(line.slice(-60))?.[0].split(/\s/) ?? [];
  const out: string[] = [];
  for (let n = Math.min(MOST_WORDS, words.length); n > 0; n--) {
    const fragment = words.slice(-n).join(" ");
    if (fragment.length >= LEAST) out.push(fragment);
  }
  return out;
}

/**
 * The sayings of a job that are worth offering again: where pieces sat, whole and word by word, the latest
 * first.
 */
export function sayingsOf(places: readonly (string | undefined)[]): string[] {
  const whole = places.flatMap((p) => (p ? [p] : [])).toReversed();
  return [...new Set([...whole, ...whole.flatMap((p) => p.split(/\s+/))])].filter((w) => w.length > LEAST);
}
