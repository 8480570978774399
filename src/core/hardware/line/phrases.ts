import type { HardwareKind } from "../kinds";
import type { HardwareForm } from "../piece";
import {
  CONDITIONS,
  COUNT_PHRASES,
  COUNT_WORDS,
  DIRECTIONS,
  DRIVE_PHRASES,
  FORM_PHRASES,
  FREED_COMMANDS,
  FREED_WORDS,
  KIND_PHRASES,
  LEFT_HAND,
  LOCKER_WORDS,
  LOOKS,
  NAMED_PIECES,
  NOT_PHRASES,
  ONCE_WORDS,
  PART_WORDS,
  PLACES,
  PREPOSITIONS,
  STATE_WORDS,
  TIGHT_PHRASES,
  VAGUE_COUNTS,
} from "./lexicon";
import type { Meaning } from "./tokens";

/** What has several words counts before what has one; of the same length, what stands first here. */
const entries: readonly (readonly [phrase: string, means: Meaning])[] = [
  ...NOT_PHRASES.map((p) => [p, { t: "not" }] as const),
  ...NAMED_PIECES.flatMap(({ phrases, ...piece }) =>
    phrases.map((p) => [p, { t: "kind", ...piece }] as const),
  ),
  ...of(KIND_PHRASES, (kind: HardwareKind) => ({ t: "kind", kind })),
  ...LEFT_HAND.map((p) => [p, { t: "hand" }] as const),
  ...ONCE_WORDS.map((p) => [p, { t: "once" }] as const),
  ...LOCKER_WORDS.map((p) => [p, { t: "locker", colour: "seen" }] as const),
  ...of(FORM_PHRASES, (form: HardwareForm) => ({ t: "form", form })),
  ...of(DRIVE_PHRASES, (drive: string) => ({ t: "drive", drive })),
  ...TIGHT_PHRASES.map((p) => [p, { t: "tight" }] as const),
  ...Object.entries(COUNT_PHRASES).map(([p, n]) => [p, { t: "count", n }] as const),
  ...Object.entries(COUNT_WORDS).map(([p, n]) => [p, { t: "countWord", n }] as const),
  ...Object.entries(STATE_WORDS).map(([p, state]) => [p, { t: "state", state }] as const),
  ["coarse", { t: "threadIs", threadIs: "coarse" }],
  ["coarse thread", { t: "threadIs", threadIs: "coarse" }],
  ["fine", { t: "threadIs", threadIs: "machine" }],
  ["fine thread", { t: "threadIs", threadIs: "machine" }],
  ["machine", { t: "threadIs", threadIs: "machine" }],
  ["machine thread", { t: "threadIs", threadIs: "machine" }],
  ...LOOKS.map((p) => [p, { t: "look", look: p }] as const),
  ...Object.entries(PLACES).map(([p, says]) => [p, { t: "place", says }] as const),
  ...DIRECTIONS.map((p) => [p, { t: "direction" }] as const),
  ...PREPOSITIONS.map((p) => [p, { t: "preposition" }] as const),
  ...Object.entries(FREED_WORDS).map(([p, how]) => [p, { t: "freed", how, isSure: true }] as const),
  ...Object.entries(FREED_COMMANDS).map(([p, how]) => [p, { t: "freed", how, isSure: false }] as const),
  ["and", { t: "joint", how: "and" }],
  ["plus", { t: "joint", how: "plus" }],
  ["with", { t: "joint", how: "with" }],
  ["each with", { t: "joint", how: "with" }],
  ["each has", { t: "joint", how: "with" }],
  ["has the", { t: "empty", hasA: true }],
  ["has a", { t: "empty", hasA: true }],
  ["has its", { t: "empty", hasA: true }],
  ["has", { t: "empty", hasA: true }],
  ["have", { t: "empty", hasA: true }],
  ["each", { t: "empty", isEach: true }],
  ...["the", "all", "all of", "these", "those", "other", "more", "another"].map(
    (p) => [p, { t: "empty" }] as const,
  ),
  ["its", { t: "empty" }],
  ...VAGUE_COUNTS.map((p) => [p, { t: "vague" }] as const),
  ...CONDITIONS.map((p) => [p, { t: "word", isCondition: true }] as const),
  ...PART_WORDS.map((p) => [p, { t: "word", isPart: true }] as const),
];

function of<K extends string>(
  table: Readonly<Record<K, readonly string[]>>,
  means: (key: K) => Meaning,
): (readonly [string, Meaning])[] {
  return (Object.entries(table) as [K, readonly string[]][]).flatMap(([key, phrases]) =>
    phrases.map((p) => [p, means(key)] as const),
  );
}

/** Blank and hyphen are one between the words of a phrase. */
const folded = (phrase: string): string => phrase.toLowerCase().replace(/[-\s]+/g, " ");

const BY_PHRASE = new Map<string, Meaning>();
for (const [phrase, means] of entries)
  if (!BY_PHRASE.has(folded(phrase))) BY_PHRASE.set(folded(phrase), means);
const MOST_WORDS = Math.max(...[...BY_PHRASE.keys()].map((p) => p.split(" ").length));

/** What is said in the singular is read in the plural too, where it names something. */
const NAMES: readonly Meaning["t"][] = ["kind", "form", "word"];
function meaningOf(phrase: string): Meaning | undefined {
  const exact = BY_PHRASE.get(phrase);
  if (exact) return exact;
  for (const plural of [/es$/, /s$/]) {
    const found = plural.test(phrase) ? BY_PHRASE.get(phrase.replace(plural, "")) : undefined;
    if (found && NAMES.includes(found.t)) return found.t === "kind" ? { ...found, isMany: true } : found;
  }
  return undefined;
}

/**
 * The longest phrase of the trade that begins at a place of the line.
 *
 * @returns what it means, and where it ends; undefined: none begins here
 */
export function phraseAt(
  line: string,
  from: number,
): { readonly to: number; readonly means: Meaning } | undefined {
  const word = /[\p{L}\p{N}'’/]+/uy;
  const gap = /[-\s]+/uy;
  let said = "";
  let at = from;
  let longest: { to: number; means: Meaning } | undefined;
  for (let n = 0; n < MOST_WORDS; n++) {
    word.lastIndex = at;
    const next = word.exec(line)?.[0];
    // no word of the trade is longer: a line without blanks is not walked through again and again
    if (!next || next.length > 24) break;
    said = said ? `${said} ${next.toLowerCase()}` : next.toLowerCase();
    at += next.length;
    const means = meaningOf(said);
    if (means) longest = { to: at, means };
    gap.lastIndex = at;
    const between = gap.exec(line)?.[0];
    if (!between) break;
    at += between.length;
  }
  return longest;
}

const escaped = (phrase: string): string =>
  phrase.replace(/[.*+?^${}()|[\]\\]/g, "\\$&").replace(/ /g, "[- ]");
/** Every word that names a kind of piece, as one alternative of a pattern, the longest first. */
export const KIND_WORDS = [
  ...new Set([...Object.values(KIND_PHRASES).flat(), ...NAMED_PIECES.flatMap((n) => n.phrases), "split pin"]),
]
  .filter((w) => !["flat", "piece", "wavy", "wave", "carbon", "shaving", "filings"].includes(w))
  .sort((a, b) => b.length - a.length)
  .map(escaped)
  .join("|");

/** What can hold a part so that it must come off before it: said as what holds it, it came off. */
export const HOLDING_KINDS = [
  "screw", "bolt", "nut", "circlip", "snap ring", "e[- ]clip", "split pin", "cotter", "rivet", "cable tie",
  "hose clamp", "roll pin", "grub",
] as const; // biome-ignore format: a short list reads better in rows
