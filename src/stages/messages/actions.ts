"use server";

import { z } from "zod";
import { MESSAGES } from "@/core/hand-back/messages";
import { putInOutbox } from "@/store/messages";
import { type ActionResult, actAtDesk } from "../saving/act";
import { onJob } from "../saving/action-input";

const input = z.object({
  ...onJob,
  kind: z.enum(MESSAGES.map((m) => m.kind)),
  subject: z.string().trim().min(1, "a message needs its subject").max(200, "is longer than 200 characters"),
  text: z.string().trim().min(1, "there is nothing in it").max(5000, "is longer than 5000 characters"),
});

/** A message goes into the outbox, as it was written at last. Nothing is sent from here. */
export async function tellCustomer(raw: z.infer<typeof input>): Promise<ActionResult> {
  return actAtDesk(input, raw, ({ number, version, ...message }) => putInOutbox(number, version, message));
}
