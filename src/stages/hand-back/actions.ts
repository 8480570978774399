"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { factsOf } from "@/core/gates/job-facts";
import { openGates } from "@/core/gates/open-gates";
import { testerInWords } from "@/core/hand-back/electrical-limits";
import { figureFault, finalChecks, limitInWords } from "@/core/hand-back/final-checks";
import { finalKey } from "@/core/job/keys";
import { ref } from "@/core/job/written";
import { loadJob, thereIs } from "@/store/job";
import { setHead } from "@/store/jobs";
import { setAnswer } from "@/store/rebuild";
import { shopSettings } from "@/store/settings";
import { type ActionResult, actAtDesk } from "../saving/act";
import { onJob } from "../saving/action-input";

const input = z.object({ ...onJob, check: ref, value: z.number("must be a figure").optional(), back: z.boolean().optional() });

/** Answers one of the last checks; a measured one with its figure, which must keep its limit. */
export async function answerCheck(raw: z.infer<typeof input>): Promise<ActionResult> {
  return actAtDesk(input, raw, async ({ number, version, check, value, back }) => {
    const job = thereIs(await loadJob(number), number);
    const { electrical } = await shopSettings();
    const asked = finalChecks(job, electrical).find((c) => c.check === check);
    if (!asked) throw new Fault("check", "this unit is not asked that");
    if (back) return setAnswer(number, version, finalKey(check), null, `final check reopened: ${asked.asks}`);
    if (asked.unit) {
      if (value === undefined) throw new Fault("value", `give the figure in ${asked.unit}`);
      const fault = figureFault(asked, value);
      if (fault) throw new Fault("value", fault);
    }
    return setAnswer(
      number,
      version,
      finalKey(check),
      // the limit that it was held against, and by which tester: both may change later
      { answer: "yes", value, unit: asked.unit, ...(asked.unit ? { note: [limitInWords(asked), testerInWords(electrical)].filter(Boolean).join("; ") } : {}) },
      `final check: ${asked.asks} ${value === undefined ? "yes" : `${value} ${asked.unit}`}`,
    );
  });
}

const bare = z.object(onJob);

/** The unit goes home. Refused while anything is open. */
export async function handBack(raw: z.infer<typeof bare>): Promise<ActionResult> {
  return actAtDesk(bare, raw, async ({ number, version }) => {
    const job = thereIs(await loadJob(number), number);
    const facts = factsOf(job);
    const open = [...openGates("rebuild", facts), ...openGates("hand-back", facts)];
    if (job.handedBackAt !== undefined) throw new Fault("stage", `it went home on ${job.handedBackAt.slice(0, 10)}`);
    if (job.stage !== "hand-back") throw new Fault("stage", "the job has not come to Hand back yet");
    if (open[0]) throw new Fault("stage", open[0].says);
    return setHead(number, version, { handedBackAt: new Date().toISOString() }, "handed back");
  });
}
