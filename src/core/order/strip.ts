import { z } from "zod";
import { Fault } from "../fault";
import { FREEINGS } from "../hardware/freed";
import { FORMS, hardwareKind, PIECE_STATES } from "../hardware/kinds";

/** What came off and how, as the job file (docs/formats.md) writes it. */

const id = z.string().min(1, "must not be empty").max(40, "is longer than 40 letters");
const text = z.string().max(2000, "is longer than 2000 letters");
const later = z.record(z.string(), z.unknown()).optional();

export const ACTIONS = [
  "unscrew", "lift-off", "pull", "press-out", "drive-out", "unclip", "unplug", "unsolder",
  "drain", "peel", "slide", "open", "loosen", "block", "note",
] as const; // biome-ignore format: a short list reads better in rows
export type Action = (typeof ACTIONS)[number];
export const action = z.enum(ACTIONS, { error: `is none of: ${ACTIONS.join(", ")}` });

export const hardwareSchema = z.strictObject({
  id,
  kind: hardwareKind,
  qty: z.int("must be a whole number").min(1, "must be 1 or more").max(500, "is more than 500"),
  thread: text.optional(),
  lengthMm: z.number().positive("must be above 0 mm").max(1000, "is longer than a metre").optional(),
  drive: text.optional(),
  at: text.optional(),
  form: z.enum(FORMS).optional(),
  finish: text.optional(),
  leftHand: z.boolean().optional(),
  once: z.boolean().optional(),
  locker: text.optional(),
  label: text.optional(),
  poles: z.int().min(1).max(99).optional(),
  state: z.enum(PIECE_STATES).optional(),
  tighten: z.strictObject({ pattern: text.optional(), torqueNm: z.number().positive().max(500).optional(), x: later }).optional(),
  x: later,
});
export type Hardware = z.infer<typeof hardwareSchema>;

export const partSchema = z.strictObject({
  id,
  name: text.optional(),
  kind: text.optional(),
  material: text.optional(),
  renew: z.boolean().optional(),
  state: z.enum(PIECE_STATES).optional(),
  x: later,
});
export type Part = z.infer<typeof partSchema>;

/** How a step's thing was held and got free, and with what; `standIn` where the right tool was not at hand. */
export const freedSchema = z.strictObject({ how: z.enum(FREEINGS), tool: text.optional(), standIn: z.boolean().optional(), x: later });
/** Which way round it stood: a tooth or a gap at the pin, turns to dead centre, a mark. */
export const timingSchema = z.strictObject({
  pin: z.enum(["tooth", "gap"]).optional(),
  turns: z.number().min(0).max(100).optional(),
  says: text.optional(),
  x: later,
});

export const stepSchema = z.strictObject({
  id,
  action,
  title: text.optional(),
  parts: z.array(id).optional(),
  needs: z.array(id).optional(),
  bundle: id.optional(),
  hardware: z.array(hardwareSchema).optional(),
  facing: text.optional(),
  marks: z.array(text).optional(),
  wires: z.array(z.strictObject({ colour: text, to: text, x: later })).optional(),
  held: z.array(text).optional(),
  freed: freedSchema.optional(),
  /** hardware and part ids as they lay on each other, from the top down */
  stack: z.array(id).optional(),
  timing: timingSchema.optional(),
  /** hazards named by the technician: keys of the table in core/safety/cautions.ts */
  cautions: z.array(text).optional(),
  /** what must not be undone any further, in words */
  doNotUndo: text.optional(),
  tray: text.optional(),
  tools: z.array(text).optional(),
  pictures: z.array(text).optional(),
  minutes: z.number().min(0, "must not be negative").max(10_000).optional(),
  note: text.optional(),
  x: later,
});
export type StripStep = z.infer<typeof stepSchema>;

export const SERVICES = ["clean", "inspect", "replace", "pull-seal", "ream", "bond", "deburr", "measure"] as const;
export const serviceSchema = z.strictObject({
  id,
  part: id.optional(),
  reachedBy: id.optional(),
  do: z.enum(SERVICES, { error: `is none of: ${SERVICES.join(", ")}` }),
  note: text.optional(),
  waitMinutes: z.number().min(0).max(100_000).optional(),
  x: later,
});
export type Service = z.infer<typeof serviceSchema>;

export const lubePointSchema = z.strictObject({
  id,
  part: id.optional(),
  reachedBy: id.optional(),
  when: z.enum(["before-fit", "after-fit"]).optional(),
  lubricant: text.optional(),
  grams: z.number().min(0, "must not be negative").max(100_000).optional(),
  where: text.optional(),
  x: later,
});
export type LubePoint = z.infer<typeof lubePointSchema>;

/** Everything that a rebuild plan is worked out from. */
export interface Strip {
  readonly parts: readonly Part[];
  readonly steps: readonly StripStep[];
  readonly services: readonly Service[];
  readonly lubePoints: readonly LubePoint[];
}

/** A strip whose references have been looked up and found sound. */
export interface CheckedStrip extends Strip {
  readonly indexOf: ReadonlyMap<string, number>;
  /** for every step, the steps it needed directly (the one before it where nothing was said) */
  readonly needs: readonly (readonly number[])[];
  readonly partById: ReadonlyMap<string, Part>;
  /** part id → index of the step that took it off */
  readonly cameOffIn: ReadonlyMap<string, number>;
}

function uniqueIds(what: string, things: readonly { readonly id: string }[]): Map<string, number> {
  const seen = new Map<string, number>();
  things.forEach((thing, i) => {
    if (seen.has(thing.id)) throw new Fault(`${what}[${i}].id`, `${thing.id} is used twice`);
    seen.set(thing.id, i);
  });
  return seen;
}

/**
 * Looks up every reference in a strip: steps, parts, hardware, services and grease points.
 *
 * Throws a {@link Fault} for an id used twice, a reference to nothing, a part that comes off twice, a grease point or service that is
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
      if (before !== undefined) throw new Fault(at, `${p} already came off in step ${strip.steps[before]?.id}`);
      cameOffIn.set(p, i);
    });
    (s.hardware ?? []).forEach((h, k) => {
      if (hardwareSeen.has(h.id)) throw new Fault(`steps[${i}].hardware[${k}].id`, `${h.id} is used twice`);
      hardwareSeen.add(h.id);
    });
    const own = new Set([...(s.hardware ?? []).map((h) => h.id), ...(s.parts ?? [])]);
    (s.stack ?? []).forEach((piece, k) => {
      if (!own.has(piece)) throw new Fault(`steps[${i}].stack[${k}]`, `${piece} did not come off in this step`);
    });
    if (!s.needs) return i === 0 ? [] : [i - 1];
    return s.needs.map((need, k) => {
      const to = indexOf.get(need);
      if (to === undefined) throw new Fault(`steps[${i}].needs[${k}]`, `there is no step ${need}`);
      return to;
    });
  });
  const onSomething = (what: string, things: readonly { id: string; part?: string | undefined; reachedBy?: string | undefined }[]): void => {
    uniqueIds(what, things);
    things.forEach((t, i) => {
      const at = `${what}[${i}]`;
      if ((t.part === undefined) === (t.reachedBy === undefined)) throw new Fault(at, `${t.id} needs either a part or reachedBy`);
      if (t.part !== undefined && !cameOffIn.has(t.part))
        throw new Fault(`${at}.part`, partById.has(t.part) ? `${t.part} never came off; say by which step it was reached` : `there is no part ${t.part}`);
      if (t.reachedBy === undefined) return;
      const step = strip.steps[indexOf.get(t.reachedBy) ?? -1];
      if (!step) throw new Fault(`${at}.reachedBy`, `there is no step ${t.reachedBy}`);
      if (step.action === "note") throw new Fault(`${at}.reachedBy`, `${t.reachedBy} is only a note and opens nothing`);
    });
  };
  onSomething("services", strip.services);
  onSomething("lubePoints", strip.lubePoints);
  strip.lubePoints.forEach((g, i) => {
    if (g.part !== undefined && g.when === undefined) throw new Fault(`lubePoints[${i}].when`, "must say before-fit or after-fit");
  });
  strip.parts.forEach((p, i) => {
    if (p.renew && !cameOffIn.has(p.id)) throw new Fault(`parts[${i}].renew`, `${p.name ?? p.id} is to be renewed, but no step takes it off`);
  });
  return { ...strip, indexOf, needs, partById, cameOffIn };
}
