"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { jobNumber } from "@/core/job/written";
import { loadJob } from "@/store/job";
import { setHead } from "@/store/jobs";
import { type ActionResult, actAtDesk } from "../saving/act";
import { onJob } from "../saving/action-input";

const comebackInput = z.object({ ...onJob, of: jobNumber.nullable() });

/** Ties a job to the one that it came back from within its warranty; null: it is a job of its own. */
export async function comesBackFrom(raw: z.infer<typeof comebackInput>): Promise<ActionResult> {
  return actAtDesk(comebackInput, raw, async ({ number, version, of }) => {
    if (of === number) throw new Fault("of", "a job does not come back from itself");
    if (of !== null) {
      const first = await loadJob(of);
      if (!first) throw new Fault("of", `there is no job ${of}`);
      if (!first.handedBackAt) throw new Fault("of", `${of} was not handed back yet: take that one up again`);
    }
    return setHead(
      number,
      version,
      { warrantyOf: of ?? undefined },
      of ? `came back within its warranty: ${of}` : "a job of its own, no comeback",
    );
  });
}
