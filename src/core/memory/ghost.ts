import { z } from "zod";
import type { Frozen } from "../frozen";
import { HARDWARE_NAMES } from "../hardware/kinds";
import { type HardwareFacts, hardwareInWords, isLoose, pieceFacts } from "../hardware/piece";
import type { Job } from "../job/job";
import { partName } from "../job/part";
import { factsOfStep, recordedStep, stackOfStep } from "../job/recorded-step";
import { action, stepFacts } from "../job/step";

/**
 * A step of an earlier unit of the model, as the next one is held against it: with names where the job has
 * ids.
 */
export const ghostStep = z.strictObject({
  id: z.string(),
  /** what it is called on the Mat: two steps that are called the same are taken for the same */
  title: z.string(),
  action,
  /** what came off, as it is typed: names with commas between them, or its title where nothing did */
  what: z.string(),
  hardware: z.array(pieceFacts),
  /** ids of steps of the ghost; left out: the one before it */
  needs: z.array(z.string()).optional(),
  bundle: z.string().optional(),
  /** the pieces as they lay on each other, as the recorder names them: `h0`, `p0` */
  stack: z.array(z.string()),
  /** what its parts were said to be, by name */
  partFacts: recordedStep.shape.partFacts,
  facts: stepFacts,
  minutes: z.number().optional(),
  /** its first picture */
  picture: z.string().optional(),
});
export type GhostStep = Frozen<z.infer<typeof ghostStep>>;
export const ghostSchema = z.strictObject({
  /** the job that it is of */
  from: z.string(),
  steps: z.array(ghostStep),
});
export type Ghost = Frozen<z.infer<typeof ghostSchema>>;

/**
 * A strip as the next unit of the model is held against it. What became of single pieces of that unit, lost
 * or broken, is its own.
 *
 * @param called what a step is called on the Mat
 */
export function ghostOf(
  job: Pick<Job, "number" | "parts" | "steps" | "pictures">,
  called: (step: Job["steps"][number]) => string,
): Ghost {
  const parts = new Map(job.parts.map((p) => [p.id, p]));
  return {
    from: job.number,
    steps: job.steps.map((s) => {
      const own = s.parts ?? [];
      const { minutes, ...facts } = factsOfStep(s);
      const picture = job.pictures.find((p) => p.step === s.id);
      return {
        id: s.id,
        title: called(s),
        action: s.action,
        what: own.length ? own.map((p) => partName(parts.get(p))).join(", ") : (s.title ?? ""),
        hardware: (s.hardware ?? []).map(({ id: _id, x: _x, state: _state, ...h }) => h),
        ...(s.needs ? { needs: [...s.needs] } : {}),
        ...(s.bundle === undefined ? {} : { bundle: s.bundle }),
        stack: stackOfStep(s),
        partFacts: Object.fromEntries(
          own.flatMap((id) => {
            const { kind, material, name } = parts.get(id) ?? {};
            const said = {
              ...(kind === undefined ? {} : { kind }),
              ...(material === undefined ? {} : { material }),
            };
            return name && Object.keys(said).length ? [[name, said]] : [];
          }),
        ),
        // a picture of that unit is none of this one
        facts: facts.holes ? { ...facts, holes: { ...facts.holes, picture: undefined } } : facts,
        ...(minutes === undefined ? {} : { minutes }),
        ...(picture ? { picture: picture.sha256 } : {}),
      };
    }),
  };
}

/** How far the strip has come along its ghost. */
export interface Followed {
  /** places of the ghost's steps, each with the place of the step that it was found again in */
  readonly found: ReadonlyMap<number, number>;
  /** the place of the ghost's step that comes next; undefined: all are found, or passed over */
  readonly next: number | undefined;
  /** places of the ghost's steps that were passed over */
  readonly passed: readonly number[];
}

/** What a step is called, however it was typed. */
export const folded = (title: string): string => title.trim().toLowerCase().replace(/\s+/g, " ");

/**
 * Finds the steps that lie on the Mat again in the ghost, by what they are called or what came off in them,
 * each once, in their order.
 */
export function follow(
  ghost: readonly Pick<GhostStep, "title" | "what">[],
  laid: readonly { readonly title: string }[],
): Followed {
  const open = new Map<string, number[]>();
  ghost.forEach((g, i) => {
    for (const key of new Set([folded(g.title), folded(g.what)]))
      open.set(key, [...(open.get(key) ?? []), i]);
  });
  const found = new Map<number, number>();
  laid.forEach((s, at) => {
    const i = open.get(folded(s.title))?.find((k) => !found.has(k));
    if (i !== undefined) found.set(i, at);
  });
  const last = Math.max(-1, ...found.keys());
  const next = ghost.findIndex((_, i) => i > last && !found.has(i));
  return {
    found,
    next: next < 0 ? undefined : next,
    passed: ghost.flatMap((_, i) => (i < last && !found.has(i) ? [i] : [])),
  };
}

/** What makes two pieces the same sort: not where they sat, and not how many. */
const sortOf = ({ kind, thread, lengthMm, drive, form, label, leftHand }: HardwareFacts): string =>
  JSON.stringify([kind, thread, lengthMm, drive, form, label, leftHand ?? false]);

/**
 * What differs in a step from the last time, in sentences.
 *
 * @example differences([{ kind: "washer", qty: 2 }], [{ kind: "washer", qty: 3 }]) // ["1 washer more
 *   than last time"]
 */
export function differences(was: readonly HardwareFacts[], is: readonly HardwareFacts[]): string[] {
  const count = new Map<string, { readonly like: HardwareFacts; was: number; is: number }>();
  const add = (all: readonly HardwareFacts[], side: "was" | "is"): void => {
    for (const h of all.filter(isLoose)) {
      const row = count.get(sortOf(h)) ?? { like: h, was: 0, is: 0 };
      row[side] += h.uncounted ? 0 : h.qty;
      count.set(sortOf(h), row);
    }
  };
  add(was, "was");
  add(is, "is");
  const said = (like: HardwareFacts, qty: number): string => hardwareInWords({ ...plain(like), qty });
  const rows = [...count.values()].filter((r) => r.was !== r.is);
  const come = rows.filter((r) => r.was === 0);
  const out = rows
    .filter((r) => r.was > 0)
    .map((r) => {
      // the same number of the same kind, of another size
      const other = r.is === 0 ? come.findIndex((o) => o.is === r.was && o.like.kind === r.like.kind) : -1;
      const [instead] = other < 0 ? [] : come.splice(other, 1);
      if (instead) return `${said(instead.like, instead.is)}; last time ${said(r.like, r.was)}`;
      return r.is > r.was
        ? `${said(r.like, r.is - r.was)} more than last time`
        : `${said(r.like, r.was - r.is)} fewer than last time`;
    });
  return [...out, ...come.map((r) => `${said(r.like, r.is)} more than last time`)];
}

const plain = ({
  kind,
  qty,
  thread,
  lengthMm,
  drive,
  form,
  label,
  leftHand,
}: HardwareFacts): HardwareFacts => ({
  kind,
  qty,
  thread,
  lengthMm,
  drive,
  form,
  label,
  leftHand,
});

/**
 * Pieces of a strip as they are fetched ready: how many of each kind.
 *
 * @example hardwareTotals([{ kind: "screw", qty: 4 }]) // "4 screws"
 */
export function hardwareTotals(all: readonly HardwareFacts[]): string {
  const count = new Map<string, number>();
  for (const h of all.filter(isLoose)) count.set(h.kind, (count.get(h.kind) ?? 0) + h.qty);
  return [...count]
    .map(([kind, n]) => `${n} ${HARDWARE_NAMES[kind as HardwareFacts["kind"]][n === 1 ? 0 : 1]}`)
    .join(", ");
}
