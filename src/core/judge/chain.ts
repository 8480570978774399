import { CAUSES, type Case } from "./case";
import { infer } from "./network/infer";
import { MECHANISMS } from "./network/mechanisms";
import { networkFor, type Path, pathsFor } from "./network/network";
import { ROOTS } from "./roots";

/** One link of what led to what. */
export interface ChainLink {
  /** a root, the root that a mechanism is the same as, a mechanism, or a sign */
  readonly id: string;
  readonly says: string;
  /** what led to it, by its place in the chain; none: it began there */
  readonly after?: number;
  /** how the one brought the other */
  readonly why?: string;
  readonly is: "root" | "mechanism" | "sign";
  /** P(it was so | what is known, and that it began with the root) */
  readonly probability: number;
}

/**
 * What led to what, if it began with this root: the mechanisms that are then likelier so than not and that
 * lead to something seen, each after what brought it likeliest, and the signs at their ends.
 *
 * Not the most probable joint state of the whole network: that leaves out the second of two roots that are
 * both shown, and a chain is wanted of each.
 */
export function chainFrom(root: string, { facts, past, own, known }: Case): ChainLink[] {
  const { of } = infer(networkFor(past, own), new Map<string, true | number>([...known, [root, true]]), [
    ...CAUSES,
    ...MECHANISMS.map((m) => m.id),
  ]);
  const paths = pathsFor(past);
  const so = (id: string): number => (id === root ? 1 : (of.get(id) ?? 0));
  /** What brought it likeliest, of all that could have. */
  const bringer = (to: string): Path | undefined =>
    paths
      .filter((p) => p.to === to)
      .reduce<Path | undefined>(
        (a, b) => (a && a.strength * so(a.from) >= b.strength * so(b.from) ? a : b),
        undefined,
      );
  const before = new Map<string, Path>();
  // what is likelier so than not, and was brought by what the root led to
  const reached = [root];
  for (const at of reached)
    for (const m of MECHANISMS) {
      const path = so(m.id) > 0.5 && !reached.includes(m.id) ? bringer(m.id) : undefined;
      if (path?.from !== at) continue;
      before.set(m.id, path);
      reached.push(m.id);
    }
  const ends = facts.flatMap((f) => {
    const path = f.found === true ? bringer(f.fact) : undefined;
    return path && reached.includes(path.from) ? [{ f, path }] : [];
  });
  const wanted = new Set<string>([root]);
  for (const { path } of ends)
    for (let at: string | undefined = path.from; at && !wanted.has(at); at = before.get(at)?.from)
      wanted.add(at);
  const out: ChainLink[] = [];
  const place = new Map<string, number>();
  for (const id of reached) {
    if (!wanted.has(id)) continue;
    const m = MECHANISMS.find((x) => x.id === id);
    const path = before.get(id);
    const after = path && place.get(path.from);
    // where it began by itself is said once, at the root
    if (m && m.tells === root && !m.adds && after !== undefined) {
      place.set(id, after);
      continue;
    }
    place.set(id, out.length);
    out.push({
      id: m && m.tells !== root ? (m.tells ?? id) : id,
      says: m?.did ?? ROOTS.find((r) => r.cause === root)?.began ?? root,
      is: m ? "mechanism" : "root",
      probability: so(id),
      ...(path && after !== undefined ? { after, why: path.why } : {}),
    });
  }
  for (const { f, path } of ends) {
    const after = place.get(path.from);
    if (after === undefined) continue;
    out.push({ id: f.fact, says: f.says, is: "sign", probability: 1, after, why: path.why });
  }
  return out;
}

/** The longest way through a chain in one sentence without its capital, from what began it to what is seen of it. */
export function chainInWords(chain: readonly ChainLink[]): string {
  const wayTo = (at: number): readonly number[] => {
    const after = chain[at]?.after;
    return after === undefined ? [at] : [...wayTo(after), at];
  };
  const longest = chain
    .map((_, i) => wayTo(i))
    .reduce<readonly number[]>((a, b) => (b.length > a.length ? b : a), []);
  const says = longest.map((i) => chain[i]?.says ?? "").join(" → ");
  return says && `${says}.`;
}
