"use server";

import { z } from "zod";
import { PART_KINDS } from "@/core/hardware/part-kind";
import { ref } from "@/core/job/written";
import { setPartFacts } from "@/store/judge";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";

const kindInput = z.object({ ...onJob, part: ref, kind: z.enum(PART_KINDS) });
/** Says what a part is, wherever that is asked. */
export async function sayKind(raw: z.infer<typeof kindInput>): Promise<ActionResult> {
  return act(kindInput, raw, ({ number, version, part, kind }) =>
    setPartFacts(number, version, part, { kind }),
  );
}
