/** A last check before the unit goes home. With a unit it takes a figure, judged against `min` or `max`. */
export interface FinalCheck {
  readonly check: string;
  readonly asks: string;
  readonly why: string;
  /** what to listen or look for: what is only that, and what is not */
  readonly listenFor?: string;
  /** what can hurt at it */
  readonly caution?: string;
  /** an electrical test: it is not left out */
  readonly never?: true;
  /** the unit runs for it: what has to cure before is waited for */
  readonly runs?: true;
  /** the customer is told of it on their page */
  readonly told?: true;
  /** answered with yes, all guards and covers are on */
  readonly covers?: true;
  /** how long it has run before it can be answered, minutes */
  readonly minutes?: number;
  /** a figure that is read at the unit, and moves the limit */
  readonly reads?: ReadAtUnit;
  /** it is asked because such units mostly have or do it: nobody said so of this one */
  readonly usual?: string;
  /** words or a figure may stand beside the yes: what was measured */
  readonly may?: string;
  /** with what it is measured; which one it was is asked, and stands beside the figure */
  readonly instrument?: string;
  /** it is answered by one of these */
  readonly choices?: readonly Choice[];
  /** it is answered for each of these, by one of its choices */
  readonly each?: readonly { readonly item: string; readonly says: string }[];
  /** the choice that was agreed before, and stands until another is taken; left out: each is said */
  readonly agreed?: string;
  readonly unit?: string;
  readonly min?: number;
  readonly max?: number;
  /** where the limit comes from; a shop edits it to its local code */
  readonly source?: string;
}

/** Figures of a unit that a limit depends on. */
export type ReadAtUnit = "plateA" | "plateRpm" | "cordM" | "heaterKw";

/** One of several answers to a check. */
export interface Choice {
  readonly answer: string;
  readonly says: string;
}

/** @example limitInWords({ max: 0.3, unit: "Ω", source: "local code" }) // "at most 0.3 Ω, local code" */
export function limitInWords({
  min,
  max,
  unit,
  source,
}: Pick<FinalCheck, "min" | "max" | "unit" | "source">): string {
  const range =
    max === undefined ? `at least ${min}` : min === undefined ? `at most ${max}` : `${min} to ${max}`;
  return [`${range} ${unit}`, source].filter(Boolean).join(", ");
}

/** A figure as an instrument shows it: `0.12`, `0,12`, and `> 999` where its range ends. */
export interface ShownFigure {
  readonly value: number;
  /** it is more than that: the range ends there */
  readonly above: boolean;
}

/** A yes where a figure is asked for. */
const PASSED = /^\s*(?:yes|y|ok(?:ay)?|pass(?:ed)?|good|fine|✓)\s*[.!]?\s*$/i;

/**
 * Reads what an instrument shows.
 *
 * @returns the figure, or a sentence: it is none, or beyond the range of a check with an upper limit
 * @example shownFigure("> 999", { unit: "MΩ", min: 1 }) // { value: 999, above: true }
 */
export function shownFigure(
  text: string,
  { unit = "", max }: Pick<FinalCheck, "unit" | "min" | "max">,
): ShownFigure | string {
  const said = /^\s*([>≥]?)\s*(-?[\d.,]+)\s*(.*)$/.exec(text);
  const value = Number(said?.[2]?.replace(",", "."));
  const tail = said?.[3]?.trim() ?? "";
  if (!said || !Number.isFinite(value) || (tail !== "" && tail.toLowerCase() !== unit.toLowerCase()))
    return PASSED.test(text)
      ? `Passed with what figure? Give it in ${unit}, as the instrument showed it.`
      : `Give the figure in ${unit}.`;
  const above = said[1] !== "";
  if (above && max !== undefined && value >= max)
    return `More than ${value} ${unit} is above the limit of ${max} ${unit}: it must not go out.`;
  if (above && max !== undefined)
    return `More than ${value} ${unit} is beyond the instrument’s range: measure it in the next one.`;
  return { value, above };
}

const MOST_SHOWN = 1e6;

/** Whether a measured figure passes, as a sentence; null if it does. */
export function figureFault(check: FinalCheck, value: number): string | null {
  // only a temperature can be below nothing
  if (!Number.isFinite(value) || (value < 0 && !check.unit?.startsWith("°")))
    return "must be a figure of 0 or more";
  if (value > MOST_SHOWN)
    return `${value} ${check.unit} is more than any instrument shows: read it once more`;
  if (check.max !== undefined && value > check.max)
    return `${value} ${check.unit} is above the limit of ${check.max} ${check.unit}: it must not go out`;
  if (check.min !== undefined && value < check.min)
    return `${value} ${check.unit} is below the limit of ${check.min} ${check.unit}: it must not go out`;
  return null;
}
