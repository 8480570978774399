"use server";

import { z } from "zod";
import { readWith } from "@/core/fault";
import { HAZARD_NAMES, hazard } from "@/core/job/hazard";
import { words } from "@/core/job/written";
import { rememberHazards } from "@/store/settings";
import { setting } from "../forms/answered";

const kindInput = z.strictObject({
  kind: words.trim().min(2, "say which kind of unit"),
  hazards: z.array(hazard).max(HAZARD_NAMES.length).nullable(),
});

/**
 * Says what is proposed for a kind of unit; null: nothing is any more, or what is usual. Answers what was
 * wrong; null: it is set.
 */
export async function setKindHazards(raw: z.infer<typeof kindInput>): Promise<string | null> {
  return setting("bench", async () => {
    const { kind, hazards } = readWith(kindInput, raw);
    await rememberHazards(kind, hazards);
  });
}
