import { z } from "zod";
import { Fault, readWith } from "../fault";
import { placeFault } from "../hardware/look-alikes";
import { isOut } from "../hardware/piece";
import { worthALook } from "../hardware/quick-line";
import { goingInOf } from "../job/going-in";
import type { Job } from "../job/job";
import { askedKinds } from "../job/part";
import { type NewStep, stepAsSaid } from "../job/recorded-step";
import { text } from "../job/written";
import { rebuildPlan } from "../order/rebuild-plan";
import { asRecorded, EMPTY, understood } from "../recorder/open-step";
import { jobOf } from "./job-at-rebuild";
import { besideLine } from "./line-beside";
import { cautionsAt } from "./line-cautions";
import { type LineWords, lineInWords } from "./line-in-words";

const companion = z.strictObject({ name: text.min(1), replaces: text.optional() });
const saidInput = z.strictObject({
  /** kind of unit */
  unit: text.min(1),
  /** each step as it is typed into the recorder's two lines */
  steps: z.array(z.strictObject({ what: text.default(""), line: text.default("") })).max(500),
  /** what goes in new, and what with it */
  new: z
    .array(z.strictObject({ part: text, name: text.optional(), with: z.array(companion).default([]) }))
    .default([]),
});

/** What stands beside an instruction. */
export interface BesideSaid {
  /** `off`: how it came off, which is no instruction */
  readonly as: "off" | "mind" | "caution" | "if not" | "reason";
  readonly says: string;
}
export interface SaidLine {
  readonly n: number;
  readonly kind: string;
  readonly says: string;
  readonly beside: readonly BesideSaid[];
}
export interface SaidPlan {
  readonly lines: readonly SaidLine[];
  /** pieces of hardware that came off */
  readonly out: number;
  /** what was taken for granted or is in doubt, as questions */
  readonly asks: readonly string[];
}

/**
 * The way back of a unit in words, out of nothing but what was typed at its strip (`rebuild said`). What is only
 * guessed, like a kind from a name, is asked and decides nothing.
 *
 * Throws a Fault where the input is none, or a step names nothing.
 */
export function rebuildSaid(input: unknown): SaidPlan {
  const said = readWith(saidInput, input);
  const { job, asks } = stripSaid(said);
  for (const p of job.parts) {
    const kinds = askedKinds(p);
    if (kinds.length) asks.push(`${p.name}: ${kinds.join(", ")} or something else?`);
  }
  for (const c of said.new.flatMap((n) => n.with))
    if (c.replaces === undefined)
      asks.push(`${c.name}: in place of something that is in the unit, or besides?`);
  const lines = rebuildPlan({ ...job, goingIn: goingInOf(job) }).steps.map((l): SaidLine => {
    const w = lineInWords(job, l);
    const beside = [
      ...besideSaid(w),
      ...cautionsAt(job, l).map((says): BesideSaid => ({ as: "caution", says })),
      ...l.because.map((says): BesideSaid => ({ as: "reason", says })),
    ];
    return { n: l.n, kind: l.kind, says: w.title, beside };
  });
  const out = job.steps
    .filter((s) => s.action !== "note")
    .flatMap((s) => (s.hardware ?? []).filter(isOut))
    .reduce((n, h) => n + h.qty, 0);
  return { lines, out, asks: [...new Set(asks)] };
}

/** The job that a strip makes, out of nothing but what was typed at it. Throws a Fault as `rebuildSaid` does. */
export const jobAsSaid = (input: unknown): Job => stripSaid(readWith(saidInput, input)).job;

/** A strip as it is understood, and what is asked of it. */
function stripSaid(said: z.infer<typeof saidInput>): { readonly job: Job; readonly asks: string[] } {
  const asks: string[] = [];
  const steps = said.steps.map(({ what, line }, i): NewStep => {
    const open = { ...EMPTY, key: `said-${i}`, what, line };
    const read = understood(open);
    asks.push(...worthALook(read));
    const step = asRecorded(open, read, 0);
    const noPlace = placeFault(step.hardware);
    if (noPlace) asks.push(noPlace);
    try {
      return stepAsSaid(step);
    } catch (e) {
      throw e instanceof Fault ? new Fault(`steps[${i}].${e.path}`, e.says) : e;
    }
  });
  return { job: jobSaid(said, steps), asks };
}

/** The job of a strip when nobody said more than that. */
function jobSaid({ unit, new: fresh }: z.infer<typeof saidInput>, steps: readonly NewStep[]): Job {
  let [pieces, parts] = [0, 0];
  const laid = steps.map(({ parts: own, hardware, stack, needs: _n, key: _k, asOne: _a, ...facts }, i) => {
    const hs = hardware.map((h) => ({ id: `h${++pieces}`, ...h }));
    const ps = own.map((p) => ({ id: `p${++parts}`, ...p }));
    const id = (s: string): string | undefined => (s.startsWith("h") ? hs : ps)[Number(s.slice(1))]?.id;
    return {
      parts: ps,
      step: {
        id: `s${i + 1}`,
        ...facts,
        hardware: hs,
        parts: ps.map((p) => p.id),
        ...(stack && { stack: stack.flatMap((s) => id(s) ?? []) }),
      },
    };
  });
  const all = laid.flatMap((l) => l.parts);
  const named = (name: string): string => {
    const found = all.find((p) => p.name.toLowerCase() === name.trim().toLowerCase());
    if (!found) throw new Fault("new", `${name} did not come off in any step`);
    return found.id;
  };
  const going = fresh.map((n) => ({ ...n, id: named(n.part) }));
  const job = jobOf({
    kind: unit,
    parts: all.map((p) => ({ ...p, ...(going.some((n) => n.id === p.id) && { renew: true }) })),
    steps: laid.map((l) => l.step),
  });
  const findings = going.map((n) => ({
    part: n.id,
    teeth: {},
    gear: {},
    goesIn: {
      number: "",
      name: n.name ?? n.part,
      stack: [],
      leavesOut: [],
      notBeside: [],
      staysOut: [],
      with: n.with.map((c) => ({ number: "", qty: 1, ...c })),
    },
  }));
  return { ...job, findings };
}

/** What stands beside a line, by what it is. */
function besideSaid(w: LineWords): BesideSaid[] {
  const { off = [], ifNot, ...rest } = w;
  return [
    ...besideLine({ ...rest, ifNot: undefined, off: [] }, []).map(
      (says): BesideSaid => ({ as: "mind", says }),
    ),
    ...off.map((says): BesideSaid => ({ as: "off", says })),
    ...(ifNot ? [{ as: "if not", says: ifNot } as const] : []),
  ];
}
