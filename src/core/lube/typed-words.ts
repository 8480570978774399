import { type ChamberTyped, chamberTyped } from "../job/chamber";

const FIGURES = chamberTyped.keyof().options;

/**
 * The words in which a chamber's figures were typed. A figure that is said in another way takes its old words
 * with it.
 *
 * @param changed what is said anew of the chamber
 * @returns undefined: there are none
 * @example wordsKept({ oldGrams: "4 oz" }, {}, ["oldGrams"]) // undefined
 */
export function wordsKept(
  before: ChamberTyped = {},
  said: ChamberTyped = {},
  changed: readonly string[] = [],
): ChamberTyped | undefined {
  const kept = FIGURES.flatMap((k) => {
    const words = said[k] ?? (changed.includes(k) ? undefined : before[k]);
    return words === undefined ? [] : [[k, words] as const];
  });
  return kept.length ? Object.fromEntries(kept) : undefined;
}

/** What the job's history says was said of a chamber: figures as they were typed. */
export function saidOf(changed: readonly string[], said: ChamberTyped = {}): string {
  const words = new Map<string, string | undefined>(FIGURES.map((k) => [k, said[k]]));
  return `${changed.map((k) => [k, words.get(k)].filter(Boolean).join(" ")).join(", ")} said`;
}
