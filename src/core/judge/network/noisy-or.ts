/**
 * A network of things that are so or are not, each brought about by any of its causes: noisy-or with a leak.
 *
 * P(not so | causes) = (1 − leak) ∏ (1 − strength) over the causes that are so. What has no causes is so with
 * its leak alone: that is its prior. (J. Pearl, Probabilistic Reasoning in Intelligent Systems, 4.3.2.)
 */
export interface NoisyOr {
  readonly id: string;
  /** 0 to 1: how often it is so by nothing that is in the network */
  readonly leak: number;
  /** strength, 0 to 1: how often this cause alone brings it about */
  readonly causes: readonly { readonly from: string; readonly strength: number }[];
}

/**
 * What is known of a node: true, it is so; a number above 0, up to 1: this share of the places where it could
 * show was looked at, and it was in none. What a cause brings about is then found with strength × share, each
 * for itself, so that what is not there falls apart into a number for each cause.
 */
export type Known = ReadonlyMap<string, true | number>;

/** P(node not found in a share of its places | its causes). @param so whether a cause is so */
export function chanceNotFound(node: NoisyOr, share: number, so: (id: string) => boolean): number {
  let not = 1 - share * node.leak;
  for (const { from, strength } of node.causes) if (so(from)) not *= 1 - share * strength;
  return not;
}

/** P(node is so | its causes). @param so whether a cause is so */
export function chanceOf(node: NoisyOr, so: (id: string) => boolean): number {
  let not = 1 - node.leak;
  for (const { from, strength } of node.causes) if (so(from)) not *= 1 - strength;
  return 1 - not;
}

/** The nodes that what is known, or asked, can hang on: they themselves and all that leads to them. */
export function leadingTo(nodes: readonly NoisyOr[], ends: Iterable<string>): NoisyOr[] {
  const byId = new Map(nodes.map((n) => [n.id, n]));
  const wanted = new Set<string>();
  const open = [...ends];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    const node = byId.get(id);
    if (!node || wanted.has(id)) continue;
    wanted.add(id);
    open.push(...node.causes.map((c) => c.from));
  }
  return nodes.filter((n) => wanted.has(n.id));
}
