import { ROOTS } from "../roots";
import { MECHANISMS, type Mechanism } from "./mechanisms";
import type { NoisyOr } from "./noisy-or";
import { PRIOR_RULES } from "./priors";
import { SIGNS, type Sign } from "./signs";

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
  return [...roots, ...effectsFor(past)];
}

const NEEDS: readonly string[] = [...new Set(MECHANISMS.flatMap((m) => m.needs ?? []))];
const effects = new Map<string, readonly (Mechanism | Sign)[]>();

/** Mechanisms and signs of a unit: without what needs something that it does not have. */
function effectsFor(past: ReadonlySet<string>): readonly (Mechanism | Sign)[] {
  const has = NEEDS.filter((n) => past.has(`has:${n}`)).join();
  const before = effects.get(has);
  if (before) return before;
  const absent = new Set(
    MECHANISMS.filter((m) => m.needs !== undefined && !past.has(`has:${m.needs}`)).map((m) => m.id),
  );
  const out = EFFECTS.filter((n) => !absent.has(n.id)).map((n) =>
    n.causes.some((c) => absent.has(c.from))
      ? { ...n, causes: n.causes.filter((c) => !absent.has(c.from)) }
      : n,
  );
  effects.set(has, out);
  return out;
}

/** A link, from what to what. */
export interface Path {
  readonly from: string;
  readonly to: string;
  readonly strength: number;
  readonly why: string;
}
/** All links of a unit's network. */
export const pathsFor = (past: ReadonlySet<string>): readonly Path[] =>
  effectsFor(past).flatMap((n) =>
    n.causes.map((c) => ({ from: c.from, to: n.id, strength: c.strength, why: c.why })),
  );

/**
 * The way from one node to another that is strongest as a product of its links, or nothing where there is none.
 */
export function strongestWay(
  from: string,
  to: string,
  past: ReadonlySet<string>,
): readonly Path[] | undefined {
  const paths = pathsFor(past);
  const best = new Map<string, { readonly strength: number; readonly way: readonly Path[] }>([
    [from, { strength: 1, way: [] }],
  ]);
  const open = [from];
  for (let at = open.shift(); at !== undefined; at = open.shift()) {
    const here = best.get(at);
    if (!here) continue;
    for (const p of paths) {
      if (p.from !== at) continue;
      const strength = here.strength * p.strength;
      if (strength <= (best.get(p.to)?.strength ?? 0)) continue;
      best.set(p.to, { strength, way: [...here.way, p] });
      open.push(p.to);
    }
  }
  return to === from ? [] : best.get(to)?.way;
}
