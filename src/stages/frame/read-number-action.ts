"use server";

import { z } from "zod";
import { ref, words } from "@/core/job/written";
import { setReadNumber } from "@/store/match";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";

const read = z.object({ ...onJob, part: ref, read: words });

/** Keeps the number that stands on a part: one whose number is known need not be measured. */
export async function readNumber(raw: z.infer<typeof read>): Promise<ActionResult> {
  return act(read, raw, ({ number, version, part, read: text }) =>
    setReadNumber(number, version, part, text),
  );
}
