import type { Strip } from "../job/strip";
import { checkStrip } from "./checked-strip";
import { needsOf } from "./undo-order";

/** One's own order after a step was moved. */
export interface Moved {
  /** ids of all steps, the first that goes back first */
  readonly order: readonly string[];
  /** what goes before the rest now, in its order: with the step all that the laws ask for before it */
  readonly first: readonly string[];
}

/** The moves that one strip allows, of which what is common is worked out once. */
export interface Moves {
  /**
   * Moves a step as far forward as the laws allow: before all that is open, with what must be on before it,
   * and what came out with it as one.
   *
   * @param now the order as it is, ids of steps
   * @param done steps that are back
   */
  readonly sooner: (now: readonly string[], done: ReadonlySet<string>, step: string) => Moved;
  /**
   * Puts what has to wait behind all that need not wait for it; `first` is what goes on meanwhile.
   *
   * @param waiting steps that cannot go back yet
   */
  readonly meanwhile: (
    now: readonly string[],
    done: ReadonlySet<string>,
    waiting: readonly string[],
  ) => Moved;
}

/** Throws a Fault for what no plan can be made of (`checkStrip`, circles). */
export function movesIn({ parts, steps }: Pick<Strip, "parts" | "steps">): Moves {
  const checked = checkStrip({ parts, steps, services: [], lubePoints: [] });
  const needs = needsOf(checked);
  const neededBy: number[][] = steps.map(() => []);
  const bundled = new Map<string, number[]>();
  steps.forEach(({ action, bundle }, i) => {
    if (action === "note") return;
    for (const n of needs[i] ?? []) neededBy[n]?.push(i);
    if (bundle !== undefined) bundled.set(bundle, [...(bundled.get(bundle) ?? []), i]);
  });
  /**
   * All that must go back before some steps, or can only after them, with themselves and with what came out
   * as one with any of it.
   */
  const reach = (from: readonly string[], next: readonly (readonly number[])[]): Set<string> => {
    const found = new Set<number>();
    for (const open = from.flatMap((id) => checked.indexOf.get(id) ?? []); open.length; ) {
      const i = open.pop() as number;
      if (found.has(i)) continue;
      found.add(i);
      open.push(...(bundled.get(steps[i]?.bundle ?? "") ?? []), ...(next[i] ?? []));
    }
    return new Set([...found].flatMap((i) => steps[i]?.id ?? []));
  };
  const moved = (
    now: readonly string[],
    done: ReadonlySet<string>,
    isFirst: (id: string) => boolean,
  ): Moved => {
    const open = now.filter((id) => !done.has(id));
    const first = open.filter(isFirst);
    return {
      order: [...now.filter((id) => done.has(id)), ...first, ...open.filter((id) => !isFirst(id))],
      first,
    };
  };
  return {
    sooner: (now, done, step) => {
      // what needed a step goes back before it
      const wanted = reach([step], neededBy);
      return moved(now, done, (id) => wanted.has(id));
    },
    meanwhile: (now, done, waiting) => {
      // what it needed goes back after it
      const held = reach(waiting, needs);
      return moved(now, done, (id) => !held.has(id));
    },
  };
}
