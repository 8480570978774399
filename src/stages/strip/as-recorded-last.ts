import type { Ghost, GhostStep } from "@/core/memory/ghost";
import { EMPTY, type OpenStep } from "@/core/recorder/open-step";
import type { Pocket } from "@/ui/pocket";
import { newKey } from "../saving/new-key";

/**
 * The ghost's next step, as it would be recorded here: what it needed is named by the pockets that lie here.
 */
export function asLastTime(
  g: GhostStep,
  ghost: Ghost,
  found: ReadonlyMap<number, number>,
  pockets: readonly Pocket[],
): OpenStep {
  const at = (id: string): Pocket | undefined =>
    pockets[found.get(ghost.steps.findIndex((s) => s.id === id)) ?? -1];
  const last = pockets.at(-1);
  const before = ghost.steps[ghost.steps.indexOf(g) - 1];
  const wanted = g.needs ?? (before ? [before.id] : []);
  const needs = wanted.flatMap((id) => at(id) ?? []);
  // what it needed is what lies last: so says a step that says nothing of it; a pocket on its way has no name
  // yet
  const isUsual = wanted.length === 1 && needs.length === 1 && needs[0] === last;
  const mates =
    g.bundle === undefined
      ? []
      : ghost.steps.flatMap((s) => (s.bundle === g.bundle && s !== g ? (at(s.id) ?? []) : []));
  return {
    ...EMPTY,
    key: newKey(),
    what: g.what,
    hardware: [...g.hardware],
    action: g.action,
    asOne: last !== undefined && mates.includes(last),
    needs: isUsual ? null : needs.flatMap((p) => (p.onItsWay ? [] : p.step)),
    stack: [...g.stack],
    partFacts: g.partFacts,
    facts: g.facts,
    since: Date.now(),
  };
}
