"use server";

import { z } from "zod";
import { readWith } from "@/core/fault";
import { words } from "@/core/job/written";
import { learnAfresh } from "@/store/settings";
import { setting } from "../forms/answered";

const input = z.strictObject({ kind: words.trim().min(1, "say which kind of unit"), afresh: z.boolean() });

/**
 * Lets no verdict count that was given on a kind of unit so far, or all of them again. Answers what was
 * wrong; null: it is so.
 */
export async function setLearned(raw: z.infer<typeof input>): Promise<string | null> {
  return setting("bench", async () => {
    const { kind, afresh } = readWith(input, raw);
    await learnAfresh(kind, afresh ? new Date().toISOString() : null);
  });
}
