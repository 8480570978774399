import type { StripStep } from "../job/step";
import { type RebuildLine, stepBackIn } from "./rebuild-line";

/** Numbers as they are said before a span of time. */
const SPOKEN: Readonly<Record<string, number>> = {
  a: 1, an: 1, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, eight: 8, ten: 10, twelve: 12,
  fifteen: 15, twenty: 20, thirty: 30, "half an": 0.5, "half a": 0.5,
}; // biome-ignore format: a short list reads better in rows
const UNIT: readonly (readonly [RegExp, number])[] = [
  [/^min/, 1],
  [/^h/, 60],
  [/^d/, 1440],
];
const SPAN = new RegExp(
  String.raw`(?<![\p{L}\d])(\d{1,3}(?:[.,]\d)?|${Object.keys(SPOKEN)
    .sort((a, b) => b.length - a.length)
    .join("|")})[\s-]*(minutes?|mins?|hours?|hrs?|h|days?)(?![\p{L}\d])`,
  "iu",
);
/** Words that make a span of time one that passes before something else is done. */
const PASSES =
  /\b(?:wait|let|leave|left|sets?|cures?|soaks?|dry|dries|hardens?|rest|cools?|warm|heat|stand)\b/i;

/**
 * How long has to be waited, where somebody said so; undefined: nobody did, or the time is one that a thing
 * runs for.
 *
 * @returns minutes
 * @example minutesSaid("let the glue set 10 minutes") // 10
 * @example minutesSaid("run it for 10 minutes") // undefined
 */
export function minutesSaid(says: string): number | undefined {
  const found = PASSES.test(says) ? SPAN.exec(says) : null;
  if (!found) return undefined;
  const [, figure = "", unit = ""] = found;
  const n = SPOKEN[figure.toLowerCase()] ?? Number(figure.replace(",", "."));
  return Math.round(n * (UNIT.find(([is]) => is.test(unit.toLowerCase()))?.[1] ?? 1));
}

/** A wait that was said in words, and the line with which it begins. */
export interface SaidWait {
  readonly after: number;
  readonly minutes: number;
  readonly why: string;
  readonly holds?: string;
}

/**
 * The waits that were said at the strip: each begins with its own line, or with the return of the step it was
 * said of, and is over before the next step goes back. What is said for the end is over before the unit runs.
 */
export function saidWaits(steps: readonly StripStep[], lines: readonly RebuildLine[]): SaidWait[] {
  const next = (n: number): { readonly holds?: string } => {
    const holds = lines.flatMap((l) => (l.n > n ? (stepBackIn(l) ?? []) : []))[0];
    return holds === undefined ? {} : { holds };
  };
  return lines.flatMap((l): SaidWait[] => {
    const said = l.kind === "mind" ? [l.says] : l.kind === "fit" ? returnsOf(steps, l.undoes) : [];
    return said.flatMap((says) => {
      const minutes = minutesSaid(says);
      return minutes ? [{ after: l.n, minutes, why: `as it was said: ${says}`, ...next(l.n) }] : [];
    });
  });
}

const returnsOf = (steps: readonly StripStep[], id: string): string[] =>
  (steps.find((s) => s.id === id)?.remarks ?? []).filter((r) => r.about === "return").map((r) => r.says);
