"use server";

import { z } from "zod";
import { gettingLubricant } from "@/core/job/chamber";
import { ref } from "@/core/job/written";
import { loadJob, thereIs } from "@/store/job";
import { changeChamber } from "@/store/lube";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";
import { amountFrom } from "../saving/amount-from";

const input = z.object({
  ...onJob,
  chamber: ref,
  from: gettingLubricant.shape.from,
  /** as it was typed */
  price: z.string().max(40).optional(),
  ordered: gettingLubricant.shape.ordered.nullable(),
});
/** How a lubricant is got that the shelf does not have: what is left out stays as it was said. */
export async function saveGetting(raw: z.input<typeof input>): Promise<ActionResult> {
  return act(input, raw, async ({ number, version, chamber, from, price, ordered }) => {
    const before =
      thereIs(await loadJob(number), number).chambers?.find((c) => c.id === chamber)?.getting ?? {};
    const getting = {
      ...before,
      ...(from !== undefined && { from: from || undefined }),
      ...(price !== undefined && { price: amountFrom("price", price) ?? undefined }),
      ...(ordered !== undefined && { ordered: ordered ?? undefined }),
    };
    return changeChamber(number, version, chamber, { getting }, "how its lubricant is got");
  });
}
