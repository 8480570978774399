import { type Elimination, eliminated, propagated } from "./clique-tree";
import { type Factor, factorOf, marginal } from "./factor";
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
 * A node with many causes is drawn out into a row of "or"s of a few variables each, so that no table grows
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
  for (const [v, node] of used.entries()) {
    const found = known.get(node.id);
    const causes = node.causes.flatMap((c) => {
      const at = varOf.get(c.from);
      return at === undefined ? [] : [{ at, strength: c.strength }];
    });
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
