"use server";

import { z } from "zod";
import { removeSound } from "@/store/sounds";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";

const input = z.object({ ...onJob, sound: z.int() });
/** A recording that is no good goes; the one before it of the same moment is there again. */
export async function takeSoundAway(raw: z.infer<typeof input>): Promise<ActionResult> {
  return act(input, raw, ({ number, version, sound }) => removeSound(number, version, sound));
}
