import { type Evidence, type Fact, factsOf } from "./evidence";
import { infer } from "./network/infer";
import { networkFor } from "./network/network";
import type { Known } from "./network/noisy-or";
import { ROOTS } from "./roots";

/** What is known of a unit, as the network takes it. */
export interface Case {
  readonly facts: readonly Fact[];
  readonly past: ReadonlySet<string>;
  readonly known: Known;
  readonly own: Readonly<Record<string, number>>;
}
/** What facts tell the network: of the past, and of the signs. */
export const partsOf = (facts: readonly Fact[]): Omit<Case, "own"> => ({
  facts,
  past: new Set(facts.filter((f) => f.found === undefined).map((f) => f.fact)),
  known: new Map(facts.flatMap((f) => (f.found === undefined ? [] : [[f.fact, f.found] as const]))),
});
export const caseOf = (evidence: Evidence): Case => ({
  ...partsOf(factsOf(evidence)),
  own: evidence.priors ?? {},
});

export const CAUSES = ROOTS.map((r) => r.cause);

/** P(root | what is known), of every root. */
export const rootsOf = ({ past, own }: Case, known: Known): ReadonlyMap<string, number> =>
  infer(networkFor(past, own), known, CAUSES).of;
