"use server";

import { z } from "zod";
import { asWhoMay } from "@/door/who";
import { saveDraft } from "@/store/drafts";
import { onJob } from "./action-input";

const draftInput = z.object({ number: onJob.number, field: z.string().max(60), value: z.unknown() });

/** Keeps what is typed but not laid down. It has no version: it belongs to the screen. */
export async function keepDraft(input: z.infer<typeof draftInput>): Promise<void> {
  const { number, field, value } = draftInput.parse(input);
  if (JSON.stringify(value ?? null).length > 100_000) return;
  await asWhoMay("desk", () => saveDraft(number, field, value ?? null));
}
