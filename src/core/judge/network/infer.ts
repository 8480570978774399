import { type Factor, factorOf, marginal, multiplyInto, quotient } from "./factor";
import { type Known, leadingTo, type NoisyOr } from "./noisy-or";

export interface Beliefs {
  /** P(node is so | what is known), of every node that was asked */
  readonly of: ReadonlyMap<string, number>;
  /** ln P(what is known) */
  readonly logEvidence: number;
}

/**
 * Exact probabilities in a noisy-or network: the factors are gathered into a tree of cliques by elimination in
 * min-fill order, and two passes of messages give every node its marginal (F. V. Jensen, Bayesian Networks and
 * Decision Graphs, chapter 5).
 *
 * A node with many causes is drawn out into a row of "or"s of three variables each, so that no table grows
 * with the number of causes; one that is not so falls apart into a number for each cause.
 *
 * @param asked nodes whose probability is wanted
 * @throws RangeError where what is known cannot be
 */
export function infer(nodes: readonly NoisyOr[], known: Known, asked: Iterable<string> = []): Beliefs {
  const wanted = [...asked];
  const used = leadingTo(nodes, [...known.keys(), ...wanted]);
  const { factors, variables, varOf } = factorsOf(used, known);
  const { cliques, log } = propagated(factors, orderFor(used, known, factors, variables));
  const narrowest = new Map<number, Factor>();
  for (const c of cliques)
    for (const v of c.vars)
      if (c.table.length < (narrowest.get(v)?.table.length ?? Number.POSITIVE_INFINITY)) narrowest.set(v, c);
  const of = new Map<string, number>();
  for (const id of wanted) {
    const v = varOf.get(id);
    const clique = v === undefined ? undefined : narrowest.get(v);
    // one that falls apart into numbers was not found, and has no clique
    if (v === undefined || !clique) continue;
    const [no = 0, yes = 0] = marginal(clique, [v]).table;
    of.set(id, yes / (no + yes));
  }
  return { of, logEvidence: log };
}

/** More causes than this are drawn out into a row. */
const WIDEST = 3;

/** How well what is known of a node that brings about others fits each of its states. */
const statesOf = (found: true | number): readonly [number, number] =>
  found === true ? [0, 1] : [1, 1 - found];

function factorsOf(used: readonly NoisyOr[], known: Known) {
  const varOf = new Map(used.map((n, i) => [n.id, i]));
  const isCause = new Set(used.flatMap((n) => n.causes.map((c) => c.from)));
  let variables = used.length;
  const factors: Factor[] = [];
  for (const node of used) {
    const v = varOf.get(node.id) as number;
    const found = known.get(node.id);
    const causes = node.causes.map((c) => ({ at: varOf.get(c.from) as number, strength: c.strength }));
    if (typeof found === "number" && !isCause.has(node.id)) {
      factors.push({ vars: [], table: Float64Array.of(1 - found * node.leak) });
      for (const c of causes)
        factors.push({ vars: [c.at], table: Float64Array.of(1, 1 - found * c.strength) });
      continue;
    }
    if (found !== undefined) factors.push({ vars: [v], table: Float64Array.of(...statesOf(found)) });
    let held: number | null = null;
    for (let from = 0; ; from += WIDEST) {
      const some = causes.slice(from, from + WIDEST);
      const last = from + WIDEST >= causes.length;
      const out: number = last ? v : variables++;
      const leak = from === 0 ? node.leak : 0;
      const before: number[] = held === null ? [] : [held];
      factors.push(
        factorOf([out, ...before, ...some.map((c) => c.at)], ([so = 0, ...rest]) => {
          if (before.length && rest[0]) return so;
          let not = 1 - leak;
          some.forEach((c, i) => {
            if (rest[before.length + i]) not *= 1 - c.strength;
          });
          return so ? 1 - not : not;
        }),
      );
      if (last) break;
      held = out;
    }
  }
  return { factors, variables, varOf };
}

interface Clique extends Factor {
  parent: number;
  readonly separator: readonly number[];
}

/** Cliques whose tables are the joint weights of their variables, and the logarithm of their sum. */
function propagated(
  factors: readonly Factor[],
  { order, cliqueOf }: Elimination,
): { cliques: Clique[]; log: number } {
  const place = new Map(order.map((v, i) => [v, i]));
  const cliques = order.map((v): Clique => {
    const vars = cliqueOf.get(v) as readonly number[];
    const rest = vars.filter((x) => x !== v);
    const next = Math.min(...rest.map((x) => place.get(x) as number));
    return {
      vars,
      table: new Float64Array(1 << vars.length).fill(1),
      separator: rest,
      parent: rest.length ? next : -1,
    };
  });
  let log = 0;
  for (const f of factors) {
    if (!f.vars.length) log += Math.log(f.table[0] as number);
    else multiplyInto(cliques[Math.min(...f.vars.map((x) => place.get(x) as number))] as Clique, f);
  }
  const sent: Factor[] = [];
  for (const [i, c] of cliques.entries()) {
    const up = marginal(c, c.separator);
    let sum = 0;
    for (const x of up.table) sum += x;
    if (!(sum > 0)) throw new RangeError("what is known cannot be");
    log += Math.log(sum);
    for (let at = 0; at < up.table.length; at++) up.table[at] = (up.table[at] as number) / sum;
    sent[i] = up;
    if (c.parent >= 0) multiplyInto(cliques[c.parent] as Clique, sent[i] as Factor);
  }
  for (let i = cliques.length - 1; i >= 0; i--) {
    const c = cliques[i] as Clique;
    if (c.parent < 0) continue;
    const down = marginal(cliques[c.parent] as Clique, c.separator);
    multiplyInto(c, quotient(down, sent[i] as Factor));
  }
  return { cliques, log };
}

interface Elimination {
  readonly order: readonly number[];
  readonly cliqueOf: ReadonlyMap<number, readonly number[]>;
}

/** Orders by what is in the network and what was found: only numbers change between units that share these. */
const orders = new Map<string, Elimination>();
const MOST_ORDERS = 300;

function orderFor(
  used: readonly NoisyOr[],
  known: Known,
  factors: readonly Factor[],
  variables: number,
): Elimination {
  const key = used
    .map((n) => {
      const found = known.get(n.id);
      return `${n.id}<${n.causes.map((c) => c.from).join()}${found === true ? "!" : found === undefined ? "" : "-"}`;
    })
    .join(" ");
  const before = orders.get(key);
  if (before) return before;
  if (orders.size >= MOST_ORDERS) orders.clear();
  const order = eliminated(factors, variables);
  orders.set(key, order);
  return order;
}

/** Which variable goes next: the one that ties the fewest of its neighbours together anew. */
function eliminated(factors: readonly Factor[], variables: number): Elimination {
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
    for (let i = 0; i < of.length; i++)
      for (let j = i + 1; j < of.length; j++)
        if (!near[(of[i] as number) * variables + (of[j] as number)]) missing++;
    // of two that tie as few, the one with fewer neighbours
    const fill = missing + of.length / 1000;
    fills.set(v, fill);
    return fill;
  };
  const order: number[] = [];
  const cliqueOf = new Map<number, number[]>();
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
    order.push(best);
    cliqueOf.set(
      best,
      [best, ...of].sort((a, b) => a - b),
    );
  }
  return { order, cliqueOf };
}
