import { Fault } from "../fault";
import { type Part, partName } from "../job/part";
import type { StripStep } from "../job/step";
import type { Strip } from "../job/strip";

/** A strip whose references have been looked up and found sound. */
export interface CheckedStrip extends Strip {
  readonly indexOf: ReadonlyMap<string, number>;
  /** for every step, the steps it needed directly (the one before it where nothing was said) */
  readonly needs: readonly (readonly number[])[];
  readonly partById: ReadonlyMap<string, Part>;
  /** part id → index of the step that took it off */
  readonly cameOffIn: ReadonlyMap<string, number>;
}

/**
 * For every step the places of those it needed directly, the one before it where nothing was said; a name
 * that leads nowhere is passed over.
 */
export function directNeeds(steps: readonly Pick<StripStep, "id" | "needs">[]): number[][] {
  const at = new Map(steps.map((s, i) => [s.id, i]));
  return steps.map(
    ({ needs }, i) => needs?.flatMap((need) => at.get(need) ?? []) ?? (i === 0 ? [] : [i - 1]),
  );
}

function uniqueIds(what: string, things: readonly { readonly id: string }[]): Map<string, number> {
  const seen = new Map<string, number>();
  things.forEach((thing, i) => {
    if (seen.has(thing.id)) throw new Fault(`${what}[${i}].id`, `${thing.id} is used twice`);
    seen.set(thing.id, i);
  });
  return seen;
}

/** Nothing was taken off to reach it. */
export const isOutside = (t: {
  readonly part?: string;
  readonly reachedBy?: string;
  readonly outside?: boolean;
}): boolean => t.outside === true && t.part === undefined && t.reachedBy === undefined;

/**
 * Looks up every reference in a strip: steps, parts, hardware, services and grease points.
 *
 * Throws a {@link Fault} for an id used twice, a reference to nothing, a part that comes off twice, a grease
 * point or service that is
 * neither on a part that came off nor reached by a step, and a renewed part that no step takes off.
 */
export function checkStrip(strip: Strip): CheckedStrip {
  const indexOf = uniqueIds("steps", strip.steps);
  uniqueIds("parts", strip.parts);
  const partById = new Map(strip.parts.map((p) => [p.id, p]));
  const cameOffIn = new Map<string, number>();
  const hardwareSeen = new Set<string>();
  const needs = strip.steps.map((s, i) => {
    (s.parts ?? []).forEach((p, k) => {
      const at = `steps[${i}].parts[${k}]`;
      if (!partById.has(p)) throw new Fault(at, `there is no part ${p}`);
      const before = cameOffIn.get(p);
      if (before !== undefined)
        throw new Fault(at, `${p} already came off in step ${strip.steps[before]?.id}`);
      cameOffIn.set(p, i);
    });
    (s.hardware ?? []).forEach((h, k) => {
      if (hardwareSeen.has(h.id)) throw new Fault(`steps[${i}].hardware[${k}].id`, `${h.id} is used twice`);
      hardwareSeen.add(h.id);
    });
    const own = new Set([...(s.hardware ?? []).map((h) => h.id), ...(s.parts ?? [])]);
    (s.stack ?? []).forEach((piece, k) => {
      if (!own.has(piece))
        throw new Fault(`steps[${i}].stack[${k}]`, `${piece} did not come off in this step`);
    });
    if (!s.needs) return i === 0 ? [] : [i - 1];
    return s.needs.map((need, k) => {
      const to = indexOf.get(need);
      if (to === undefined) throw new Fault(`steps[${i}].needs[${k}]`, `there is no step ${need}`);
      return to;
    });
  });
  const onSomething = (
    what: string,
    things: readonly { id: string; part?: string; reachedBy?: string; outside?: boolean }[],
  ): void => {
    uniqueIds(what, things);
    things.forEach((t, i) => {
      const at = `${what}[${i}]`;
      if (isOutside(t)) return;
      if ((t.part === undefined) === (t.reachedBy === undefined))
        throw new Fault(at, `${t.id} needs either a part or reachedBy`);
      if (t.part !== undefined && !cameOffIn.has(t.part))
        throw new Fault(
          `${at}.part`,
          partById.has(t.part)
            ? `${t.part} never came off; say by which step it was reached`
            : `there is no part ${t.part}`,
        );
      if (t.reachedBy === undefined) return;
      const step = strip.steps[indexOf.get(t.reachedBy) ?? -1];
      if (!step) throw new Fault(`${at}.reachedBy`, `there is no step ${t.reachedBy}`);
      if (step.action === "note")
        throw new Fault(`${at}.reachedBy`, `${t.reachedBy} is only a note and opens nothing`);
    });
  };
  onSomething("services", strip.services);
  onSomething("lubePoints", strip.lubePoints);
  strip.lubePoints.forEach((g, i) => {
    if (g.part !== undefined && g.when === undefined)
      throw new Fault(`lubePoints[${i}].when`, "must say before-fit or after-fit");
  });
  strip.parts.forEach((p, i) => {
    if (p.renew && !cameOffIn.has(p.id))
      throw new Fault(`parts[${i}].renew`, `${partName(p)} is to be renewed, but no step takes it off`);
  });
  return { ...strip, indexOf, needs, partById, cameOffIn };
}

/** A step by its index, which comes from the strip itself. */
export function stepAt({ steps }: Pick<CheckedStrip, "steps">, i: number): StripStep {
  const step = steps[i];
  if (!step) throw new RangeError(`the strip has no step of index ${i}`);
  return step;
}
