"use server";

import { revalidatePath } from "next/cache";
import { z } from "zod";
import { Fault, readWith } from "@/core/fault";
import { HAZARD_NAMES, hazard } from "@/core/job/hazard";
import { words } from "@/core/job/written";
import { capital } from "@/core/sentence";
import { rememberHazards } from "@/store/settings";

const kindInput = z.strictObject({ kind: words.trim().min(2, "say which kind of unit"), hazards: z.array(hazard).max(HAZARD_NAMES.length).nullable() });

/** Says what is proposed for a kind of unit; null: nothing is any more, or what is usual. Answers what was wrong; null: it is set. */
export async function setKindHazards(raw: z.infer<typeof kindInput>): Promise<string | null> {
  try {
    const { kind, hazards } = readWith(kindInput, raw);
    await rememberHazards(kind, hazards);
    revalidatePath("/", "layout");
    return null;
  } catch (e) {
    if (e instanceof Fault) return `${capital(e.says)}.`;
    throw e;
  }
}
