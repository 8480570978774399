"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { planOf } from "@/core/gates/job-facts";
import type { Job } from "@/core/job/job";
import { stepThing } from "@/core/job/step-named";
import { ref, text } from "@/core/job/written";
import { type Moved, movesIn } from "@/core/order/own-order";
import { isLineDone, lineKey } from "@/core/order/rebuild-line";
import { isAtTheEnd } from "@/core/order/rebuild-plan";
import { lineInWords } from "@/core/rebuild/line-in-words";
import { loadJob, thereIs } from "@/store/job";
import { setHead } from "@/store/jobs";
import { waitsNow } from "../../job-view/waits-now";
import { type ActionResult, act } from "../../saving/act";
import { onJob } from "../../saving/action-input";
import { orderNow } from "../job-now";

const named = (job: Job, steps: readonly string[]): string => steps.map((s) => stepThing(job, s)).join("; ");

const forwardInput = z.object({ ...onJob, step: ref });
/** A step goes back next, with what the laws ask for before it. */
export async function bringForward(raw: z.infer<typeof forwardInput>): Promise<ActionResult> {
  return act(forwardInput, raw, async ({ number, version, step }) => {
    const job = thereIs(await loadJob(number), number);
    const { now, done } = orderNow(job);
    if (!now.includes(step)) throw new Fault("step", "that step is not on the Mat any more");
    if (done.has(step)) throw new Fault("step", `${stepThing(job, step)}, is back already`);
    const { order, first }: Moved = movesIn(job).sooner(now, done, step);
    const before = first.filter((s) => s !== step);
    return setHead(
      number,
      version,
      { ownOrder: [...order, ...lastInOrder(job)] },
      `brought forward: ${stepThing(job, step)}${before.length ? `, with what must be on before it: ${named(job, before)}` : ""}`,
    );
  });
}

/** Keys of lines that somebody ordered among the last: they stand behind the steps. */
const lastInOrder = (job: Job): string[] =>
  (job.ownOrder ?? []).filter((key) => !job.steps.some((s) => s.id === key));

const lastInput = z.object({ ...onJob, line: text, by: z.union([z.literal(-1), z.literal(1)]) });
/** One of the last lines changes places with the one before it, or behind it. */
export async function moveAmongLast(raw: z.infer<typeof lastInput>): Promise<ActionResult> {
  return act(lastInput, raw, async ({ number, version, line, by }) => {
    const job = thereIs(await loadJob(number), number);
    const done = new Set(job.linesDone);
    const last = planOf(job).steps.filter((l) => isAtTheEnd(l, job) && !isLineDone(l, done));
    const keys = last.map(lineKey);
    const at = keys.indexOf(line);
    const other = keys[at + by];
    if (at < 0) throw new Fault("line", "is not among the last lines");
    if (other === undefined) throw new Fault("line", by < 0 ? "stands first of them" : "stands last of all");
    keys[at + by] = line;
    keys[at] = other;
    const steps = (job.ownOrder ?? []).filter((key) => job.steps.some((s) => s.id === key));
    const moved = last[at];
    return setHead(
      number,
      version,
      { ownOrder: [...steps, ...keys] },
      `${by < 0 ? "earlier" : "later"} among the last: ${moved ? lineInWords(job, moved).title : line}`,
    );
  });
}

const onlyJob = z.object(onJob);
/** What need not wait for what is curing goes on meanwhile. */
export async function goOnMeanwhile(raw: z.infer<typeof onlyJob>): Promise<ActionResult> {
  return act(onlyJob, raw, async ({ number, version }) => {
    const job = thereIs(await loadJob(number), number);
    const { now, done } = orderNow(job);
    const held = waitsNow(job).flatMap((w) => w.holds ?? []);
    if (!held.length) throw new Fault("line", "nothing is waited for any more");
    const { order, first } = movesIn(job).meanwhile(now, done, held);
    if (!first.length)
      throw new Fault("line", `all that is left closes over ${named(job, held)}: it has to wait too`);
    return setHead(
      number,
      version,
      { ownOrder: [...order, ...lastInOrder(job)] },
      `goes on meanwhile with ${named(job, first.slice(0, 3))}`,
    );
  });
}

/** The order is the reverse of the strip again. */
export async function asTheStripWas(raw: z.infer<typeof onlyJob>): Promise<ActionResult> {
  return act(onlyJob, raw, ({ number, version }) =>
    setHead(number, version, { ownOrder: undefined }, "the order is the reverse of the strip again"),
  );
}
