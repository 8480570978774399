"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { planOf } from "@/core/gates/job-facts";
import { goesBackWith } from "@/core/job/step";
import { note, ref, text } from "@/core/job/written";
import { isLineDone, lineKey } from "@/core/order/rebuild-line";
import { lineInWords } from "@/core/rebuild/line-in-words";
import { backToStage } from "@/store/endings";
import { loadJob, thereIs } from "@/store/job";
import { setHead } from "@/store/jobs";
import { setLine } from "@/store/rebuild";
import { addForReturn } from "@/store/strip";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";

const input = z.object({ ...onJob, line: text, done: z.boolean() });

/** Finishes a line of the plan, or opens it again. Only the first open line can be finished, and only the last finished one opened. */
export async function finishLine(raw: z.infer<typeof input>): Promise<ActionResult> {
  return act(input, raw, async ({ number, version, line, done }) => {
    const job = thereIs(await loadJob(number), number);
    const { steps } = planOf(job);
    const asked = steps.find((l) => lineKey(l) === line);
    if (!asked) throw new Fault("line", "the plan has changed; look at it as it is now");
    const finished = new Set(job.linesDone);
    const open = steps.findIndex((l) => !isLineDone(l, finished));
    const first = steps[open];
    const last = open < 0 ? steps.at(-1) : steps[open - 1];
    if (done && first && first !== asked) throw new Fault("line", `line ${first.n} comes first: ${lineInWords(job, first).title}`);
    if (!done && !isLineDone(asked, finished)) throw new Fault("line", "is not done yet");
    if (!done && last && last !== asked) throw new Fault("line", `open line ${last.n} again first`);
    return setLine(number, version, line, done, lineInWords(job, asked).title);
  });
}

const returnInput = z.object({ ...onJob, step: ref, ...goesBackWith.pick({ when: true, says: true }).shape });
/** What must happen around a step's return, said while it goes back: for this time and the next. */
export async function sayForReturn(raw: z.infer<typeof returnInput>): Promise<ActionResult> {
  return act(returnInput, raw, ({ number, version, step, ...said }) => addForReturn(number, version, step, said));
}

const troubleInput = z.object({ ...onJob, says: note.min(3, "say in a few words what is wrong") });

/** Writes what went wrong into the history; the line stays open. */
export async function noteTrouble(raw: z.infer<typeof troubleInput>): Promise<ActionResult> {
  return act(troubleInput, raw, ({ number, version, says }) => setHead(number, version, {}, `trouble at the rebuild: ${says}`));
}

/** A second fault found while it goes together: back to Judge with it. Lines that are done stay done, until the part that must come out is judged. */
export async function secondFault(raw: z.infer<typeof troubleInput>): Promise<ActionResult> {
  return act(troubleInput, raw, ({ number, version, says }) => backToStage(number, version, "judge", says));
}
