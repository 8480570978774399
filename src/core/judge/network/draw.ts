import { chanceOf, type NoisyOr } from "./noisy-or";

/** The nodes in an order in which every cause stands before what it brings about. */
export function inOrder(nodes: readonly NoisyOr[]): readonly NoisyOr[] {
  const byId = new Map(nodes.map((n) => [n.id, n]));
  const out = new Set<NoisyOr>();
  const put = (n: NoisyOr): void => {
    if (out.has(n)) return;
    for (const c of n.causes) {
      const cause = byId.get(c.from);
      if (cause) put(cause);
    }
    out.add(n);
  };
  nodes.forEach(put);
  return [...out];
}

/**
 * A unit drawn from the network: which nodes are so.
 *
 * @param ordered as {@link inOrder} gives them
 * @param random 0 to 1, one for each node
 */
export function drawn(ordered: readonly NoisyOr[], random: () => number): ReadonlySet<string> {
  const so = new Set<string>();
  for (const n of ordered) if (random() < chanceOf(n, (id) => so.has(id))) so.add(n.id);
  return so;
}

/** Numbers from 0 to 1, the same for the same seed (linear congruential, modulus 2³²). */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}
