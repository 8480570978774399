/** How one criterion came out. */
export type CriterionVerdict = "same" | "fits" | "companion" | "rework" | "settle" | "no";

export interface Criterion {
  readonly criterion: string;
  readonly wanted: string;
  readonly offered: string;
  readonly tolerance: string;
  readonly verdict: CriterionVerdict;
  readonly says: string;
  /** one of the two sides is not known: a number that is the same stands for it */
  readonly unknown?: true;
}

export const criterion = (
  name: string,
  wanted: string,
  offered: string,
  tolerance: string,
  verdict: CriterionVerdict,
  says: string,
): Criterion => ({
  criterion: name,
  wanted,
  offered,
  tolerance,
  verdict,
  says,
});

/** The same, where one of the two sides is not known. */
export const unknownCriterion = (...what: Parameters<typeof criterion>): Criterion => ({
  ...criterion(...what),
  unknown: true,
});

/** The verdict on a candidate as a whole. */
export type PartVerdict = "drop-in" | "with-companions" | "with-rework" | "possible" | "no";

/** How the whole is said on screen and sheet. */
export const VERDICT_SAYS: Readonly<Record<PartVerdict, string>> = {
  "drop-in": "Drops in",
  "with-companions": "Only with its companions",
  "with-rework": "After rework",
  possible: "Possible",
  no: "Does not fit",
};

/**
 * The verdict of a whole is that of its worst criterion: no; to be settled, since it may still turn out no;
 * companions; rework; drop-in.
 */
export function wholeVerdict(criteria: readonly Criterion[]): PartVerdict {
  const any = (v: CriterionVerdict): boolean => criteria.some((c) => c.verdict === v);
  if (any("no")) return "no";
  if (any("settle")) return "possible";
  if (any("companion")) return "with-companions";
  if (any("rework")) return "with-rework";
  return "drop-in";
}
