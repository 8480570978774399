"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { partsNumbered } from "@/store/catalogue";
import { database } from "@/store/database";
import { choosePart } from "@/store/judge";
import { type ActionResult, act } from "../act";
import { onJob } from "../action-input";

const input = z.object({ ...onJob, part: z.string().max(40), chosen: z.string().max(80).nullable() });

/** Chooses the catalogue part that replaces a failed one; null takes the choice back. */
export async function choose(raw: z.infer<typeof input>): Promise<ActionResult> {
  return act(input, raw, async ({ number, version, part, chosen }) => {
    if (chosen !== null && (await partsNumbered(await database(), [chosen])).length === 0)
      throw new Fault("chosen", `there is no part ${chosen} in the catalogue`);
    return choosePart(number, version, part, chosen);
  });
}
