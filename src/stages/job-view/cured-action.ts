"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { curedKey } from "@/core/job/keys";
import { text } from "@/core/job/written";
import { minutesInWords } from "@/core/order/running-waits";
import { loadJob, thereIs } from "@/store/job";
import { setAnswer } from "@/store/rebuild";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";
import { waitsNow } from "./waits-now";

const curedInput = z.object({ ...onJob, line: text });
/** Somebody tried it, and it has set before its time was over. */
export async function sayCured(raw: z.infer<typeof curedInput>): Promise<ActionResult> {
  return act(curedInput, raw, async ({ number, version, line }) => {
    const job = thereIs(await loadJob(number), number);
    const wait = waitsNow(job).find((w) => w.line === line);
    if (!wait) throw new Fault("line", "nothing is waited for there any more");
    return setAnswer(
      number,
      version,
      curedKey(line),
      { answer: "yes" },
      `said to have set, ${minutesInWords(wait.minutesLeft)} before its time: ${wait.why}`,
    );
  });
}
