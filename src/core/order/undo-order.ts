import { Fault } from "../fault";
import type { CheckedStrip } from "./checked-strip";
import { ranksOf } from "./ranks";

/**
 * For every step the steps it needed directly, as indices; a note in between is looked through. Notes
 * themselves have an entry too.
 */
export type Needs = readonly (readonly number[])[];

/** How a refusal names a step, by its index; files know them by their ids. */
export type StepCalled = (step: number) => string;
const byId =
  (strip: CheckedStrip): StepCalled =>
  (i) =>
    strip.steps[i]?.id ?? "";

/**
 * What every step needed, with notes looked through: a note lays nothing down, so what needed it needed what
 * it needed.
 * Refuses a circle and names the steps on it.
 */
export function needsOf(strip: CheckedStrip, called: StepCalled = byId(strip)): Needs {
  const seen: (number[] | undefined)[] = new Array(strip.steps.length);
  const onPath = new Set<number>();
  // an own stack: a strip of some thousand steps in one line would overflow the call stack
  for (let start = 0; start < strip.steps.length; start++) {
    const stack: { step: number; next: number }[] = seen[start] ? [] : [{ step: start, next: 0 }];
    if (stack.length) onPath.add(start);
    for (let top = stack.at(-1); top; top = stack.at(-1)) {
      const needs = strip.needs[top.step] ?? [];
      const need = needs[top.next++];
      if (need === undefined) {
        const direct = new Set<number>();
        for (const n of needs) {
          if (strip.steps[n]?.action !== "note") direct.add(n);
          else for (const further of seen[n] ?? []) direct.add(further);
        }
        seen[top.step] = [...direct];
        onPath.delete(top.step);
        stack.pop();
      } else if (onPath.has(need)) {
        const path = stack.map((f) => f.step);
        throw circle(path.slice(path.indexOf(need)).map(called));
      } else if (!seen[need]) {
        stack.push({ step: need, next: 0 });
        onPath.add(need);
      }
    }
  }
  return seen.map((own) => own ?? []);
}

function circle(names: readonly string[]): Fault {
  return new Fault(
    "steps",
    `these steps wait for each other in a circle: ${[...names, names[0]].join(" → ")}`,
  );
}

/**
 * The order in which the steps are undone, as step indices; notes have no inverse and are left out.
 *
 * A step is undone after every step that needed it. The steps of one bundle stand next to each other. Where
 * that leaves a choice
 * the latest step of the strip goes first, so that a strip written down in its true order is undone in
 * exactly the reverse; or the one that somebody ordered first.
 * It is Kahn's topological sort with the highest index taken first, run over bundles and then inside each.
 *
 * Refuses bundles that would have to stand inside each other, and names the steps.
 */
export function undoOrder(strip: CheckedStrip, needs: Needs, called: StepCalled = byId(strip)): number[] {
  const ranks = ranksOf(strip.steps, strip.ownOrder);
  const rank = (i: number): number => ranks[i] ?? 0;
  const undone = strip.steps.map((_, i) => i).filter((i) => strip.steps[i]?.action !== "note");
  const groupOf = new Map<number, string>();
  const members = new Map<string, number[]>();
  for (const i of undone) {
    const bundle = strip.steps[i]?.bundle;
    const group = bundle === undefined ? `step ${i}` : `bundle ${bundle}`;
    groupOf.set(i, group);
    members.set(group, [...(members.get(group) ?? []), i]);
  }
  const membersOf = (group: string): readonly number[] => members.get(group) ?? [];
  // an edge u → v: u is undone before v, because u needed v
  const before = new Map<string, Set<string>>([...members.keys()].map((g) => [g, new Set<string>()]));
  for (const u of undone)
    for (const v of needs[u] ?? []) {
      const [gu, gv] = [groupOf.get(u), groupOf.get(v)];
      if (gu && gv && gv !== gu) before.get(gv)?.add(gu);
    }
  const order = latestFirst([...members.keys()], before, (g) => Math.max(...membersOf(g).map(rank)));
  if (order.length < members.size) {
    const stuck = [...members.keys()].filter((g) => !order.includes(g));
    const ring = ringAmong(stuck, before);
    const steps = ring.flatMap(membersOf).map(called);
    throw new Fault(
      "steps",
      `the bundles stand in each other's way, so they cannot go back as one: ${steps.join(", ")}`,
    );
  }
  return order.flatMap((g) => {
    const own = membersOf(g);
    if (own.length === 1) return own;
    const inside = new Set(own);
    const waits = new Map(own.map((i) => [i, new Set<number>()]));
    for (const u of own) for (const v of needs[u] ?? []) if (inside.has(v)) waits.get(v)?.add(u);
    return latestFirst(own, waits, rank);
  });
}

/**
 * Kahn's algorithm: of all that nothing stands before any more, the one of highest rank. Shorter than the
 * input if a circle is left.
 */
function latestFirst<T extends string | number>(
  all: readonly T[],
  before: ReadonlyMap<T, ReadonlySet<T>>,
  rank: (t: T) => number,
): T[] {
  const open = new Map(all.map((t) => [t, before.get(t)?.size ?? 0]));
  const after = new Map<T, T[]>(all.map((t) => [t, []]));
  for (const t of all) for (const b of before.get(t) ?? []) after.get(b)?.push(t);
  const ready = all.filter((t) => open.get(t) === 0).sort((a, b) => rank(a) - rank(b));
  const order: T[] = [];
  for (let t = ready.pop(); t !== undefined; t = ready.pop()) {
    order.push(t);
    for (const next of after.get(t) ?? []) {
      const left = (open.get(next) ?? 0) - 1;
      open.set(next, left);
      if (left > 0) continue;
      let low = 0;
      let high = ready.length;
      while (low < high) {
        const mid = (low + high) >> 1;
        const there = ready[mid];
        if (there !== undefined && rank(there) < rank(next)) low = mid + 1;
        else high = mid;
      }
      ready.splice(low, 0, next);
    }
  }
  return order;
}

function ringAmong(stuck: readonly string[], before: ReadonlyMap<string, ReadonlySet<string>>): string[] {
  const seen: string[] = [];
  let at = stuck[0];
  while (at !== undefined && !seen.includes(at)) {
    seen.push(at);
    at = [...(before.get(at) ?? [])].find((g) => stuck.includes(g));
  }
  return at === undefined ? seen : seen.slice(seen.indexOf(at));
}
