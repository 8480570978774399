"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { type Ending, endingNamed, endingSchema, waitingSchema } from "@/core/job/ending";
import type { Stage } from "@/core/job/stages";
import { words } from "@/core/job/written";
import { setEnding, setWaiting } from "@/store/endings";
import { loadJob, thereIs } from "@/store/job";
import { type ActionResult, actAtDesk } from "../saving/act";
import { onJob } from "../saving/action-input";
import { amountFrom } from "../saving/amount-from";

const endInput = z.object({ ...onJob, ...endingSchema.pick({ how: true, why: true }).shape, amount: words });

/**
 * Ends a job without its repair. What goes back together is rebuilt as it was; what does not goes straight to
 * Hand back.
 */
export async function endJob(raw: z.infer<typeof endInput>): Promise<ActionResult> {
  return actAtDesk(endInput, raw, async ({ number, version, how, why, amount: typed }) => {
    const job = thereIs(await loadJob(number), number);
    if (job.handedBackAt) throw new Fault("how", "it went home already");
    if (job.stage === "take-in" && job.steps.length === 0 && !job.consent && !job.kind)
      throw new Fault("how", "write down first what was brought in");
    const amount = amountFrom("amount", typed);
    const ending: Ending = { how, why, at: new Date().toISOString(), ...(amount === null ? {} : { amount }) };
    const stage: Stage = endingNamed(how).together && job.steps.length > 0 ? "rebuild" : "hand-back";
    return setEnding(number, version, ending, stage);
  });
}

const bare = z.object(onJob);

/** Takes a job up again that had ended without its repair. */
export async function takeUpAgain(raw: z.infer<typeof bare>): Promise<ActionResult> {
  return actAtDesk(bare, raw, async ({ number, version }) => {
    const job = thereIs(await loadJob(number), number);
    if (!job.ending) throw new Fault("ending", "it has not ended");
    if (job.handedBackAt) throw new Fault("ending", "it went home already");
    return setEnding(
      number,
      version,
      null,
      job.steps.length === 0 ? "take-in" : job.stripFinished ? "judge" : "strip",
    );
  });
}

const waitInput = z.object({
  ...onJob,
  what: waitingSchema.shape.what,
  until: waitingSchema.shape.until.unwrap().or(z.literal("")),
});

/** Says what a job waits for, and when it is looked at again. */
export async function waitFor(raw: z.infer<typeof waitInput>): Promise<ActionResult> {
  return actAtDesk(waitInput, raw, ({ number, version, what, until }) =>
    setWaiting(number, version, { what, since: new Date().toISOString(), ...(until ? { until } : {}) }),
  );
}
export async function waitNoMore(raw: z.infer<typeof bare>): Promise<ActionResult> {
  return actAtDesk(bare, raw, ({ number, version }) => setWaiting(number, version, null));
}
