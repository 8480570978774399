import { Fault } from "../fault";
import { NO_PIECE } from "../hardware/kinds";
import { UNTIMED_MINUTES } from "../job/step";
import type { Strip } from "../job/strip";
import { checkStrip } from "./checked-strip";
import { toolsUsed } from "./tools-used";
import { needsOf, type StepCalled, undoOrder } from "./undo-order";

/** The least that must come off for a part to come off. */
export interface AccessPlan {
  /**
   * ids, in an order that can be followed: nothing before what it needs, what came out as one next to each
   * other
   */
  readonly steps: readonly string[];
  /** what they took when they were recorded; two where nobody looked at the clock */
  readonly minutes: number;
  /** pieces of hardware that come loose */
  readonly hardware: number;
  /** in the order in which they are first needed */
  readonly tools: readonly string[];
  /** names of what came out as one thing, of which some part must come off */
  readonly bundlesOpened: readonly string[];
}

/**
 * The way in to a part: the steps that had to be done before the one that takes it off, and that one. A
 * bundle comes out whole. The set is the least because every step of it is
 * needed by another of it or holds the part; so no other has less time.
 *
 * @param part which part is to come off
 * @param off steps that are off at this moment; left out, the machine is whole
 * @throws Fault for a part that is none of the strip or that no step takes off, a step in `off` that there is
 *   not, and what no plan can be made of (`checkStrip`, circles)
 */
export function accessPlan(
  strip: Strip,
  part: string,
  off: readonly string[] = [],
  called?: StepCalled,
): AccessPlan {
  return waysInto(strip, called).toPart(part, off);
}

/** The ways in to the parts and the steps of one strip. */
export interface WaysIn {
  readonly toPart: (part: string, off?: readonly string[]) => AccessPlan;
  readonly toStep: (step: string, off?: readonly string[]) => AccessPlan;
}

/**
 * The ways in to all parts of one strip, of which what is common is worked out once. Throws as `accessPlan`
 * does.
 */
export function waysInto(strip: Strip, called?: StepCalled): WaysIn {
  const checked = checkStrip({ ...strip, services: [], lubePoints: [] });
  const needs = needsOf(checked, called);
  // the strip's own order, where it leaves a choice
  const order = undoOrder(checked, needs, called).reverse();
  const bundled = new Map<string, number[]>();
  checked.steps.forEach(({ bundle }, i) => {
    if (bundle !== undefined) bundled.set(bundle, [...(bundled.get(bundle) ?? []), i]);
  });
  const wayTo = (goal: number, off: readonly string[] = []): AccessPlan => {
    const isOff = new Set(
      off.map((id, i) => {
        const at = checked.indexOf.get(id);
        if (at === undefined) throw new Fault(`off[${i}]`, `there is no step ${id}`);
        return at;
      }),
    );
    const wanted = new Set<number>();
    for (const open = [goal]; open.length; ) {
      const i = open.pop() as number;
      if (wanted.has(i)) continue;
      wanted.add(i);
      open.push(...(needs[i] ?? []), ...(bundled.get(checked.steps[i]?.bundle ?? "") ?? []));
    }
    const steps = order.filter((i) => wanted.has(i) && !isOff.has(i)).flatMap((i) => checked.steps[i] ?? []);
    const pieces = steps.flatMap((s) => s.hardware ?? []).filter((h) => !NO_PIECE.includes(h.kind));
    return {
      steps: steps.map((s) => s.id),
      minutes: steps.reduce((sum, s) => sum + (s.minutes ?? UNTIMED_MINUTES), 0),
      hardware: pieces.reduce((sum, h) => sum + h.qty, 0),
      tools: toolsUsed(steps),
      bundlesOpened: [...new Set(steps.flatMap((s) => s.bundle ?? []))],
    };
  };
  return {
    toPart: (part, off) => {
      const goal = checked.cameOffIn.get(part);
      if (goal === undefined)
        throw new Fault(
          "part",
          checked.partById.has(part)
            ? `${part} never came off: no step tells the way to it`
            : `there is no part ${part}`,
        );
      return wayTo(goal, off);
    },
    toStep: (step, off) => {
      const goal = checked.indexOf.get(step);
      if (goal === undefined) throw new Fault("step", `there is no step ${step}`);
      return wayTo(goal, off);
    },
  };
}
