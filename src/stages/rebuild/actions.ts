"use server";

import { z } from "zod";
import { USUAL } from "@/core/assemblies/usual";
import { Fault } from "@/core/fault";
import { planOf } from "@/core/gates/job-facts";
import { hardwareInWords, isLoose, pieceFacts } from "@/core/hardware/piece";
import { tightenSchema } from "@/core/hardware/tightening";
import type { Job } from "@/core/job/job";
import { causeKey, DOES_NOT_APPLY, missingKey, ruledOutKey, struckKeyAt } from "@/core/job/keys";
import { goesBackWith, holesSchema } from "@/core/job/step";
import { stepThing } from "@/core/job/step-named";
import { note, ref, text } from "@/core/job/written";
import { missingOf } from "@/core/order/missing";
import { isLineDone, lineKey, type RebuildLine, stepBackIn } from "@/core/order/rebuild-line";
import { minutesInWords, type RunningWait } from "@/core/order/running-waits";
import { lineInWords } from "@/core/rebuild/line-in-words";
import { type Suspect, suspectsOf } from "@/core/rebuild/suspects";
import { backToStage } from "@/store/endings";
import { loadJob, thereIs } from "@/store/job";
import { setHead } from "@/store/jobs";
import { setAnswer, setLine, setMissing } from "@/store/rebuild";
import { addForReturn, setCount, setHoles, setTightening } from "@/store/strip";
import { waitsNow } from "../job-view/waits-now";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";

const input = z.object({ ...onJob, line: text, done: z.boolean() });

/**
 * Finishes a line of the plan, or opens it again. Only the first open line can be finished, and only the last
 * finished one opened.
 */
export async function finishLine(raw: z.infer<typeof input>): Promise<ActionResult> {
  return act(input, raw, async ({ number, version, line, done }) => {
    const job = thereIs(await loadJob(number), number);
    if (done) return setLine(number, version, line, true, lineInWords(job, lineToFinish(job, line)).title);
    const { asked, first, last } = linesAround(job, line);
    if (asked === first || !isLineDone(asked, new Set(job.linesDone)))
      throw new Fault("line", "is not done yet");
    if (last && last !== asked) throw new Fault("line", `open line ${last.n} again first`);
    return setLine(number, version, line, false, lineInWords(job, asked).title);
  });
}

/** A line by its key, with the first that is open and the one before it. */
function linesAround(job: Job, key: string) {
  const { steps } = planOf(job);
  const asked = steps.find((l) => lineKey(l) === key);
  if (!asked) throw new Fault("line", "the plan has changed; look at it as it is now");
  const finished = new Set(job.linesDone);
  const open = steps.findIndex((l) => !isLineDone(l, finished));
  return { asked, first: steps[open], last: open < 0 ? steps.at(-1) : steps[open - 1] };
}

/**
 * The line that is to be finished; refused where another comes first, or something it would close over has
 * not set.
 */
function lineToFinish(job: Job, key: string): RebuildLine {
  const { asked, first } = linesAround(job, key);
  if (first && first !== asked)
    throw new Fault("line", `line ${first.n} comes first: ${lineInWords(job, first).title}`);
  const held = heldUp(job, asked);
  if (held)
    throw new Fault(
      "line",
      `${held.why}. ${minutesInWords(held.minutesLeft)} are left; go on with something else, or say that it has set`,
    );
  return asked;
}

const notHereInput = z.object({ ...onJob, line: text });
/** A check asks of something that is not there: it is done, and was answered so. */
export async function doesNotApply(raw: z.infer<typeof notHereInput>): Promise<ActionResult> {
  return act(notHereInput, raw, async ({ number, version, line }) => {
    const job = thereIs(await loadJob(number), number);
    const asked = lineToFinish(job, line);
    if (asked.kind !== "check") throw new Fault("line", "asks nothing");
    return setLine(
      number,
      version,
      line,
      true,
      `does not apply: ${lineInWords(job, asked).title}`,
      DOES_NOT_APPLY,
    );
  });
}

const strikeInput = z.object({ ...onJob, assembly: text, step: ref });
/** What is usually minded or asked where something goes together like this is not so here. */
export async function strikeAssembly(raw: z.infer<typeof strikeInput>): Promise<ActionResult> {
  return act(strikeInput, raw, async ({ number, version, assembly, step }) => {
    const job = thereIs(await loadJob(number), number);
    const says = [...USUAL, ...(job.ownAssemblies ?? [])].find((a) => a.id === assembly)?.says ?? assembly;
    return setAnswer(
      number,
      version,
      struckKeyAt(assembly, step),
      { answer: "struck" },
      `struck out at ${stepThing(job, step)}: ${says}`,
    );
  });
}

const missingInput = z.object({
  ...onJob,
  line: text,
  missing: z
    .array(z.object({ piece: ref, qty: z.int().min(1) }))
    .min(1)
    .max(60),
});
/**
 * A step goes back without some of its pieces: they are looked for, and the ledger stays open until they are
 * found or others went in.
 */
export async function goOnWithout(raw: z.infer<typeof missingInput>): Promise<ActionResult> {
  return act(missingInput, raw, async ({ number, version, line, missing }) => {
    const job = thereIs(await loadJob(number), number);
    const asked = lineToFinish(job, line);
    const step = job.steps.find((s) => s.id === stepBackIn(asked));
    if (!step) throw new Fault("line", "puts nothing back that could be missing");
    const words = missing.map(({ piece, qty }) => {
      const own = step.hardware?.find((h) => h.id === piece);
      if (!own || !isLoose(own)) throw new Fault("piece", "does not lie with that step");
      if (qty > own.qty) throw new Fault("qty", `only ${own.qty} came off there`);
      return hardwareInWords({ ...own, qty, at: undefined });
    });
    return setMissing(
      number,
      version,
      line,
      step.id,
      missing,
      `done without ${words.join(", ")}, missing: ${lineInWords(job, asked).title}`,
    );
  });
}

const insteadInput = z.object({
  ...onJob,
  step: ref,
  piece: ref,
  from: note.min(2, "say where it came from"),
});
/** Another went in in the place of what is missing. */
export async function putInInstead(raw: z.infer<typeof insteadInput>): Promise<ActionResult> {
  return act(insteadInput, raw, async ({ number, version, step, piece, from }) => {
    const job = thereIs(await loadJob(number), number);
    const lost = missingOf(job).find((m) => m.step === step && m.piece.id === piece);
    if (!lost) throw new Fault("piece", "is not missing any more");
    const what = hardwareInWords({ ...lost.piece, qty: lost.qty, at: undefined });
    return setAnswer(
      number,
      version,
      missingKey(step, piece),
      { answer: "renewed", value: lost.qty, note: from },
      `${what} at ${stepThing(job, step)}: ${from} went in instead`,
    );
  });
}

/** What was begun and needs its time, where a line would close over it. */
function heldUp(job: Job, line: RebuildLine): RunningWait | undefined {
  const step = stepBackIn(line);
  return step === undefined ? undefined : waitsNow(job).find((w) => w.holds === step);
}

const returnInput = z.object({
  ...onJob,
  step: ref,
  after: ref.optional(),
  ...goesBackWith.pick({ when: true, says: true }).shape,
});
/** What must happen around a step's return, said while it goes back: for this time and the next. */
export async function sayForReturn(raw: z.infer<typeof returnInput>): Promise<ActionResult> {
  return act(returnInput, raw, ({ number, version, step, after, ...said }) =>
    addForReturn(number, version, step, { ...said, ...(after && { step: after }) }),
  );
}

const tightInput = z.object({
  ...onJob,
  step: ref,
  pieces: z.array(ref).min(1).max(500),
  tighten: tightenSchema.nullable(),
});
/** How tight some pieces of a step go back. */
export async function sayHowTight(raw: z.infer<typeof tightInput>): Promise<ActionResult> {
  return act(tightInput, raw, ({ number, version, step, pieces, tighten }) =>
    setTightening(number, version, step, pieces, tighten ?? undefined),
  );
}

const holesInput = z.object({ ...onJob, step: ref, holes: holesSchema });
/**
 * Where the screws of a step sit in its picture: the order in which they are drawn is worked out from that.
 */
export async function sayHoles(raw: z.infer<typeof holesInput>): Promise<ActionResult> {
  return act(holesInput, raw, ({ number, version, step, holes }) => setHoles(number, version, step, holes));
}

const countInput = z.object({ ...onJob, step: ref, piece: ref, qty: pieceFacts.shape.qty });
/** How many there were of what nobody counted at the strip. */
export async function sayHowMany(raw: z.infer<typeof countInput>): Promise<ActionResult> {
  return act(countInput, raw, ({ number, version, step, piece, qty }) =>
    setCount(number, version, step, piece, qty),
  );
}

const suspectInput = z.object({ ...onJob, line: text, suspect: text });
/** What can be behind the "no" at a check, by its key. */
async function suspected(number: string, key: string, id: string): Promise<Suspect> {
  const job = thereIs(await loadJob(number), number);
  const plan = planOf(job);
  const line = plan.steps.find((l) => lineKey(l) === key);
  const found =
    line?.kind === "check"
      ? suspectsOf(job, plan, line, new Set(job.linesDone)).find((s) => s.id === id)
      : undefined;
  if (!found) throw new Fault("suspect", "the plan has changed; look at it as it is now");
  return found;
}

const ruledOutInput = suspectInput.extend({ out: z.boolean() });
/** It was looked at, and was not what brought the check its "no"; or it is in question again. */
export async function ruleOut(raw: z.infer<typeof ruledOutInput>): Promise<ActionResult> {
  return act(ruledOutInput, raw, async ({ number, version, line, suspect, out }) => {
    const { says } = await suspected(number, line, suspect);
    return setAnswer(
      number,
      version,
      ruledOutKey(line, suspect),
      out ? { answer: "no" } : null,
      `${out ? "not the cause" : "in question again"}: ${says}`,
    );
  });
}

/** It was that: written down, where the next unit of the model finds it. */
export async function causeFound(raw: z.infer<typeof suspectInput>): Promise<ActionResult> {
  return act(suspectInput, raw, async ({ number, version, line, suspect }) => {
    const { says } = await suspected(number, line, suspect);
    return setAnswer(
      number,
      version,
      causeKey(line),
      { answer: suspect, note: says },
      `cause found at the rebuild: ${says}`,
    );
  });
}

const troubleInput = z.object({ ...onJob, says: note.min(3, "say in a few words what is wrong") });

/** Writes what went wrong into the history; the line stays open. */
export async function noteTrouble(raw: z.infer<typeof troubleInput>): Promise<ActionResult> {
  return act(troubleInput, raw, ({ number, version, says }) =>
    setHead(number, version, {}, `trouble at the rebuild: ${says}`),
  );
}

/**
 * A second fault found while it goes together: back to Judge with it. Lines that are done stay done, until
 * the part that must come out is judged.
 */
export async function secondFault(raw: z.infer<typeof troubleInput>): Promise<ActionResult> {
  return act(troubleInput, raw, ({ number, version, says }) => backToStage(number, version, "judge", says));
}
