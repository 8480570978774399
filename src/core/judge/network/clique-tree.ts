import { type Factor, marginal, multiplyInto, quotient, scaled } from "./factor";

/** In which order variables go, and the clique that each leaves behind: itself and its neighbours then. */
export interface Elimination {
  readonly cliques: readonly { readonly goes: number; readonly vars: readonly number[] }[];
}

interface Clique extends Factor {
  /** what it shares with the clique that it hangs on */
  readonly separator: readonly number[];
  readonly hangsOn: Clique | undefined;
}

/**
 * A tree of cliques whose tables are, after two passes of messages, the joint weights of their variables; and
 * the logarithm of their sum.
 *
 * @throws RangeError where all weights are 0
 */
export function propagated(
  factors: readonly Factor[],
  { cliques: eliminated }: Elimination,
): { readonly cliques: readonly Factor[]; readonly log: number } {
  // what goes last stands first: what a clique hangs on is there before it
  const own = new Map<number, Clique>();
  const placeOf = new Map(eliminated.map(({ goes }, i) => [goes, i]));
  const place = (v: number): number => placeOf.get(v) ?? Number.POSITIVE_INFINITY;
  const soonest = (vars: readonly number[]): Clique | undefined => {
    const first = vars.reduce((a, b) => (place(b) < place(a) ? b : a), vars[0] ?? -1);
    return own.get(first);
  };
  for (const { goes, vars } of eliminated.toReversed()) {
    const separator = vars.filter((v) => v !== goes);
    own.set(goes, {
      vars,
      table: new Float64Array(1 << vars.length).fill(1),
      separator,
      hangsOn: soonest(separator),
    });
  }
  const cliques = [...own.values()];
  let log = 0;
  for (const f of factors) {
    const clique = soonest(f.vars);
    if (clique) multiplyInto(clique, f);
    else log += Math.log(f.table[0] ?? 0);
  }
  const sent = new Map<Clique, Factor>();
  for (const c of cliques.toReversed()) {
    const { to1, sum } = scaled(marginal(c, c.separator));
    if (!(sum > 0)) throw new RangeError("what is known cannot be");
    log += Math.log(sum);
    sent.set(c, to1);
    if (c.hangsOn) multiplyInto(c.hangsOn, to1);
  }
  for (const c of cliques) {
    const up = sent.get(c);
    if (c.hangsOn && up) multiplyInto(c, quotient(marginal(c.hangsOn, c.separator), up));
  }
  return { cliques, log };
}

/** Variables in min-fill order: next goes the one that ties the fewest of its neighbours together anew. */
export function eliminated(factors: readonly Factor[], variables: number): Elimination {
  const near = new Uint8Array(variables * variables);
  const open = new Set<number>();
  for (const f of factors)
    for (const a of f.vars) {
      open.add(a);
      for (const b of f.vars) if (a !== b) near[a * variables + b] = 1;
    }
  const around = (v: number): number[] => {
    const out: number[] = [];
    for (const x of open) if (near[v * variables + x]) out.push(x);
    return out.sort((a, b) => a - b);
  };
  const fills = new Map<number, number>();
  const fillOf = (v: number): number => {
    const known = fills.get(v);
    if (known !== undefined) return known;
    const of = around(v);
    let missing = 0;
    for (const a of of) for (const b of of) if (a < b && !near[a * variables + b]) missing++;
    // of two that tie as few, the one with fewer neighbours
    const fill = missing + of.length / 1000;
    fills.set(v, fill);
    return fill;
  };
  const cliques: { goes: number; vars: number[] }[] = [];
  while (open.size) {
    let best = -1;
    let least = Number.POSITIVE_INFINITY;
    for (const v of open) {
      const f = fillOf(v);
      if (f < least) [best, least] = [v, f];
    }
    const of = around(best);
    open.delete(best);
    for (const a of of)
      for (const b of of) {
        if (a !== b) near[a * variables + b] = 1;
      }
    for (const a of of) {
      fills.delete(a);
      for (const b of around(a)) fills.delete(b);
    }
    cliques.push({ goes: best, vars: [best, ...of].sort((a, b) => a - b) });
  }
  return { cliques };
}
