import type { BackMoment, StepFacts } from "../job/step";
import { folded, type Ghost, type GhostStep, hardwareTotals } from "./ghost";
import { type FoundTool, toolsOfAll } from "./guide-tools";
import { withoutCircles } from "./without-circles";

/** Minutes that a thing took, over several units. */
export interface Spread {
  /** the middle one */
  readonly usual: number;
  readonly least: number;
  readonly most: number;
  readonly count: number;
}

/** A step of the model, as its units were taken apart. */
export interface GuideStep {
  readonly title: string;
  /** in how many of the units it was recorded */
  readonly seen: number;
  readonly minutes: Spread | null;
  /**
   * what had to be off before it in every unit that had both, as far as nothing between them says so already
   */
  readonly after: readonly string[];
  /** every unit had it at this place, though nothing forced it there */
  readonly isHabit: boolean;
  /** what was said of it, each once, with the unit that said it */
  readonly said: readonly { readonly from: string; readonly says: string; readonly when?: BackMoment }[];
}

export interface Guide {
  /** the units that it was learnt from, the last first */
  readonly from: readonly string[];
  readonly steps: readonly GuideStep[];
  readonly minutes: Spread | null;
  readonly tools: readonly FoundTool[];
  /** of the last unit */
  readonly hardware: string;
  /** what failed, the most often first */
  readonly fails: readonly { readonly part: string; readonly how: string; readonly times: number }[];
}

/** What failed in one unit. */
export interface Failed {
  readonly part: string;
  readonly how: string;
}

function spread(all: readonly number[]): Spread | null {
  const sorted = [...all].sort((a, b) => a - b);
  const [least, most] = [sorted[0], sorted.at(-1)];
  if (least === undefined || most === undefined) return null;
  const half = sorted.length >> 1;
  const usual =
    sorted.length % 2 ? (sorted[half] ?? least) : ((sorted[half - 1] ?? least) + (sorted[half] ?? most)) / 2;
  return { usual, least, most, count: sorted.length };
}

/** A fact of a step as the guide says it; the guide and what is dropped from it go by the same words. */
export const saidAs = {
  note: (s: string): string => s,
  setting: (s: string): string => `stood at ${s}`,
  doNotUndo: (s: string): string => `do not undo: ${s}`,
} as const;

/** What somebody said of a step that the next one should know. */
function saidOf({ note, setting, doNotUndo, back }: StepFacts): string[] {
  return [
    note && saidAs.note(note),
    setting && saidAs.setting(setting),
    doNotUndo && saidAs.doNotUndo(doNotUndo),
    ...(back ?? []).map((b) => b.says),
  ].filter((s): s is string => Boolean(s));
}

interface Aligned {
  readonly ghost: Ghost;
  /** names of its steps, the same for what is the same in two units */
  readonly keys: readonly string[];
  readonly at: ReadonlyMap<string, number>;
  /** for each step the names of all that had to be off before it */
  readonly before: readonly ReadonlySet<string>[];
}

/**
 * A unit's steps under names that hold across units: what it is called, and which of those called so it is.
 */
function aligned(ghost: Ghost): Aligned {
  const count = new Map<string, number>();
  const keys = ghost.steps.map((s) => {
    const name = folded(s.what || s.title);
    const nth = (count.get(name) ?? 0) + 1;
    count.set(name, nth);
    return `${name}#${nth}`;
  });
  const indexOf = new Map(ghost.steps.map((s, i) => [s.id, i]));
  const before: Set<string>[] = [];
  ghost.steps.forEach((s, i) => {
    const own = new Set<string>();
    for (const n of s.needs?.flatMap((id) => indexOf.get(id) ?? []) ?? (i ? [i - 1] : [])) {
      // a record whose needs point forward tells no order here
      if (n >= i) continue;
      if (ghost.steps[n]?.action !== "note") own.add(keys[n] ?? "");
      for (const k of before[n] ?? []) own.add(k);
    }
    before.push(own);
  });
  return { ghost, keys, at: new Map(keys.map((k, i) => [k, i])), before };
}

/**
 * What the units of a model tell of it: which order is forced and which is habit, how long each step takes,
 * what fails, what is needed.
 *
 * One step is forced before another where in every unit that had both it had to be off first; so the order
 * that is learnt never forbids what a recorded strip did.
 *
 * @param ghosts the model's strips, the last first
 * @param failed what failed in each of the model's units, also in those that have no strip
 */
export function guideOf(ghosts: readonly Ghost[], failed: readonly (readonly Failed[])[]): Guide {
  const units = ghosts.map(aligned);
  const seen = new Map<string, { readonly unit: Aligned; readonly i: number }[]>();
  for (const unit of units)
    unit.keys.forEach((key, i) => {
      if (unit.ghost.steps[i]?.action !== "note") seen.set(key, [...(seen.get(key) ?? []), { unit, i }]);
    });
  const keys = [...seen.keys()];
  const both = (a: string, b: string) =>
    (seen.get(b) ?? []).flatMap(({ unit, i }) => {
      const k = unit.at.get(a);
      return k === undefined ? [] : [{ unit, a: k, b: i }];
    });
  // of two steps that no unit had both, other units may tell one order and its opposite, each through others:
  // neither is forced then
  const forced = withoutCircles(
    new Map(
      keys.map((b) => {
        const asked = new Set((seen.get(b) ?? []).flatMap(({ unit, i }) => [...(unit.before[i] ?? [])]));
        return [b, new Set([...asked].filter((a) => both(a, b).every((p) => p.unit.before[p.b]?.has(a))))];
      }),
    ),
  );
  const place = new Map(
    keys.map((key) => {
      const at = (seen.get(key) ?? []).map(({ unit, i }) => i / Math.max(1, unit.keys.length));
      return [key, at.reduce((sum, x) => sum + x, 0) / Math.max(1, at.length)];
    }),
  );
  const order: string[] = [];
  const left = new Set(keys);
  while (left.size) {
    const free = [...left].filter((k) => ![...(forced.get(k) ?? [])].some((a) => left.has(a)));
    const next = free.sort((a, b) => (place.get(a) ?? 0) - (place.get(b) ?? 0))[0] as string;
    order.push(next);
    left.delete(next);
  }
  const title = (key: string): string => {
    const [one] = seen.get(key) ?? [];
    return one ? (one.unit.ghost.steps[one.i] as GhostStep).title : key;
  };
  const fails = new Map<string, { part: string; how: string; times: number }>();
  for (const f of failed.flat()) {
    const key = `${f.part.toLowerCase()} ${f.how}`;
    fails.set(key, { ...f, times: (fails.get(key)?.times ?? 0) + 1 });
  }
  const strips = units.map((u) => u.ghost);
  return {
    from: strips.map((g) => g.from),
    steps: order.map((key) => {
      const all = seen.get(key) ?? [];
      const own = forced.get(key) ?? new Set();
      const after = [...own].filter((a) => ![...own].some((c) => c !== a && forced.get(c)?.has(a)));
      const others = order.filter((o) => o !== key && both(o, key).length > 0);
      const free = others.filter((o) => !own.has(o) && !forced.get(o)?.has(key));
      const said = new Map<string, string>();
      for (const { unit, i } of all)
        for (const says of saidOf(unit.ghost.steps[i]?.facts ?? {}))
          if (!said.has(says)) said.set(says, unit.ghost.from);
      return {
        title: title(key),
        seen: all.length,
        minutes: spread(all.flatMap(({ unit, i }) => unit.ghost.steps[i]?.minutes ?? [])),
        after: after.map(title),
        isHabit:
          all.length > 1 &&
          free.length > 0 &&
          free.every((o) => new Set(both(o, key).map((p) => p.a < p.b)).size === 1),
        said: [...said].map(([says, from]) => ({ from, says })),
      };
    }),
    minutes: spread(
      strips.flatMap((g) =>
        g.steps.some((s) => s.minutes !== undefined)
          ? g.steps.reduce((sum, s) => sum + (s.minutes ?? 0), 0)
          : [],
      ),
    ),
    tools: toolsOfAll(strips),
    hardware: hardwareTotals(strips[0]?.steps.flatMap((s) => s.hardware) ?? []),
    fails: [...fails.values()].sort((a, b) => b.times - a.times || (a.part < b.part ? -1 : 1)),
  };
}
