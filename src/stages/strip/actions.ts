"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { planOf } from "@/core/gates/job-facts";
import { NOT_YET, safetyKey } from "@/core/job/keys";
import { jobPicture } from "@/core/job/picture";
import { newStepFrom, recordedStep } from "@/core/job/recorded-step";
import { stepThing } from "@/core/job/step-named";
import { ref, text } from "@/core/job/written";
import { waysInto } from "@/core/order/access-plan";
import { linesOpenedBy, offNow } from "@/core/order/off-again";
import { safetyGate } from "@/core/safety/gate";
import { SITS_INSIDE } from "@/core/safety/hazards";
import { loadJob, thereIs } from "@/store/job";
import { openLines, setAnswer } from "@/store/rebuild";
import { changeStep, layDown, markPicture, setOrder, slide, toggleBundle } from "@/store/strip";
import { completeStrip } from "@/store/strip-complete";
import { undoLast } from "@/store/undo";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";

/**
 * The step that is changed, null: a new one; and whether it is sent again by itself, as nobody knows whether
 * it arrived.
 */
const stepInput = z.object({
  ...onJob,
  editing: ref.nullable(),
  again: z.boolean().optional(),
  step: recordedStep,
});

/** Lays a step down on the Mat, or changes one that lies there. */
export async function layStepDown(raw: z.input<typeof stepInput>): Promise<ActionResult> {
  return act(stepInput, raw, ({ number, version, editing, again, step }) => {
    const laid = newStepFrom(step);
    return editing ? changeStep(number, version, editing, laid) : layDown(number, "any", laid, { again });
  });
}

const againInput = z.object({ ...onJob, steps: z.array(ref).min(1).max(500) });
/**
 * What had to come off again before more is laid down: these steps, and whatever must be off for them. Their lines of
 * the rebuild are open again.
 */
export async function cameOffAgain(raw: z.infer<typeof againInput>): Promise<ActionResult> {
  return act(againInput, raw, async ({ number, version, steps }) => {
    const job = thereIs(await loadJob(number), number);
    const off = offNow(job.steps, job.linesDone);
    const ways = waysInto(job);
    const all = [...new Set(steps.flatMap((s) => ways.toStep(s, off).steps))];
    const done = new Set(job.linesDone);
    const lines = linesOpenedBy(planOf(job), job, all).filter((k) => done.has(k));
    if (!lines.length) throw new Fault("steps", "they lie on the Mat already");
    return openLines(number, version, lines, `off again: ${all.map((s) => stepThing(job, s)).join("; ")}`);
  });
}

const bare = z.object(onJob);
/** Takes the last action of the recorder back; ten are kept. */
export async function takeBack(raw: z.infer<typeof bare>): Promise<ActionResult> {
  return act(bare, raw, ({ number, version }) => undoLast(number, version));
}

const slideInput = z.object({ ...onJob, step: ref, to: z.int() });
export async function slideTo(raw: z.infer<typeof slideInput>): Promise<ActionResult> {
  return act(slideInput, raw, ({ number, version, step, to }) => slide(number, version, step, to));
}

const needsInput = z.object({ ...onJob, step: ref, needs: z.array(ref) });
/** What a step that lies on the Mat needed: only these. */
export async function setNeeds(raw: z.infer<typeof needsInput>): Promise<ActionResult> {
  return act(needsInput, raw, ({ number, version, step, needs }) =>
    setOrder(number, version, step, { needs }),
  );
}

const bundleInput = z.object({ ...onJob, step: ref, other: ref });
export async function cameOutAsOne(raw: z.infer<typeof bundleInput>): Promise<ActionResult> {
  return act(bundleInput, raw, ({ number, version, step, other }) =>
    toggleBundle(number, version, step, other),
  );
}

const marksInput = z.object({ ...onJob, picture: text, marks: jobPicture.shape.marks.unwrap() });
export async function saveMarks(raw: z.infer<typeof marksInput>): Promise<ActionResult> {
  return act(marksInput, raw, ({ number, version, picture, marks }) =>
    markPicture(number, version, picture, marks),
  );
}

const finishInput = z.object({ ...onJob, finished: z.boolean() });
export async function setStripFinished(raw: z.infer<typeof finishInput>): Promise<ActionResult> {
  return act(finishInput, raw, ({ number, version, finished }) => completeStrip(number, version, finished));
}

const safetyInput = z.object({
  ...onJob,
  gate: text,
  skipped: text.optional(),
  notYet: z.boolean().optional(),
});

/** Answers one question of the safety gate, or skips it with a written reason. */
export async function answerSafety(raw: z.infer<typeof safetyInput>): Promise<ActionResult> {
  return act(safetyInput, raw, async ({ number, version, gate, skipped, notYet }) => {
    const job = thereIs(await loadJob(number), number);
    const asked = safetyGate(job).find((q) => q.gate === gate);
    if (!asked) throw new Fault("gate", "this unit is not asked that");
    if (notYet) {
      if (!SITS_INSIDE.includes(gate)) throw new Fault("gate", "can be answered before the first screw");
      return setAnswer(
        number,
        version,
        safetyKey(gate),
        { answer: NOT_YET },
        `safety gate: ${asked.asks} not yet, it sits inside`,
      );
    }
    if (skipped !== undefined && skipped.trim().length < 4)
      throw new Fault("reason", "write down why it is skipped");
    const answer = skipped === undefined ? { answer: "yes" } : { answer: "skipped", note: skipped.trim() };
    return setAnswer(
      number,
      version,
      safetyKey(gate),
      answer,
      `safety gate: ${asked.asks} ${skipped === undefined ? "yes" : `SKIPPED: ${skipped.trim()}`}`,
    );
  });
}
