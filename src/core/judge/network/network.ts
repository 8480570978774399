import { remembered } from "../../remembered";
import { ROOTS } from "../roots";
import { MECHANISMS, type Mechanism } from "./mechanisms";
import type { NoisyOr } from "./noisy-or";
import { PRIOR_RULES } from "./priors";
import type { Sign } from "./sign";
import { SIGNS } from "./signs";

const EFFECTS: readonly (Mechanism | Sign)[] = [...MECHANISMS, ...SIGNS];

/** Odds times factors, as a probability again. */
const shifted = (prior: number, times: number): number => (prior * times) / (1 - prior + prior * times);
/** However old and hard worked a unit is, something else may have begun it. */
const MOST = 0.7;

/**
 * The whole network for a unit, with the priors that what is known of its past gives each root.
 *
 * @param past facts of its past that hold, and what it has that a mechanism needs: `belt`, `spring`, `plastic`
 * @param own priors that the shop has learned, in place of those that ship
 */
export function networkFor(
  past: ReadonlySet<string>,
  own: Readonly<Record<string, number>> = {},
): readonly NoisyOr[] {
  const roots = ROOTS.map(({ cause, prior }): NoisyOr => {
    const times = PRIOR_RULES.filter((r) => r.cause === cause && past.has(r.fact)).reduce(
      (all, r) => all * r.times,
      1,
    );
    return { id: cause, leak: Math.min(MOST, shifted(own[cause] ?? prior, times)), causes: [] };
  });
  return [...roots, ...effectsOf(needsMet(past))];
}

const NEEDS: readonly string[] = [...new Set(MECHANISMS.flatMap((m) => m.needs ?? []))];
/** What a mechanism can need, of what this unit has. */
const needsMet = (past: ReadonlySet<string>): string[] => NEEDS.filter((n) => past.has(`has:${n}`));

/** Mechanisms and signs of a unit: without what needs something that it does not have. */
const effectsOf = remembered((has: readonly string[]): readonly (Mechanism | Sign)[] => {
  const absent = new Set(
    MECHANISMS.filter((m) => m.needs !== undefined && !has.includes(m.needs)).map((m) => m.id),
  );
  return EFFECTS.filter((n) => !absent.has(n.id)).map((n) => ({
    ...n,
    causes: n.causes.filter((c) => !absent.has(c.from)),
  }));
});

/** A link, from what to what. */
export interface Path {
  readonly from: string;
  readonly to: string;
  readonly strength: number;
  readonly why: string;
}
/** All links of a unit's network. */
export const pathsFor = (past: ReadonlySet<string>): readonly Path[] =>
  effectsOf(needsMet(past)).flatMap((n) =>
    n.causes.map((c) => ({ from: c.from, to: n.id, strength: c.strength, why: c.why })),
  );

/** The way to a node, and the product of its links' strengths. */
export interface Way {
  readonly strength: number;
  readonly links: readonly Path[];
}

/** From one node to every other that it leads to, the way that is strongest as a product of its links. */
export const strongestWays = (past: ReadonlySet<string>, from: string): ReadonlyMap<string, Way> =>
  waysOf({ has: needsMet(past), from });

const waysOf = remembered(
  ({ has, from }: { readonly has: readonly string[]; readonly from: string }): ReadonlyMap<string, Way> => {
    const paths = pathsFor(new Set(has.map((n) => `has:${n}`)));
    const best = new Map<string, Way>([[from, { strength: 1, links: [] }]]);
    const open = [from];
    for (const at of open) {
      const here = best.get(at);
      for (const p of paths) {
        if (p.from !== at || !here) continue;
        const strength = here.strength * p.strength;
        if (strength <= (best.get(p.to)?.strength ?? 0)) continue;
        best.set(p.to, { strength, links: [...here.links, p] });
        open.push(p.to);
      }
    }
    best.delete(from);
    return best;
  },
  200,
);
