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
  /** words or a figure may stand beside the yes: what was measured */
  readonly may?: string;
  /** with what it is measured; which one it was is asked, and stands beside the figure */
  readonly instrument?: string;
  /** it is answered by one of these; the first is what was agreed before */
  readonly choices?: readonly Choice[];
  readonly unit?: string;
  readonly min?: number;
  readonly max?: number;
  /** where the limit comes from; a shop edits it to its local code */
  readonly source?: string;
}

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
