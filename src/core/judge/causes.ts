import { CAUSES, type Case, caseOf, partsOf, rootsOf } from "./case";
import { type ChainLink, chainFrom } from "./chain";
import type { Evidence, Fact } from "./evidence";
import { hasCrumbs } from "./failure-modes";
import { networkFor, strongestWays } from "./network/network";
import { PRIOR_RULES } from "./network/priors";
import { ROOTS, type Root, WASH } from "./roots";

export interface LikelyCause {
  readonly cause: string;
  readonly says: string;
  readonly how: "likely" | "possible" | "unlikely";
  /** P(it began there | what is known), 0 to 1; several may hold at once */
  readonly probability: number;
  readonly because: readonly Reason[];
  /** from the root to the signs */
  readonly chain: readonly ChainLink[];
  readonly goTo: readonly string[];
}
export interface Reason {
  readonly says: string;
  readonly why: string;
  readonly against: boolean;
}

/** Words for odds. */
export const inWords = (p: number): LikelyCause["how"] =>
  p >= 0.6 ? "likely" : p >= 0.25 ? "possible" : "unlikely";

/** A cause with less than this is not shown. */
const SHOWN = 0.1;
/** Nor is one that what was found makes hardly likelier than it was at the counter. */
const LIFTED = 1.25;

/**
 * What began it, likeliest first, each with what speaks for and against it and the chain of what led to what.
 * A cause that nothing seen speaks for is not shown, unless somebody said that it was so.
 *
 * Exact probabilities in a noisy-or network of roots, mechanisms and signs; see `docs/why-it-failed.md`.
 *
 * @param chosen roots that the technician said it was
 */
export function likelyCauses(evidence: Evidence, chosen: readonly string[] = []): LikelyCause[] {
  const c = caseOf(evidence);
  if (!c.facts.some(isSeen) && !chosen.length) return [];
  const now = rootsOf(c, c.known);
  const news = newsOf(c, now);
  return ranked(c, now, chosen)
    .map(({ root, probability }) => ({
      ...said(root, probability, c.past),
      because: reasonsOf(root, news, c.past),
      chain: chainFrom(root.cause, c),
    }))
    .filter((x) => chosen.includes(x.cause) || x.because.some((b) => !b.against));
}

/** The likeliest cause alone, without its reasons; nothing where nothing is found. */
export function likeliestCause(evidence: Evidence): Said | undefined {
  const c = caseOf(evidence);
  if (!c.facts.some(isSeen)) return undefined;
  const [first] = ranked(c, rootsOf(c, c.known));
  return first && said(first.root, first.probability, c.past);
}

/** A cause as it is said, with its odds. */
export type Said = Omit<LikelyCause, "because" | "chain">;
const said = (root: Root, probability: number, past: ReadonlySet<string>): Said => ({
  cause: root.cause,
  says: root.says,
  how: inWords(probability),
  probability,
  goTo: [...root.goTo, ...(past.has("has:teeth") ? (root.goToTeeth ?? []) : [])],
});

/** Roots that what is seen makes likelier than they were at the counter, and the chosen ones, likeliest first. */
function ranked(c: Case, now: ReadonlyMap<string, number>, chosen: readonly string[] = []) {
  const before = new Map(networkFor(c.past, c.own).map((n) => [n.id, n.leak]));
  return ROOTS.map((root) => ({ root, probability: now.get(root.cause) ?? 0 }))
    .filter(
      ({ root, probability: p }) =>
        chosen.includes(root.cause) ||
        (p >= SHOWN &&
          p > LIFTED * (before.get(root.cause) ?? 0) &&
          c.facts.some((f) => isSeen(f) && strongestWays(c.past, root.cause).has(f.fact))),
    )
    .sort((a, b) => b.probability - a.probability || a.root.cause.localeCompare(b.root.cause));
}
const isSeen = (f: Fact): boolean => f.found === true;
const logit = (p: number): number => Math.log(Math.max(p, 1e-9) / Math.max(1 - p, 1e-9));
/** News of less than this, in log odds, is none. */
const LEAST_NEWS = 0.2;

/** All that one thing looked at told, and what it does to the log odds of each root. */
interface News {
  readonly facts: readonly Fact[];
  readonly of: ReadonlyMap<string, number>;
}

/**
 * What each thing that was looked at does to the odds: the mean of what it does first, before all others, and
 * last, after them. What two signs both tell is then no less told, and what another sign explains counts half.
 */
function newsOf(c: Case, now: ReadonlyMap<string, number>): News[] {
  const said = new Map<string, Fact[]>();
  for (const f of c.facts) if (f.says) said.set(f.says, [...(said.get(f.says) ?? []), f]);
  /** The odds with these facts alone, in a unit that has what it has. */
  const oddsWith = (facts: readonly Fact[]): ReadonlyMap<string, number> => {
    const these = { ...partsOf(c.facts.filter((f) => !f.says || facts.includes(f))), own: c.own };
    return rootsOf(these, these.known);
  };
  const nothing = oddsWith([]);
  return [...said.values()].map((facts) => {
    const alone = oddsWith(facts);
    const without = oddsWith(c.facts.filter((f) => !facts.includes(f)));
    const at = (of: ReadonlyMap<string, number>, id: string): number => logit(of.get(id) ?? 0);
    return {
      facts,
      of: new Map(
        CAUSES.map((id) => [id, (at(alone, id) - at(nothing, id) + at(now, id) - at(without, id)) / 2]),
      ),
    };
  });
}

/** For and against a root, what weighs most first. */
function reasonsOf(root: Root, news: readonly News[], past: ReadonlySet<string>): Reason[] {
  return news
    .map(({ facts, of }) => ({ facts, size: of.get(root.cause) ?? 0 }))
    .filter(({ size }) => Math.abs(size) >= LEAST_NEWS)
    .sort((a, b) => Number(a.size < 0) - Number(b.size < 0) || Math.abs(b.size) - Math.abs(a.size))
    .flatMap(({ facts, size }) => reasonOf(root, facts, size < 0, past) ?? []);
}

/** Of all that one thing told, what the root brings about most; nothing where it changes others' odds alone. */
function reasonOf(
  root: Root,
  facts: readonly Fact[],
  against: boolean,
  past: ReadonlySet<string>,
): Reason | undefined {
  const ways = strongestWays(past, root.cause);
  const strength = (f: Fact): number => ways.get(f.fact)?.strength ?? 0;
  const f = facts.reduce<Fact | undefined>((a, b) => (a && strength(a) >= strength(b) ? a : b), undefined);
  if (!f) return undefined;
  const why = (): string | undefined => {
    if (f.found === undefined)
      return PRIOR_RULES.find((r) => r.fact === f.fact && r.cause === root.cause)?.why;
    if (!isSeen(f)) return against ? "it would mostly show there" : "what else would show there does not";
    if (against) return "something else tells it better";
    return ways.get(f.fact)?.links.at(-1)?.why ?? "it leaves less to other causes";
  };
  const says = why();
  return says === undefined ? undefined : { says: f.says, why: says, against };
}

/** How far the work must go, and what asks for it. */
export interface Demand {
  readonly says: string;
  /** causes with their odds; what was seen has none */
  readonly because: readonly { readonly says: string; readonly probability?: number }[];
}

/**
 * How far the work must go, over all causes that are likely or chosen, each demand once, with the causes that
 * make it. Crumbs in the grease ask for the whole case to be washed, whatever the cause.
 *
 * @param greaseStates of the old grease
 */
export function howFar(
  causes: readonly LikelyCause[],
  chosen: readonly string[],
  greaseStates: readonly string[] = [],
): Demand[] {
  const out = new Map<string, Demand["because"][number][]>(
    hasCrumbs(greaseStates) ? [[WASH, [{ says: "crumbs in the grease" }]]] : [],
  );
  for (const c of causes)
    if (chosen.includes(c.cause) || (chosen.length === 0 && c.how === "likely"))
      for (const says of c.goTo)
        out.set(says, [...(out.get(says) ?? []), { says: c.says, probability: c.probability }]);
  return [...out].map(([says, because]) => ({ says, because }));
}
