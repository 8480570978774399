import { revalidatePath } from "next/cache";
import type { z } from "zod";
import type { Role } from "@/core/door/role";
import { Fault, readWith } from "@/core/fault";
import { capital } from "@/core/sentence";
import { asWhoMay } from "@/door/who";
import { type HistoryLine, StaleSave } from "@/store/change";
import { asSent, DoneBefore } from "@/store/sending";
import { notDone, troubleIn } from "@/store/trouble";
import { sendingOf } from "./action-input";

/**
 * What every action answers: the job's new version, or a sentence with the place it belongs to, or what
 * changed on another screen.
 */
export type ActionResult =
  | { readonly ok: true; readonly version: number }
  | {
      readonly ok: false;
      readonly path: string;
      readonly says: string;
      readonly stale?: readonly HistoryLine[];
      readonly again?: "when it answers" | "now";
    };

/**
 * The way of every server action: see who it is, read the input, decide and write, say what came of it.
 *
 * @param needs who may do it
 */
export async function act<T extends { number: string }>(
  schema: z.ZodType<T>,
  input: unknown,
  work: (read: T) => Promise<number>,
  needs: Role = "bench",
): Promise<ActionResult> {
  try {
    const { sending, rest } = sendingOf(input);
    const read = readWith(schema, rest);
    const version = await asSent(sending, () => asWhoMay(needs, () => work(read))).catch(doneBefore);
    revalidatePath(`/jobs/${read.number}`, "layout");
    return { ok: true, version };
  } catch (e) {
    if (e instanceof StaleSave)
      return {
        ok: false,
        path: "",
        says: "This screen is out of date; nothing was overwritten.",
        stale: e.changes,
      };
    if (e instanceof Fault) return { ok: false, path: e.path, says: capital(e.says) };
    const trouble = troubleIn(e);
    if (trouble) return { ok: false, path: "", says: notDone("Not saved", trouble) };
    throw e;
  }
}

/** What had been done under the same name is answered as it would have been then. */
const doneBefore = (e: unknown): number => {
  if (e instanceof DoneBefore) return e.version;
  throw e;
};

/** The same for what the front desk may do too. */
export const actAtDesk = <T extends { number: string }>(
  schema: z.ZodType<T>,
  input: unknown,
  work: (read: T) => Promise<number>,
): Promise<ActionResult> => act(schema, input, work, "desk");
