import { Fault } from "../fault";

/** As much of a step as its place in the strip depends on. */
export interface Placed {
  readonly id: string;
  readonly needs?: readonly string[];
}

/** Whether a step simply needed the one before it in the list: nobody said anything else. */
export const followsSimply = (steps: readonly Placed[], i: number): boolean => {
  const needs = steps[i]?.needs;
  return (
    needs === undefined ||
    (i === 0 ? needs.length === 0 : needs.length === 1 && needs[0] === steps[i - 1]?.id)
  );
};

/**
 * A strip in which one step, entered late, is slid to where it belonged. Steps that simply followed the one
 * before them do so again in their
 * new place; needs that were named stay as they were named.
 *
 * @param to the index it shall have afterwards
 * @example slideStep([{ id: "a" }, { id: "b" }, { id: "c" }], "c", 0).map((s) => [s.id, s.needs]) // [["c",
 *   []], ["a", ["c"]], ["b", ["a"]]]
 */
export function slideStep<T extends Placed>(steps: readonly T[], id: string, to: number): T[] {
  const from = steps.findIndex((s) => s.id === id);
  if (from < 0) throw new Fault("step", `there is no step ${id}`);
  if (!Number.isInteger(to) || to < 0 || to >= steps.length)
    throw new Fault("to", `there is no place ${to + 1} among ${steps.length} steps`);
  const simple = new Set(steps.filter((_, i) => followsSimply(steps, i)).map((s) => s.id));
  const out = [...steps];
  out.splice(to, 0, ...out.splice(from, 1));
  return out.map((s, i) => (simple.has(s.id) ? { ...s, needs: i === 0 ? [] : [(out[i - 1] as T).id] } : s));
}
