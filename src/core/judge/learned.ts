import { ROOTS } from "./roots";

/** What a job that went home was judged to have failed of. */
export interface Verdict {
  readonly model: string;
  readonly causes: readonly string[];
  /** it came back within its warranty: the verdict is not believed */
  readonly cameBack: boolean;
  /** when it went home; ISO 8601 */
  readonly on: string;
}

/** What a shop has seen of one cause in one kind of unit. */
export interface Learned {
  readonly cause: string;
  /** verdicts that named it, of jobs that did not come back */
  readonly n: number;
  /** jobs of the kind that went home with a verdict */
  readonly m: number;
  /** 0 to 1, as it ships */
  readonly shipped: number;
  /** 0 to 1, in its place */
  readonly prior: number;
}

/** Kind of unit, in small letters → the moment before which its verdicts do not count. */
export type LearnedSince = Readonly<Record<string, string>>;

/** How a kind is known: as it was typed at Take in, in small letters. */
export const kindKey = (kind: string): string => kind.trim().toLowerCase();

/** Verdicts of a kind that count: those that went home after the shop last started it afresh. */
export const counted = (verdicts: readonly Verdict[], kind: string, since: LearnedSince): Verdict[] => {
  const from = since[kindKey(kind)];
  return from === undefined ? [...verdicts] : verdicts.filter((v) => v.on > from);
};

/** As many jobs as the shipped prior weighs: a₀ + b₀ of its Beta distribution. */
const WEIGHT = 20;
const shifted = (prior: number, n: number, m: number): number => (WEIGHT * prior + n) / (WEIGHT + m);

/**
 * Priors of a kind of unit, learned from the shop's own verdicts: the mean of Beta(a₀ + n, b₀ + m − n). Other
 * models of the kind shift the prior that ships, and the model's own jobs shift that in turn. A job that came
 * back stays among the m, and counts for no cause.
 *
 * @param verdicts of units of this kind that went home
 * @param model whose unit is on the bench
 */
export function learnedPriors(verdicts: readonly Verdict[], model: string): Learned[] {
  const told = verdicts.filter((v) => v.causes.length > 0);
  const own = told.filter((v) => v.model === model);
  const others = told.filter((v) => v.model !== model);
  const named = (of: readonly Verdict[], cause: string): number =>
    of.filter((v) => !v.cameBack && v.causes.includes(cause)).length;
  return ROOTS.map(({ cause, prior }) => {
    const ofKind = shifted(prior, named(others, cause), others.length);
    return {
      cause,
      n: named(told, cause),
      m: told.length,
      shipped: prior,
      prior: shifted(ofKind, named(own, cause), own.length),
    };
  });
}
